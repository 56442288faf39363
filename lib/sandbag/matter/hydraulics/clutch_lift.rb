# frozen_string_literal: true

module Sandbag
  module Hydraulics
    # Piston stroke and slave lift of a clutch circuit (docs/physics.md 4), hose swell at release pressure taken off.
    module ClutchLift
      # slave travel = 1000 [ (s − s_port) A_m / 1000 − k_hose p ] / A_slave
      # @return [Float] mm of lift from a piston stroke
      def self.mm(circuit, stroke_mm)
        master = circuit.master
        delivered_ml = (stroke_mm - master.dead_stroke_mm) * master.area_mm2 / 1000
        1000 * (delivered_ml - swell_ml(circuit)) / circuit.slave.area_mm2
      end

      # The inverse: piston stroke that gives a lift.
      def self.stroke_mm(circuit, lift_mm)
        circuit.master.stroke_for_mm(circuit.slave.area_mm2 * lift_mm / 1000 + swell_ml(circuit))
      end

      def self.swell_ml(circuit)
        circuit.lines.sum(&:swell_ml_mpa) * circuit.slave.release_pressure_mpa
      end
      private_class_method :swell_ml
    end
  end
end
