# frozen_string_literal: true

module App
  # The one page, for every address that is not the API's.
  class Page
    DIST = "#{ROOT}/ui/dist"
    FILES = {"/sw.js" => "text/javascript", "/favicon.svg" => "image/svg+xml", "/manifest.webmanifest" => "application/manifest+json"}.freeze

    def initialize
      @assets = Rack::Files.new(DIST, {"cache-control" => "public, max-age=31536000, immutable"})
    end

    def call(env)
      path = env["PATH_INFO"]
      return @assets.call(env) if path.start_with?("/assets/")
      return file(path, FILES[path]) if FILES.key?(path)
      return [405, {"content-type" => "text/plain", "allow" => "GET, HEAD"}, ["The page is read with GET.\n"]] unless %w[GET HEAD].include?(env["REQUEST_METHOD"])
      page(env[SecurityHeaders::NONCE])
    end

    private

    def file(path, type)
      [200, {"content-type" => type, "cache-control" => "no-cache"}, [File.read(DIST + path)]]
    end

    # Not kept as read: a rebuilt front end is served at once.
    def page(nonce)
      html = File.read("#{DIST}/index.html").gsub("__NONCE__", nonce)
      [200, {"content-type" => "text/html; charset=utf-8", "cache-control" => "no-cache"}, [html]]
    end
  end
end
