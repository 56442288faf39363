# frozen_string_literal: true

module Sandbag
  module Rig
    # Lever and master of a simulated circuit: where the piston stands, what it swept, and whether its port is open.
    class Master
      attr_accessor :lever_mm

      # @param circuit [Hydraulics::Circuit]; faults [Faults]
      def initialize(circuit, faults)
        @circuit = circuit
        @faults = faults
        @lever_mm = 0.0
      end

      # @return [Float] mm at the finger, all the way: until the cylinder, or the lever at the grip, is at its end
      def travel_mm
        @circuit.lever.travel_mm(@circuit.full_stroke_mm)
      end

      # @return [Float] mm that the piston stands in
      def piston_mm
        ((lever_mm - free_play_mm) / @circuit.lever.ratio).clamp(0.0, @circuit.master.stroke_mm)
      end

      # @return [Float] mL that it pushed out past its port
      def swept_ml
        @circuit.master.area_mm2 * [piston_mm - @circuit.master.dead_stroke_mm, 0.0].max / 1000
      end

      # The port is open to the reservoir.
      def port_open?
        @faults.port_opens? && piston_mm < @circuit.master.dead_stroke_mm
      end

      # @return [Float] N at the finger that hold the lever where it is
      def force_n(pressure_mpa)
        lever_mm.positive? ? @circuit.finger_force_n(pressure_mpa) : 0.0
      end

      private

      def free_play_mm
        @faults.no_free_play ? 0.0 : @circuit.lever.free_play_mm + @faults.free_play_mm
      end
    end
  end
end
