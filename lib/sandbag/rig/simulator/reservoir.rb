# frozen_string_literal: true

module Sandbag
  module Rig
    # The reservoir over the port of a simulated circuit: what it has, and what ran over.
    class Reservoir
      # Over what it holds, as a share, before it runs over. [default]
      SPILLS = 1.25

      # ml: over the port; full_ml: at its mark; spilled_ml: that ran over since the start
      attr_reader :ml, :full_ml, :spilled_ml

      # @param full_ml [Float]; share [Float] of it that is filled
      def initialize(full_ml, share)
        @full_ml = full_ml
        @ml = full_ml * share
        @spilled_ml = 0.0
      end

      # @return [Float] mL that it gives, down to its port
      def give(ml)
        given = @ml.clamp(0.0, ml)
        @ml -= given
        given
      end

      # @return [Boolean] more came in than it should hold
      def take(ml)
        @ml += ml
        over = [@ml - SPILLS * full_ml, 0.0].max
        @ml -= over
        @spilled_ml += over
        over.positive? || @ml > full_ml + 1e-9
      end
    end
  end
end
