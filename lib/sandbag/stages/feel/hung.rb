# frozen_string_literal: true

module Sandbag
  module Feel
    # Pulls that weights of known mass make when they hang on a lever: bottles of water, cans, plates (docs/physics.md
    # 1).
    class Hung
      GRAVITY_M_S2 = Units::DIMENSIONS[:force].fetch("kgf").to_f
      # Pieces that hang together at most: more of them do not stay on a lever. [default]
      MOST_PIECES = 3

      # @param data [Hash] kg; angle [Float, nil] degrees off square to the lever; hook [Float, nil] mm from the pivot,
      #   the finger point where absent
      # @param lever [Hydraulics::Lever]
      # @return [Float] N that the same moment takes at the finger point
      def self.force_n(data, lever)
        square = Math.cos(data.fetch("angle", 0) * Math::PI / 180)
        data["kg"] * GRAVITY_M_S2 * square * data.fetch("hook", lever.finger_to_pivot_mm) / lever.finger_to_pivot_mm
      end

      # @param masses_kg [Array<Float>] each piece that there is, once
      # @param circuit [Hydraulics::Circuit]; firm_n [Float] the firmest pull that is wanted
      def initialize(masses_kg, circuit, firm_n)
        @circuit = circuit
        @firm_n = firm_n
        @loads = loads(masses_kg).freeze
        freeze
      end

      # The four pulls to begin with: three light ones, where air shows, and a firm one; of two that are as near, the
      # one of fewer pieces.
      # @return [Array<Hash>] pieces_kg, kg and force_n, lightest first; fewer where two would be the same pull
      def first
        [*LowForces.of(@circuit).values_at(1, 2, 4), @firm_n].compact
          .filter_map { |force| nearest(force) }.uniq.sort_by { |load| load[:kg] }
      end

      # @return [Array<Float>] N of every pull that can be made, no firmer than is wanted
      def forces_n
        @loads.map { |load| load[:force_n] }.select { |force| force <= @firm_n }.uniq
      end

      # @param force_n [Float] one of them
      # @return [Hash, nil] pieces_kg, kg and force_n
      def load(force_n)
        @loads.select { |each| (each[:force_n] - force_n).abs < SAME_N }.min_by { |each| each[:pieces_kg].size }
      end
      # Two pulls of the same pieces, N: arithmetic's own error.
      SAME_N = 1e-6

      private

      def nearest(force_n)
        @loads.min_by { |load| [(load[:force_n] - force_n).abs.round(1), load[:pieces_kg].size] }
      end

      # Every pull that can be put together and that moves the piston.
      def loads(masses_kg)
        (1..MOST_PIECES).flat_map { |count| masses_kg.combination(count).to_a }.map do |pieces|
          {pieces_kg: pieces, kg: pieces.sum, force_n: pieces.sum * GRAVITY_M_S2}
        end.select { |load| @circuit.pressure_mpa(load[:force_n]).positive? }
      end
    end
  end
end
