# frozen_string_literal: true

module Sandbag
  module Rig
    # What a learner's hand does in one go, and how fast: the page sends it as it is done. [default]
    module Pace
      # The whole way of the lever, pulled and let back, s.
      PULL_S, RETURN_S = 1.2, 0.4
      # A syringe, mL/s; a hand vacuum pump, MPa.
      PUSH_ML_S, VACUUM_MPA = 1.0, 0.05
      # Pistons pressed home in one go.
      PRESS = {ml: 4, s: 8}.freeze
      # The ABS tool in one go, s.
      CYCLE_S = 10
      # The reservoir is drawn off to this share of it, and called low under this one.
      DRAWN_TO, LOW = 0.3, 0.25
      # An action, and all of one request, take at most so long, s; cooling after a pass, s.
      PIECE_S, COOLING_S = 60, 900

      # @return [Hash] all of it, and how far a nipple may be opened
      def self.to_h
        {
          pull_s: PULL_S, return_s: RETURN_S, push_ml_s: PUSH_ML_S, vacuum_mpa: VACUUM_MPA, crack_s: Mechanic::CRACK_S,
          press: PRESS, cycle_s: CYCLE_S, piece_s: PIECE_S, drawn_to: DRAWN_TO, low: LOW, pass: pieces("descend", Lesson::PASS_S),
          cooling: pieces("wait", COOLING_S), openings: openings
        }
      end

      # @return [Array<Hash>] actions that take so many seconds together
      def self.pieces(action, seconds)
        Array.new((seconds / PIECE_S).ceil) { {do: action, s: PIECE_S} }
      end

      def self.openings
        Tables.rows("nipple_openings").select { |row| row["turns"].positive? }.map { |row| row.slice("label", "turns") }
      end
      private_class_method :pieces, :openings
    end
  end
end
