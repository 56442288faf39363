# frozen_string_literal: true

module Sandbag
  module Feel
    # The lever as three numbers (docs/physics.md 7): v = v0 + C p + V_air p / (p + p_atm) in mL, p from the pull.
    class Curve
      attr_reader :circuit

      # @param circuit [Hydraulics::Circuit]
      # @param coefficients [Array<Float>] v0 mL, C mL/MPa, V_air mL
      def initialize(circuit, coefficients)
        @circuit = circuit
        @coefficients = coefficients.freeze
        freeze
      end

      # @return [Array<Float>] what each coefficient is worth at a pressure
      def self.row(pressure_mpa)
        [1.0, pressure_mpa, Hydraulics::VolumeBudget.air_taken_ml(1.0, pressure_mpa)]
      end

      # @return [Float] mm at the finger under a pull
      def travel_mm(force_n)
        circuit.travel_of_volume_mm(volume_ml(circuit.pressure_mpa(force_n)))
      end

      def volume_ml(pressure_mpa)
        dead_volume, stiffness, air = @coefficients
        dead_volume + stiffness * pressure_mpa + Hydraulics::VolumeBudget.air_taken_ml(air, pressure_mpa)
      end

      # @return [Float] mL for each MPa
      def slope_ml_mpa(pressure_mpa)
        _, stiffness, air = @coefficients
        stiffness + air * ATMOSPHERE_MPA / (pressure_mpa + ATMOSPHERE_MPA)**2
      end

      # @return [Float] mm for each N, while the pull is more than the return spring's
      def slope_mm_n(force_n)
        pressure = circuit.pressure_mpa(force_n)
        mpa_n = circuit.lever.gain / circuit.master.area_mm2
        circuit.travel_of_volume_mm(slope_ml_mpa(pressure) * mpa_n)
      end
    end
  end
end
