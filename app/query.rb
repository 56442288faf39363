# frozen_string_literal: true

require "uri"

module App
  # The query of an address as plain names and texts; nothing in it is nested.
  module Query
    LONGEST = 4000

    # @param text [String] behind the question mark
    # @return [Array<Array(String, String)>]
    # Refuses what is too long, not UTF-8, holds a NUL character, or is no query.
    def self.parse(text)
      raise refusal("the query is too long", "up to #{LONGEST} characters") if text.length > LONGEST
      pairs = URI.decode_www_form(text)
      raise refusal("the query is not text", "UTF-8 without NUL characters") unless pairs.flatten.all? { |each| each.valid_encoding? && !each.include?("\0") }
      pairs
    rescue ArgumentError
      raise refusal("the query cannot be read", "name=value, percent-encoded")
    end

    def self.refusal(message, accepted)
      Sandbag::Refusal.at("query", message, accepted)
    end
    private_class_method :refusal
  end
end
