# frozen_string_literal: true

module Sandbag
  module Bleed
    # What a bleed leaves in the record beside its counts: refills, restarts, slips, changes of method, rounds.
    class Log
      extend Attributes

      # restarts: at, why, strokes; slips: at, why; changes: at, from, to, says; rounds: at, lever; top_ups [Integer];
      # in_ml, out_ml: through a pair of syringes, lower and upper
      attributes :restarts, :slips, :changes, :rounds, :top_ups, :in_ml, :out_ml

      def initialize(restarts: [], slips: [], changes: [], rounds: [], top_ups: 0, in_ml: 0.0, out_ml: 0.0)
        @restarts = restarts.freeze
        @slips = slips.freeze
        @changes = changes.freeze
        @rounds = rounds.freeze
        @top_ups = top_ups
        @in_ml = in_ml
        @out_ml = out_ml
        freeze
      end

      # @param kind [Symbol] restarts, slips, changes or rounds
      # @return [Log] with one line more
      def noted(kind, line)
        with(kind => [*public_send(kind), line])
      end
    end
  end
end
