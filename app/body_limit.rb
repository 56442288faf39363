# frozen_string_literal: true

module App
  # Refuses bodies over 1 MB before anybody reads them.
  class BodyLimit
    BYTES = 1_048_576

    def initialize(app)
      @app = app
    end

    def call(env)
      return @app.call(env) unless env["CONTENT_LENGTH"].to_i > BYTES
      Problem.response(413, "the body is over 1 MB", accepted: "up to #{BYTES} bytes")
    end
  end
end
