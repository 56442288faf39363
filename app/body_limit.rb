# frozen_string_literal: true

module App
  # Refuses bodies over 1 MB, photos and a gauge's files over 10 MB, archives over 32 MB, before anybody reads them.
  class BodyLimit
    BYTES = 1_048_576
    PHOTO_BYTES = 10 * BYTES
    FILE_BYTES = PHOTO_BYTES
    ARCHIVE_BYTES = 32 * BYTES
    ARCHIVE = "/api/archive"
    LARGE = %r{\A/api/(?:jobs/[^/]+/photos|compute/gauge-files)\z}

    def initialize(app)
      @app = app
    end

    def call(env)
      most = most_for(env["PATH_INFO"])
      return @app.call(env) unless env["CONTENT_LENGTH"].to_i > most
      Problem.response(413, "the body is over #{most / BYTES} MB", accepted: "up to #{most} bytes")
    end

    private

    def most_for(path)
      return ARCHIVE_BYTES if path.delete_suffix("/") == ARCHIVE
      LARGE.match?(path) ? PHOTO_BYTES : BYTES
    end
  end
end
