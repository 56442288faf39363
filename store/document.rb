# frozen_string_literal: true

require "json"

module Store
  # JSON as it is kept in a column, with the version of its shape beside it. A reader for every older version stays.
  module Document
    VERSION_KEY = "v"
    # Version => what turns it into the next one. Version 0 is what was kept before versions were written down.
    READERS = [
      ->(plain) { plain },
      ->(plain) { SignedRecord.filled(plain) },
      ->(plain) { BleedRecord.filled(plain) },
      ->(plain) { CloseRecord.filled(plain) },
      ->(plain) { PageRecord.filled(plain) },
      ->(plain) { PlaceRecord.filled(plain) }
    ].freeze
    VERSION = READERS.size

    # A document from a newer Sandbag than this one.
    class TooNew < StandardError; end

    def self.dump(plain)
      JSON.generate({VERSION_KEY => VERSION, **plain})
    end

    # @return [Hash, nil]
    def self.load(text)
      return if text.nil?
      plain = JSON.parse(text)
      version = plain.delete(VERSION_KEY) || 0
      raise TooNew, "a record of version #{version}; this Sandbag reads up to #{VERSION}" if version > VERSION
      READERS.drop(version).reduce(plain) { |older, reader| reader.call(older) }
    end
  end
end
