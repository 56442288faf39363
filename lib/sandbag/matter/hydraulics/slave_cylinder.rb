# frozen_string_literal: true

module Sandbag
  module Hydraulics
    # Clutch slave: `release_force_n` lifts the clutch, `lift_needed_mm` frees it.
    class SlaveCylinder
      extend Measures

      measures :bore_mm, :release_force_n, :lift_needed_mm, :lift_margin_mm, :fluid_ml

      def area_mm2
        Geometry.area_mm2(bore_mm)
      end

      # @return [Float] MPa that releases the clutch
      def release_pressure_mpa
        release_force_n / area_mm2
      end
    end
  end
end
