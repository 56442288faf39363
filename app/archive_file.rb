# frozen_string_literal: true

require "json_schemer"

module App
  # Checks an archive before anything of it is taken in: its shape by api/archive.schema.json, and that it is none of a
  # newer Sandbag's.
  module ArchiveFile
    PATH = "#{ROOT}/api/archive.schema.json"
    SCHEMA = JSON.parse(File.read(PATH)).freeze
    CHECK = JSONSchemer.schema(SCHEMA)
    # A whole shop is tens of megabytes: the schema library takes a minute and 400 MB to say that nothing is wrong.
    QUICK = QuickCheck.new(SCHEMA).then { |quick| quick.compile(SCHEMA).tap { quick.finish } }
    MOST_PROBLEMS = 20
    # Deeper than any record nests.
    DEEPEST = 60

    # @param text [String] of the file
    # @return [Hash]
    # Refuses what is no JSON in UTF-8, what has another shape, and what a newer Sandbag wrote.
    def self.read(text)
      document = parse(text)
      newer = document["version"] if document.is_a?(Hash) && document["version"].is_a?(Integer)
      if newer && newer > Store::Archive::VERSION
        raise Sandbag::Refusal.at("version", "a newer Sandbag wrote this, version #{newer}",
          "up to #{Store::Archive::VERSION}")
      end
      return document if QUICK.call(document)
      raise Sandbag::Refusal.new(CHECK.validate(document).first(MOST_PROBLEMS).map { |error| problem(error) }.uniq)
    end

    def self.parse(text)
      text = text.dup.force_encoding(Encoding::UTF_8).delete_prefix("\uFEFF")
      raise refusal("this is no text in UTF-8") unless text.valid_encoding?
      raise refusal("this holds a NUL character") if text.match?(/\0|\\u0000/)
      JSON.parse(text, max_nesting: DEEPEST)
    rescue JSON::ParserError
      raise refusal("this is no JSON, or is cut short")
    end

    def self.refusal(message)
      Sandbag::Refusal.at("", message, "an archive as Sandbag writes it")
    end

    def self.problem(error)
      Sandbag::Refusal::Problem.new(pointer: error["data_pointer"].delete_prefix("/"), message: error["error"],
        accepted: nil)
    end
    private_class_method :parse, :refusal, :problem
  end
end
