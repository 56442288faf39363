# frozen_string_literal: true

require "rack"
require "zlib"

module App
  # Compresses answers on their way, and lightly: they are read on the machine that sends them, where the time counts
  # and the last tenth of the size does not. (Rack's own compression knows no level.) The page's own files are
  # compressed when it is built.
  class Compressed
    TYPES = %w[application/json application/problem+json text/csv].freeze
    # Bytes under which it saves nothing worth the time.
    SMALL = 1_400
    LEVEL = Zlib::BEST_SPEED

    def initialize(app)
      @app = app
    end

    def call(env)
      status, headers, body = @app.call(env)
      return [status, headers, body] unless compressible?(headers)
      headers["vary"] = [headers["vary"], "accept-encoding"].compact.join(", ")
      return [status, headers, body] unless wanted?(env)
      bytes = Zlib.gzip(whole(body), level: LEVEL)
      [status, headers.merge("content-encoding" => "gzip", "content-length" => bytes.bytesize.to_s), [bytes]]
    end

    private

    def compressible?(headers)
      TYPES.include?(Rack::MediaType.type(headers["content-type"])) && !headers.key?("content-encoding") &&
        headers["content-length"].to_i >= SMALL
    end

    def wanted?(env)
      return false if env["REQUEST_METHOD"] == "HEAD"
      Rack::Utils.select_best_encoding(%w[gzip identity], Rack::Request.new(env).accept_encoding) == "gzip"
    end

    def whole(body)
      body.to_enum(:each).to_a.join
    ensure
      body.close if body.respond_to?(:close)
    end
  end
end
