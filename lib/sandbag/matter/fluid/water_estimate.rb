# frozen_string_literal: true

module Sandbag
  module Fluid
    # Water in glycol fluid by its age, where nobody has measured it (docs/physics.md 5). Always an estimate, ±50 % of
    # what is shown, at the cap too.
    module WaterEstimate
      MOST_PERCENT = 6.0
      BAND = 0.5
      DAMP = 2.0

      # @param sheet [Circuit::Sheet]
      # @return [Float] % by volume a year
      def self.rate(sheet)
        worst =
          sheet
            .parts_of("line")
            .map { |line| Tables.find("water_rates", sheet.values(line)["kind"].value)["percent_a_year"] }
            .max
        (sheet.value("fluid", "storage") == "damp") ? worst * DAMP : worst
      end

      # @param years [Float] since the last full change
      # @return [Hash] percent, low, high
      def self.of(sheet, years)
        percent = [rate(sheet) * years, MOST_PERCENT].min
        {percent: percent, low: percent * (1 - BAND), high: percent * (1 + BAND)}
      end
    end
  end
end
