# frozen_string_literal: true

module App
  # The one page, for every address that is not the API's, with its scripts and styles as the build compressed them.
  class Page
    DIST = "#{ROOT}/ui/dist"
    TYPES = {
      ".js" => "text/javascript",
      ".css" => "text/css",
      ".svg" => "image/svg+xml",
      ".woff2" => "font/woff2"
    }.freeze
    FILES = %w[/sw.js /favicon.svg].freeze
    FOREVER = "public, max-age=31536000, immutable"
    # Not kept as read: a rebuilt front end is served at once.
    ANEW = "no-cache"
    # Encoding => what a file so encoded is called, the smallest first.
    ENCODINGS = {"br" => ".br", "gzip" => ".gz"}.freeze

    def call(env)
      path = env["PATH_INFO"]
      return file(path, env, FOREVER) if path.start_with?("/assets/")
      return file(path, env, ANEW) if FILES.include?(path)
      return refused unless %w[GET HEAD].include?(env["REQUEST_METHOD"])
      page(env[SecurityHeaders::NONCE])
    end

    private

    def refused
      [405, {"content-type" => "text/plain", "allow" => "GET, HEAD"}, ["The page is read with GET.\n"]]
    end

    def file(path, env, keep)
      return missing unless built?(path)
      encoding, ending = ENCODINGS.find { |name, after| accepts?(env, name) && built?(path + after) }
      headers = {
        "content-type" => TYPES.fetch(File.extname(path), "application/octet-stream"),
        "cache-control" => keep,
        "vary" => "accept-encoding"
      }
      headers["content-encoding"] = encoding if encoding
      [200, headers, [File.binread("#{DIST}#{path}#{ending}")]]
    end

    def missing
      [404, {"content-type" => "text/plain"}, ["There is no such file.\n"]]
    end

    # Only what the build put there: no path leads out of it.
    def built?(path)
      path.match?(%r{\A/(?:assets/)?[\w.-]+\z}) && File.file?("#{DIST}#{path}")
    end

    def accepts?(env, encoding)
      env["HTTP_ACCEPT_ENCODING"]
        .to_s
        .split(",")
        .any? { |each| each.strip.split(";").first == encoding && !each.match?(/q=0(\.0*)?\s*\z/) }
    end

    def page(nonce)
      html = File.read("#{DIST}/index.html").gsub("__NONCE__", nonce)
      [200, {"content-type" => "text/html; charset=utf-8", "cache-control" => ANEW}, [html]]
    end
  end
end
