# frozen_string_literal: true

module Sandbag
  module Hydraulics
    # Volume the master must deliver to hold a gauge pressure (docs/physics.md 3):
    #
    #   V(p) = V_gap + (k_hose + k_cal) p + V_fluid p / K + V_air p / (p + p_atm)     (mL)
    #
    # Air is measured at atmospheric pressure and compresses isothermally.
    class VolumeBudget
      extend Measures

      measures :gap_ml, :hose_ml_mpa, :actuator_ml_mpa, :fluid_ml, :bulk_modulus_mpa

      # @return [Float] mL
      def volume_ml(pressure_mpa, air_ml: 0)
        gap_ml + stiffness_ml_mpa * pressure_mpa + VolumeBudget.air_taken_ml(air_ml, pressure_mpa)
      end

      # @return [Float] C: what every MPa costs in hose, caliper and fluid together
      attr_reader :stiffness_ml_mpa

      # @return [Float] mL by which `air_ml` of trapped air has shrunk at a gauge pressure
      def self.air_taken_ml(air_ml, pressure_mpa)
        air_ml * pressure_mpa / (pressure_mpa + ATMOSPHERE_MPA)
      end

      private

      def settle
        @stiffness_ml_mpa = hose_ml_mpa + actuator_ml_mpa + fluid_ml / bulk_modulus_mpa
      end
    end
  end
end
