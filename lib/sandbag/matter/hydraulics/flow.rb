# frozen_string_literal: true

module Sandbag
  module Hydraulics
    # Laminar flow through round segments in series: Q = ΔP / Σ(128 μ L / π d⁴) (docs/physics.md 6).
    module Flow
      # @attr length_mm, bore_mm [Float]
      Segment = Struct.new(:length_mm, :bore_mm)

      # @param segments [Array<Segment>]; fluid [FlowingFluid]
      # @return [Float] MPa for each mL/s
      def self.resistance_mpa_s_ml(segments, fluid)
        # μ in MPa·s; mm, so that Q comes in mm³/s
        segments.sum { |each| 128 * fluid.viscosity_pa_s * 1e-6 * each.length_mm / (Math::PI * each.bore_mm**4) } * 1000
      end

      # @return [Float] mL/s
      def self.ml_s(pressure_mpa, segments, fluid)
        pressure_mpa / resistance_mpa_s_ml(segments, fluid)
      end

      # @return [Float] MPa of a column of fluid
      def self.head_mpa(height_mm, fluid)
        fluid.density_kg_m3 * GRAVITY_M_S2 * height_mm / 1000 * 1e-6
      end

      # @return [Float] mm/s, the mean over the bore
      def self.speed_mm_s(flow_ml_s, bore_mm)
        1000 * flow_ml_s / Geometry.area_mm2(bore_mm)
      end
    end
  end
end
