# frozen_string_literal: true

module Sandbag
  # Sums of money are integers of a currency's minor unit; this reads them as people type them.
  module Money
    TYPED = /\A(\d{1,7})(?:[.,](\d{1,2}))?\z/
    MINOR = 100
    MOST_MINOR = 1_000_000_000

    # @param typed [String, Integer] "45", "45.50", "45,5"; an Integer is minor units already
    # @return [Integer] minor units
    # Refuses what is no sum, negative, beyond any bill, or finer than the minor unit.
    def self.parse(typed)
      return typed if typed.is_a?(Integer) && typed.between?(0, MOST_MINOR)
      match = TYPED.match(typed.strip) if typed.is_a?(String)
      raise Refusal.at("", "#{Wording.quoted(typed)} is not a sum of money", "a sum such as 45 or 45.50") unless match
      match[1].to_i * MINOR + match[2].to_s.ljust(2, "0").to_i
    end
  end
end
