# frozen_string_literal: true

module Sandbag
  module Hydraulics
    # Air in a line: whether a bubble that fills the bore rises by itself, and how fast; and how fast a small one does
    # (docs/physics.md 6).
    class Bubble
      # Below this Eötvös number a slug stays where it is (Bretherton 1961).
      ARREST = 3.37
      # The nose of a slug runs ahead of the mean flow by this.
      NOSE = 1.2

      # Coefficients of the universal correlation, Viana et al. 2003 (J. Fluid Mech. 494): a / (1 + (x / b)^c)^e.
      A = [0.34, 14.793, -3.06, 0.58].freeze
      B = [31.08, 29.868, -1.96, -0.49].freeze
      C = [-1.45, 24.867, -9.93, -0.094].freeze

      # @param bore_mm [Float]; fluid [FlowingFluid]
      def initialize(bore_mm, fluid)
        @bore_m = Measures.finite("bore", bore_mm) / 1000
        @fluid = fluid
        freeze
      end

      # @return [Float] Eo = ρ g d² / σ
      def eotvos
        @fluid.density_kg_m3 * GRAVITY_M_S2 * @bore_m**2 / @fluid.tension_n_m
      end

      def arrested?
        eotvos < ARREST
      end

      # @return [Float] mm/s at which a slug that fills the bore rises by itself; 0 where it is arrested
      def drift_mm_s
        return 0.0 if arrested?
        1000 * froude * Math.sqrt(GRAVITY_M_S2 * @bore_m)
      end

      # @param diameter_mm [Float] under a third of the bore
      # @return [Float] mm/s, by Stokes
      def self.small_rise_mm_s(diameter_mm, fluid)
        diameter_m = diameter_mm / 1000.0
        1000 * GRAVITY_M_S2 * diameter_m**2 * fluid.density_kg_m3 / (18 * fluid.viscosity_pa_s)
      end

      private

      def froude
        first, second, third = [A, B, C].map { |coefficients| curve(eotvos, *coefficients) }
        buoyancy = Math.sqrt(@bore_m**3 * GRAVITY_M_S2 * @fluid.density_kg_m3**2) / @fluid.viscosity_pa_s
        first / (1 + (buoyancy / second)**third)**(-1 / third)
      end

      def curve(number, size, scale, steepness, power)
        size / (1 + (number / scale)**steepness)**power
      end
    end
  end
end
