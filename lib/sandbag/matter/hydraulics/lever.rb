# frozen_string_literal: true

module Sandbag
  module Hydraulics
    # Bar lever or pedal. The finger point is the middle of the two fingers that pull (the pad of the foot on a pedal).
    # `gap_to_grip_mm` is free travel at the finger from rest to the grip (or pedal stop); `safe_gap_mm` of it must
    # stay. `share` of the push goes to this cylinder: less than all of it where a balance bar pushes two.
    class Lever
      extend Measures

      measures :finger_to_pivot_mm, :push_offset_mm, :free_play_mm, :gap_to_grip_mm, :safe_gap_mm, :efficiency,
        share: 1.0

      # @return [Float] pull distance over push offset (docs/physics.md 1)
      attr_reader :ratio

      # @return [Float] η R and the share of a balance bar: N at the piston for each N at the finger (docs/physics.md 1)
      attr_reader :gain

      # @return [Float] mm of travel that may be used before the safe gap is reached
      def available_travel_mm
        gap_to_grip_mm - safe_gap_mm
      end

      # @return [Float] mm that the piston goes when the lever is pulled to the grip, or the pedal to its stop
      def stroke_mm
        (gap_to_grip_mm - free_play_mm) / ratio
      end

      # @return [Float] mm at the finger for a piston stroke, free play included
      def travel_mm(stroke_mm)
        free_play_mm + ratio * stroke_mm
      end

      private

      def settle
        @ratio = finger_to_pivot_mm / push_offset_mm
        @gain = efficiency * ratio * share
      end
    end
  end
end
