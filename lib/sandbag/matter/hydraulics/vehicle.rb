# frozen_string_literal: true

module Sandbag
  module Hydraulics
    # What one brake circuit has to stop. `drive_ratio` is disc shaft speed over wheel (or track sprocket) speed:
    # 1 for a disc on the wheel, above 1 for a snowmobile's jackshaft.
    class Vehicle
      extend Measures

      measures :mass_kg, :wheel_radius_m, :disc_radius_m, :friction, :drive_ratio

      # Pressure for a wanted deceleration by this circuit alone (docs/physics.md 2): p = a m r_w / (2 μ r_e k ΣA_c).
      # @param clamp_area_mm2 [Float] ΣA_c
      # @return [Float] MPa
      def pressure_mpa(deceleration_m_s2, clamp_area_mm2)
        deceleration_m_s2 * mass_kg / brake_n_mpa(clamp_area_mm2)
      end

      # @return [Float] N at the road for each MPa
      def brake_n_mpa(clamp_area_mm2)
        2 * friction * disc_radius_m * drive_ratio * clamp_area_mm2 / wheel_radius_m
      end
    end
  end
end
