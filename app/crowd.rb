# frozen_string_literal: true

module App
  # Long work takes a few of the server's threads and no more: what comes on top is asked to come again, so that an
  # entry at the bench never waits behind an archive.
  class Crowd
    # Of 16 threads.
    AT_ONCE = 4
    LONG = %r{\A/api/(?:archive|plans|(?:machines|shelf)/lists|jobs/[^/]+/photos|compute/gauge-files)/?\z}

    def initialize(app, at_once: AT_ONCE)
      @app = app
      @places = Thread::SizedQueue.new(at_once)
    end

    def call(env)
      return @app.call(env) unless env["REQUEST_METHOD"] == "POST" && LONG.match?(env["PATH_INFO"])
      return refused unless place?
      begin
        @app.call(env)
      ensure
        @places.pop
      end
    end

    private

    def place?
      @places.push(true, true)
    rescue ThreadError
      false
    end

    def refused
      Problem.response(503, "#{@places.max} large files are worked on at this moment",
        accepted: "the same again in a moment")
    end
  end
end
