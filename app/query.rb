# frozen_string_literal: true

require "uri"

module App
  # The query of an address as plain names and texts; nothing in it is nested. ReadableRequest has seen to it that it
  # is text.
  module Query
    LONGEST = 4000

    # @param text [String] behind the question mark
    # @return [Array<Array(String, String)>]
    # Refuses what is too long or is no query.
    def self.parse(text)
      raise refusal("the query is too long", "up to #{LONGEST} characters") if text.length > LONGEST
      URI.decode_www_form(text)
    rescue ArgumentError
      raise refusal("the query cannot be read", "name=value, percent-encoded")
    end

    def self.refusal(message, accepted)
      Sandbag::Refusal.at("query", message, accepted)
    end
    private_class_method :refusal
  end
end
