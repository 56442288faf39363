# frozen_string_literal: true

module App
  # What the environment may change, read in one place.
  module Settings
    HOST = "127.0.0.1"

    def self.port
      Integer(ENV.fetch("SANDBAG_PORT", "4747"))
    end

    # @return [Time] now; a spec moves it by the seconds in a file that it names
    def self.now
      moved = ENV["SANDBAG_CLOCK"]
      moved ? Time.now + Integer(File.read(moved)) : Time.now
    end

    # @return [String] file of RequestLog, in the folder of the records
    def self.log
      ENV.fetch("SANDBAG_LOG", "#{database}.log")
    end

    def self.database
      ENV.fetch("SANDBAG_DATABASE", "#{ROOT}/var/sandbag.db")
    end
  end
end
