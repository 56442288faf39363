# frozen_string_literal: true

module App
  # Writes only from our own page, or from a program that is no browser: a page elsewhere cannot make a mechanic's
  # browser write here.
  class SameSite
    SAFE = %w[GET HEAD OPTIONS].freeze
    OWN = [nil, "same-origin", "none"].freeze

    def initialize(app)
      @app = app
    end

    def call(env)
      return @app.call(env) if SAFE.include?(env["REQUEST_METHOD"]) || own?(env)
      Problem.response(403, "writes from another site are refused", accepted: "a request from this page")
    end

    private

    def own?(env)
      origin = env["HTTP_ORIGIN"]
      OWN.include?(env["HTTP_SEC_FETCH_SITE"]) && (origin.nil? || origin == "http://#{env["HTTP_HOST"]}")
    end
  end
end
