# frozen_string_literal: true

require "securerandom"

module App
  # Headers on every response. The nonce lets the page's own style sheets in, and nothing else inline.
  class SecurityHeaders
    NONCE = "sandbag.nonce"

    def initialize(app)
      @app = app
    end

    def call(env)
      env[NONCE] = SecureRandom.base64(18)
      status, headers, body = @app.call(env)
      [status, {**unstored(env), **headers, **headers_for(env[NONCE])}, body]
    end

    private

    # Answers of the API are the shop's own: only the page's worker keeps them, not the browser.
    def unstored(env)
      env["PATH_INFO"].start_with?("/api") ? {"cache-control" => "no-store"} : {}
    end

    def headers_for(nonce)
      {
        "content-security-policy" =>
          "default-src 'none'; script-src 'self'; style-src 'self' 'nonce-#{nonce}'; img-src 'self' data:; " \
            "font-src 'self'; connect-src 'self'; worker-src 'self'; manifest-src 'self'; base-uri 'none'; " \
              "form-action 'none'; frame-ancestors 'none'",
        "x-content-type-options" => "nosniff",
        "referrer-policy" => "no-referrer",
        "cross-origin-opener-policy" => "same-origin",
        "cross-origin-resource-policy" => "same-origin"
      }
    end
  end
end
