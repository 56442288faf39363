# frozen_string_literal: true

module Sandbag
  module Circuit
    # The working point at which levers are compared: the finger force that gives the wanted deceleration of a brake, or
    # that releases a clutch.
    module Reference
      # @return [Float] N at the finger
      def self.force_n(sheet, circuit)
        circuit.finger_force_n(pressure_mpa(sheet, circuit))
      end

      # @return [Float] MPa
      def self.pressure_mpa(sheet, circuit)
        return circuit.slave.release_pressure_mpa if circuit.clutch?
        circuit.vehicle.pressure_mpa(sheet.value("target", "deceleration"), circuit.clamp_area_mm2)
      end

      # @return [String] one line for the mechanic
      def self.why(sheet)
        return "force that releases the clutch" if sheet.clutch?
        "force for #{format("%.1f", sheet.value("target", "deceleration"))} m/s² by this circuit alone"
      end
    end
  end
end
