# frozen_string_literal: true

module Sandbag
  module Feel
    # Light pulls at which air shows: between the return spring's force and the pressure under which air and dead
    # volume part.
    module LowForces
      SHARES = [0.12, 0.3, 0.5, 0.7, 0.9].freeze

      # @return [Array<Float>] N at the finger, lightest first
      def self.of(circuit)
        lightest = circuit.finger_force_n(0)
        SHARES.map { |share| (lightest + share * (ceiling_n(circuit) - lightest)).round.to_f }.uniq
      end

      # @return [Float] N under which a reading counts as light
      def self.ceiling_n(circuit)
        circuit.finger_force_n(LeverFit::LOW_MPA)
      end
    end
  end
end
