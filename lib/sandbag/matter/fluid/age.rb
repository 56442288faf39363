# frozen_string_literal: true

require "date"

module Sandbag
  module Fluid
    # How old the fluid is, and how it will look for its age (docs/trade.md 2.7, 9.4). Colour by age is an estimate:
    # it never passes a fluid.
    module Age
      DAYS_A_YEAR = 365.25
      # Years up to which fluid looks so. [default]
      LOOKS = {1.0 => "fresh", 2.0 => "straw", 3.0 => "amber", 4.5 => "tea"}.freeze
      OLDEST = "coffee"
      # Looks that are overdue, and how they are spoken of.
      SAID = {
        "fresh" => "fresh", "straw" => "straw by its age", "amber" => "amber by its age",
        "tea" => "tea by its age: overdue", "coffee" => "coffee by its age: long overdue",
        "unknown" => "of unknown age: counts as overdue"
      }.freeze
      UNKNOWN = "unknown"

      # @param changed_on [String] a date, or unknown
      # @param today [Date]
      # @return [Float, nil] years, never below 0
      def self.years(changed_on, today)
        return if changed_on == UNKNOWN || today.nil?
        [(today - Date.iso8601(changed_on)).to_f / DAYS_A_YEAR, 0.0].max
      end

      # @return [String] fresh, straw, amber, tea, coffee or unknown
      def self.look(years)
        return UNKNOWN unless years
        LOOKS.find { |up_to, _| years < up_to }&.last || OLDEST
      end
    end
  end
end
