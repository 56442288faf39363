# frozen_string_literal: true

module Sandbag
  module Fluid
    # Boiling point of a glycol fluid by the water in it (docs/physics.md 5):
    # B(w) = B_wet + (B_dry − B_wet)(e^(−0.45 w) − k)/(1 − k), k = e^(−0.45·3.7).
    module BoilingPoint
      FALL = 0.45
      # Water in the standard's humidified test, % by volume.
      WET_PERCENT = 3.7
      # Free water at the low point of a fluid that does not take it up boils at this.
      WATER_C = 100.0

      # @param fluid [Hash] row of fluids.yml with dry_c and wet_c
      # @param water [Float] % by volume, 0 or more
      # @return [Float] °C
      def self.c(fluid, water)
        raise Refusal.at("water", "#{water} % of water cannot be", "0 or more") if water.negative?
        dry, wet = fluid.values_at("dry_c", "wet_c")
        k = Math.exp(-FALL * WET_PERCENT)
        wet + (dry - wet) * (Math.exp(-FALL * water) - k) / (1 - k)
      end

      # The same the other way round.
      # @param fluid [Hash] row of fluids.yml with dry_c and wet_c; boils_c [Float] °C
      # @return [Float] % by volume: none where it boils as fresh fluid or later, and no more than an estimate ever says
      def self.water(fluid, boils_c)
        dry, wet = fluid.values_at("dry_c", "wet_c")
        k = Math.exp(-FALL * WET_PERCENT)
        left = k + (1 - k) * (boils_c - wet) / (dry - wet)
        return WaterEstimate::MOST_PERCENT unless left.positive?
        (-Math.log(left) / FALL).clamp(0.0, WaterEstimate::MOST_PERCENT)
      end

      # How the boiling point of water and of wet fluid rises with pressure: 1/T = 1/T0 − (R/L) ln(p/p0), in K, with the
      # gas constant and the heat of vaporisation of water, J/(mol K) and J/mol.
      KELVIN, GAS, VAPORISING = 273.15, 8.314, 40_700.0

      # @param outside_c [Float] °C at which it boils in the open; pressure_mpa [Float] gauge, that it is under
      # @return [Float] °C
      def self.under_c(outside_c, pressure_mpa)
        return outside_c unless outside_c.finite?
        raised = GAS / VAPORISING * Math.log((pressure_mpa + ATMOSPHERE_MPA) / ATMOSPHERE_MPA)
        1 / (1 / (outside_c + KELVIN) - raised) - KELVIN
      end

      # @return [Array<Hash>] water, boils_c, from none to as much as the estimate ever says
      def self.curve(fluid)
        (0..(WaterEstimate::MOST_PERCENT * 4).to_i).map do |quarter|
          {water: quarter / 4.0, boils_c: c(fluid, quarter / 4.0)}
        end
      end
    end
  end
end
