# frozen_string_literal: true

module Sandbag
  module Hydraulics
    # Turns lever force into pressure. `dead_stroke_mm` is the piston travel that closes the compensating port,
    # `preload_n` the return spring's force at the piston.
    class MasterCylinder
      extend Measures

      measures :bore_mm, :stroke_mm, :dead_stroke_mm, :preload_n

      # @return [Float]
      attr_reader :area_mm2

      # p = max(0, (η R F − F_s) / A_m)  (docs/physics.md 1)
      # @return [Float] MPa
      def pressure_mpa(finger_force_n, lever)
        [0.0, (lever.gain * finger_force_n - preload_n) / area_mm2].max
      end

      # F = (p A_m + F_s) / (η R)
      # @return [Float] N at the finger
      def finger_force_n(pressure_mpa, lever)
        (pressure_mpa * area_mm2 + preload_n) / lever.gain
      end

      # @return [Float] mm of piston travel that displaces `volume_ml`, the port's dead stroke included
      def stroke_for_mm(volume_ml)
        dead_stroke_mm + 1000 * volume_ml / area_mm2
      end

      # Volume that a stroke moves once the port is closed.
      # @param full_mm [Float] of piston travel
      # @return [Float] mL
      def swept_ml(full_mm = stroke_mm)
        area_mm2 * [full_mm - dead_stroke_mm, 0.0].max / 1000
      end

      # Fluid standing in the bore.
      # @return [Float] mL
      def fluid_ml
        area_mm2 * stroke_mm / 1000
      end

      private

      def settle
        @area_mm2 = Geometry.area_mm2(bore_mm)
      end
    end
  end
end
