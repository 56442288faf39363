# frozen_string_literal: true

module Sandbag
  module Rig
    # Lever and master of a simulated circuit: where the piston stands, what it swept, and whether its port is open.
    class Master
      # @attr lever_mm [Float] mm at the finger; piston_mm [Float] that the piston stands in; swept_ml [Float] that it
      #   pushed out past its port
      attr_reader :lever_mm, :piston_mm, :swept_ml

      # @param circuit [Hydraulics::Circuit]; faults [Faults]
      def initialize(circuit, faults)
        @circuit = circuit
        @faults = faults
        self.lever_mm = 0.0
      end

      def lever_mm=(finger_mm)
        @lever_mm = finger_mm
        @piston_mm = ((finger_mm - free_play_mm) / @circuit.lever.ratio).clamp(0.0, @circuit.master.stroke_mm)
        @swept_ml = @circuit.master.area_mm2 * [piston_mm - @circuit.master.dead_stroke_mm, 0.0].max / 1000
      end

      # @return [Float] mm at the finger, all the way: until the cylinder, or the lever at the grip, is at its end
      def travel_mm
        @circuit.lever.travel_mm(@circuit.full_stroke_mm)
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
