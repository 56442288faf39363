# frozen_string_literal: true

module Sandbag
  module Hydraulics
    # Flow through round segments in series (docs/physics.md 6): laminar friction, the kinetic head of every entry and
    # exit, and turbulent friction (Blasius) in segments above Reynolds number 2300.
    module Flow
      # @attr length_mm, bore_mm [Float]
      Segment = Struct.new(:length_mm, :bore_mm)

      # Above this Reynolds number the flow in a pipe is turbulent.
      TURBULENT = 2300.0
      # Each segment has one entry and one exit; either costs ρ U² / 2.
      ENTRY_AND_EXIT = 2

      # R = Σ 128 μ L / (π d⁴), of laminar friction alone.
      # @param segments [Array<Segment>]; fluid [FlowingFluid]
      # @return [Float] MPa for each mL/s
      def self.resistance_mpa_s_ml(segments, fluid)
        # μ in MPa·s; mm, so that Q comes in mm³/s
        segments.sum { |each| 128 * fluid.viscosity_pa_s * 1e-6 * each.length_mm / (Math::PI * each.bore_mm**4) } * 1000
      end

      # k = Σ ρ / A² for entry and exit of each segment: k Q² comes off the pressure.
      # @return [Float] MPa for each (mL/s)²
      def self.kinetic_mpa_s2_ml2(segments, fluid)
        # A in mm²: 1 mL/s is 1/A m/s, and Pa become MPa
        segments.sum { |each| ENTRY_AND_EXIT * fluid.density_kg_m3 / 2 / Geometry.area_mm2(each.bore_mm)**2 } * 1e-6
      end

      # The flow at which friction and kinetic head use up the pressure: ΔP = R Q + k Q², with Blasius where turbulent.
      # @return [Float] mL/s, none where nothing pushes
      def self.ml_s(pressure_mpa, segments, fluid)
        return 0.0 unless pressure_mpa.positive?
        kinetic = kinetic_mpa_s2_ml2(segments, fluid)
        laminar = quadratic(pressure_mpa, resistance_mpa_s_ml(segments, fluid), kinetic)
        return laminar if segments.all? { |each| reynolds(laminar, each, fluid) <= TURBULENT }
        Bisection.find(0.0, laminar) { |flow| drop_mpa(flow, segments, fluid, kinetic) > pressure_mpa }
      end

      # @param kinetic [Float] MPa for each (mL/s)²
      # @return [Float] MPa that a flow uses up
      def self.drop_mpa(flow_ml_s, segments, fluid, kinetic = kinetic_mpa_s2_ml2(segments, fluid))
        segments.sum { |each| friction_mpa(flow_ml_s, each, fluid) } + kinetic * flow_ml_s**2
      end

      # @return [Float] ρ U d / μ
      def self.reynolds(flow_ml_s, segment, fluid)
        fluid.density_kg_m3 * speed_mm_s(flow_ml_s, segment.bore_mm) * segment.bore_mm * 1e-6 / fluid.viscosity_pa_s
      end

      # Q of ΔP = R Q + k Q².
      # @return [Float] mL/s
      def self.quadratic(pressure_mpa, resistance, kinetic)
        2 * pressure_mpa / (resistance + Math.sqrt(resistance**2 + 4 * kinetic * pressure_mpa))
      end

      # Blasius: f = 0.316 Re^(−1/4), ΔP = f (L/d) ρ U² / 2.
      def self.friction_mpa(flow_ml_s, segment, fluid)
        number = reynolds(flow_ml_s, segment, fluid)
        return resistance_mpa_s_ml([segment], fluid) * flow_ml_s if number <= TURBULENT
        speed_m_s = speed_mm_s(flow_ml_s, segment.bore_mm) / 1000
        0.316 * number**-0.25 * segment.length_mm / segment.bore_mm * fluid.density_kg_m3 * speed_m_s**2 / 2 * 1e-6
      end
      private_class_method :friction_mpa

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
