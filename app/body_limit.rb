# frozen_string_literal: true

module App
  # Refuses bodies over 1 MB, photos and a gauge's files over 10 MB, before anybody reads them.
  class BodyLimit
    BYTES = 1_048_576
    PHOTO_BYTES = 10 * BYTES
    FILE_BYTES = PHOTO_BYTES
    LARGE = %r{\A/api/(?:jobs/[^/]+/photos|compute/gauge-files)\z}

    def initialize(app)
      @app = app
    end

    def call(env)
      most = LARGE.match?(env["PATH_INFO"]) ? PHOTO_BYTES : BYTES
      return @app.call(env) unless env["CONTENT_LENGTH"].to_i > most
      Problem.response(413, "the body is over #{most / BYTES} MB", accepted: "up to #{most} bytes")
    end
  end
end
