# frozen_string_literal: true

module Sandbag
  module Hydraulics
    # Air in a line: whether a bubble that fills the bore rises by itself, and how fast, upright or in a sloping line;
    # and how fast a small one does (docs/physics.md 6).
    class Bubble
      # Below this Eötvös number a slug stays where it is (Bretherton 1961).
      ARREST = 3.37
      # Up to this Eötvös number the universal correlation is no measure: Bretherton's film counts where it is slower,
      # and the result is uncertain. [estimate]
      SURE = 6.0
      # The nose of a slug runs ahead of the mean flow by this.
      NOSE = 1.2

      # Coefficients of the universal correlation, Viana et al. 2003 (J. Fluid Mech. 494): a / (1 + (x / b)^c)^e.
      A = [0.34, 14.793, -3.06, 0.58].freeze
      B = [31.08, 29.868, -1.96, -0.49].freeze
      C = [-1.45, 24.867, -9.93, -0.094].freeze

      # Bretherton 1961, just above arrest: Eo / 4 − 0.842 = 1.25 Ca^(2/9) + 2.24 Ca^(1/3), Ca = μ u / σ.
      FILM, FILM_FIRST, FILM_SECOND = ARREST / 4, 1.25, 2.24

      # A sloping line, Weber et al. 1986: upright speed × (s + 1.37 Fr^(−1/3) s (1 − s)), s the sine of the slope; no
      # more than this times the upright speed.
      WEBER, STEEPEST = 1.37, 1.5

      # @param bore_mm [Float]; fluid [FlowingFluid]; slope [Float] sine of the slope, 0 level and 1 upright
      def initialize(bore_mm, fluid, slope: 1.0)
        @bore_m = Measures.finite("bore", bore_mm) / 1000
        @slope = Measures.finite("slope", slope).abs.clamp(0.0, 1.0)
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

      # The speed is uncertain: just above arrest the sources differ by more than ten times.
      def uncertain?
        !arrested? && eotvos < SURE
      end

      # @return [Float] mm/s at which a slug that fills the bore rises by itself along the line; 0 where it is arrested
      #   or the line is level
      def drift_mm_s
        return 0.0 if arrested? || @slope.zero?
        uncertain? ? [by_correlation_mm_s, by_film_mm_s].min : by_correlation_mm_s
      end

      # @return [Float] mm/s by the universal correlation alone
      def by_correlation_mm_s
        1000 * froude * Math.sqrt(GRAVITY_M_S2 * @bore_m) * leaning
      end

      # @param diameter_mm [Float] under a third of the bore
      # @return [Float] mm/s, by Stokes
      def self.small_rise_mm_s(diameter_mm, fluid)
        diameter_m = diameter_mm / 1000.0
        1000 * GRAVITY_M_S2 * diameter_m**2 * fluid.density_kg_m3 / (18 * fluid.viscosity_pa_s)
      end

      private

      # @return [Float] mm/s by Bretherton's film
      def by_film_mm_s
        wanted = eotvos / 4 - FILM
        capillary = Bisection.find(0.0, 1.0) do |number|
          FILM_FIRST * number**(2.0 / 9) + FILM_SECOND * number**(1.0 / 3) > wanted
        end
        1000 * capillary * @fluid.tension_n_m / @fluid.viscosity_pa_s * leaning
      end

      # @return [Float] the speed along a sloping line over that in an upright one
      def leaning
        [@slope + WEBER * froude**(-1.0 / 3) * @slope * (1 - @slope), STEEPEST].min
      end

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
