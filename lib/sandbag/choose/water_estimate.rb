# frozen_string_literal: true

module Sandbag
  module Choose
    # Water in glycol fluid by its age, where nobody has measured it (docs/physics.md 5). Always an estimate, ±50 %.
    module WaterEstimate
      MOST_PERCENT = 6.0
      BAND = 0.5
      DAMP = 2.0

      # @param sheet [Circuit::Sheet]
      # @return [Float] % by volume a year
      def self.rate(sheet)
        worst = sheet.parts_of("line").map { |line| Knowledge.find("water_rates", sheet.values(line)["kind"].value)["percent_a_year"] }.max
        (sheet.value("fluid", "storage") == "damp") ? worst * DAMP : worst
      end

      # @param years [Float] since the last full change
      # @return [Hash] percent, low, high
      def self.of(sheet, years)
        middle = rate(sheet) * years
        {percent: [middle, MOST_PERCENT].min, low: [middle * (1 - BAND), MOST_PERCENT].min, high: [middle * (1 + BAND), MOST_PERCENT].min}
      end
    end
  end
end
