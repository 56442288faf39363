# frozen_string_literal: true

module Sandbag
  module Rig
    # How hot the far ends of a simulated circuit are, and what boils there. Steam is not air: it comes of the fluid and
    # goes back into it.
    class Heat
      # Brakes that are held down a pass come to this, and how long that and cooling take, °C and s. [default]
      PASS_C = 190.0
      WARMS_S, COOLS_S = 90.0, 300.0
      # Steam a second for each degree over the boiling point, how much there may be, and how much faster it goes back,
      # mL. [default]
      BOILS_ML_S_K, MOST_ML = 0.0005, 3.0
      CONDENSES = 10

      # celsius: of the far ends; steam_ml: as it would be outside
      attr_reader :celsius, :steam_ml

      # @param celsius [Float] of everything around
      def initialize(celsius)
        @around_c = @celsius = celsius
        @steam_ml = 0.0
      end

      # @param seconds [Float] that pass; brakes [Boolean] held on meanwhile; boils_c [Float] of the fluid there
      def pass(seconds, brakes:, boils_c:)
        towards, within = brakes ? [PASS_C, WARMS_S] : [@around_c, COOLS_S]
        @celsius += (towards - celsius) * seconds / within
        over = celsius - boils_c
        rate = BOILS_ML_S_K * over * (over.positive? ? 1 : CONDENSES)
        @steam_ml = (steam_ml + rate * seconds).clamp(0.0, MOST_ML)
      end
    end
  end
end
