# frozen_string_literal: true

module Sandbag
  module Hydraulics
    # Clutch slave: `release_force_n` lifts the clutch, `lift_needed_mm` frees it. `inner_mm` is the inside of the ring
    # of a concentric slave, 0 of any other. Refuses a ring without width.
    class SlaveCylinder
      extend Measures

      measures :bore_mm, :inner_mm, :release_force_n, :lift_needed_mm, :lift_margin_mm, :fluid_ml

      def area_mm2
        Geometry.area_mm2(bore_mm) - Geometry.area_mm2(inner_mm)
      end

      # @return [Float] MPa that releases the clutch
      def release_pressure_mpa
        release_force_n / area_mm2
      end

      private

      def settle
        return if inner_mm < bore_mm
        raise Refusal.at("inner", "an inner diameter of #{Said.mm(inner_mm, "g")} leaves no ring",
          "less than the outer one, #{Said.mm(bore_mm, "g")}")
      end
    end
  end
end
