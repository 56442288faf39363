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

    # What is kept is no document that can be read.
    class Damaged < StandardError; end

    # A document from a newer Sandbag than this one.
    class TooNew < Damaged; end

    def self.dump(plain)
      JSON.generate({VERSION_KEY => VERSION, **plain})
    end

    # @return [Hash, nil]
    # Raises Damaged for text that is no document.
    def self.load(text)
      return if text.nil?
      plain = parsed(text)
      version = plain.delete(VERSION_KEY) || 0
      raise Damaged, "a record without a version" unless version.is_a?(Integer) && version >= 0
      raise TooNew, "a record of version #{version}; this Sandbag reads up to #{VERSION}" if version > VERSION
      READERS.drop(version).reduce(plain) { |older, reader| reader.call(older) }
    end

    # @param plain [Hash] a document as it is exported, with the version of its shape
    # @return [Hash] as it is read here
    # Raises what `load` raises.
    def self.exported(plain)
      load(JSON.generate(plain))
    end

    # @return [Hash, nil] nil where nothing is kept, or nothing that can be read
    # @yield with what was wrong
    def self.try(text)
      load(text)
    rescue Damaged => fault
      yield fault if block_given?
      nil
    end

    # @return [Hash] as it is stored, of whatever version
    # Raises Damaged for text that is no document.
    def self.parsed(text)
      plain = JSON.parse(text)
      plain.is_a?(Hash) ? plain : raise(Damaged, "a record that is no object")
    rescue JSON::ParserError
      raise Damaged, "a record that is no JSON"
    end
  end
end
