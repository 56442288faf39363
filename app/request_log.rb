# frozen_string_literal: true

require "json"
require "logger"

module App
  # A line for every write and every refusal, for a person to read: method, path, status, milliseconds, and at which
  # fields it was refused. No bodies and no queries: they may hold what was typed.
  class RequestLog
    READING = %w[GET HEAD].freeze
    # A file of a megabyte, and four older ones.
    FILES = 5
    BYTES = 1_048_576
    # Nothing longer is written of one request.
    LONGEST = 300

    # @param path [String]
    # @return [Logger] turned over when it is full, readable by its owner alone
    def self.logger(path)
      File.open(path, File::WRONLY | File::CREAT | File::APPEND, 0o600).close
      Logger.new(path, FILES, BYTES, formatter: ->(_, time, _, line) { "#{time.utc.iso8601} #{line}\n" })
    end

    # @param logger [Logger, nil] nil writes nothing
    def initialize(app, logger)
      @app = app
      @logger = logger
    end

    def call(env)
      began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      status, headers, body = @app.call(env)
      write(env, status, body, Process.clock_gettime(Process::CLOCK_MONOTONIC) - began) if worth?(env, status)
      [status, headers, body]
    end

    private

    def worth?(env, status)
      @logger && (status >= 400 || !READING.include?(env["REQUEST_METHOD"]))
    end

    def write(env, status, body, seconds)
      line = [env["REQUEST_METHOD"], env["PATH_INFO"], status, "#{(seconds * 1000).round} ms", refused(status, body)]
      @logger.info(line.compact.join(" ").gsub(/[^[:print:]]/, "?")[0, LONGEST])
    end

    # @return [String, nil] the fields at which it was refused
    def refused(status, body)
      return if status < 400 || !body.respond_to?(:each)
      errors = JSON.parse(body.to_enum(:each).to_a.join)["errors"]
      "at #{errors.map { |error| error["pointer"].empty? ? "the whole" : error["pointer"] }.join(", ")}" if errors
    rescue JSON::ParserError
      nil
    end
  end
end
