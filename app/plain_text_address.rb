# frozen_string_literal: true

require "uri"

module App
  # Turns away an address that is not text: bytes that are no UTF-8, or a NUL, in path or query.
  class PlainTextAddress
    def initialize(app)
      @app = app
    end

    def call(env)
      return @app.call(env) if plain?(env["PATH_INFO"]) && plain?(env["QUERY_STRING"])
      Problem.response(400, "the address is not text", accepted: "UTF-8 without NUL characters, percent-encoded")
    end

    private

    def plain?(escaped)
      text = URI::DEFAULT_PARSER.unescape(escaped.to_s).force_encoding(Encoding::UTF_8)
      text.valid_encoding? && !text.include?("\0")
    end
  end
end
