# frozen_string_literal: true

module Sandbag
  module Fluid
    # Water in glycol fluid as an instrument found it: a pen reads per cent, a boil tester the temperature at which a
    # sample boils. Each has its own limits (docs/trade.md 2.7).
    class WaterTest
      # @attr percent [Float] by volume; boils_c [Float, nil] as it was read
      attr_reader :percent, :boils_c

      # @param fluid [Hash] row of fluids.yml with dry_c and wet_c
      # @param data [Hash] of the entry: water in %, or celsius
      def initialize(fluid, data)
        @wet_c = fluid["wet_c"]
        @boils_c = data["celsius"]
        @percent = data["water"] || BoilingPoint.water(fluid, boils_c)
        freeze
      end

      # @return [Hash] row of water_verdicts.yml
      def verdict
        return WaterTest.verdict(percent) unless boils_c
        Tables.rows("water_verdicts").find { |row| row["over_wet"] && boils_c >= @wet_c + row["over_wet"] } ||
          Tables.rows("water_verdicts").last
      end

      # @param percent [Float] read, or estimated
      # @return [Hash] row of water_verdicts.yml
      def self.verdict(percent)
        Tables.rows("water_verdicts").reverse.find { |row| row["from"] <= percent }
      end
    end
  end
end
