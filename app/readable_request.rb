# frozen_string_literal: true

require "rack"
require "uri"

module App
  # Turns away a request that cannot be read, before anything works on it: an address or a media type that is no text,
  # more parameters or deeper ones than Rack takes, and forms, which nothing here is sent as.
  class ReadableRequest
    FORMS = %w[application/x-www-form-urlencoded multipart/form-data].freeze

    def initialize(app)
      @app = app
    end

    def call(env)
      return refusal("the address is not text", "UTF-8 without NUL characters, percent-encoded") unless address?(env)
      return refusal("the media type is not text", "application/json") unless env["CONTENT_TYPE"].to_s.ascii_only?
      request = Rack::Request.new(env)
      request.GET
      return form if env["CONTENT_TYPE"] && FORMS.include?(request.media_type)
      @app.call(env)
    rescue Rack::BadRequest
      refusal("the query is not readable, or has more parameters than are taken", "the parameters of the contract")
    end

    private

    def refusal(message, accepted)
      Problem.response(400, message, accepted: accepted)
    end

    def form
      Problem.response(415, "the body is a form", accepted: "application/json")
    end

    def address?(env)
      plain?(env["PATH_INFO"]) && plain?(env["QUERY_STRING"])
    end

    def plain?(escaped)
      text = URI::DEFAULT_PARSER.unescape(escaped.to_s).force_encoding(Encoding::UTF_8)
      text.valid_encoding? && !text.include?("\0")
    end
  end
end
