# frozen_string_literal: true

module Sandbag
  module Bleed
    # The reservoir as the strokes draw it down: runs ahead of the real one, so that the warning comes before the port
    # is uncovered. The allowance is set at each top-up and counted down; it does not grow back as the level falls.
    class ReservoirCount
      SOON_STROKES = 2

      attr_reader :strokes_since_top_up

      def initialize(plan, strokes_since_top_up: 0)
        @plan = plan
        @strokes_since_top_up = strokes_since_top_up
        freeze
      end

      def with_strokes(number)
        ReservoirCount.new(@plan, strokes_since_top_up: strokes_since_top_up + number)
      end

      def topped_up
        ReservoirCount.new(@plan)
      end

      # @return [Float] mL above the port cover level, never below zero
      def left_ml
        [@plan.usable_ml - strokes_since_top_up * @plan.stroke_ml, 0.0].max
      end

      def strokes_to_top_up
        [@plan.strokes_per_top_up - strokes_since_top_up, 0].max
      end

      def strokes_to_uncover
        [@plan.strokes_to_uncover - strokes_since_top_up, 0].max
      end

      # All the fluid above the port has been drawn: no further stroke before a top-up. One stroke is always let.
      def spent?
        strokes_since_top_up >= [@plan.strokes_to_uncover, 1].max
      end

      # @return [String] ok, soon, now (top up before the next stroke) or stop (the next stroke may uncover the port)
      def warning
        return "stop" if strokes_to_uncover <= 1
        return "now" if strokes_to_top_up.zero?
        (strokes_to_top_up <= SOON_STROKES && @plan.strokes_per_top_up > SOON_STROKES) ? "soon" : "ok"
      end

      MOST_RUNGS = 200

      # What each further stroke since a top-up will show, so that a page cut off from here still warns in time.
      # @return [Array<Hash>] by strokes since the top-up, from 0; the last stands for all beyond
      def self.ladder(plan)
        rungs = [plan.strokes_to_uncover + 1, MOST_RUNGS].min
        (0..rungs).map { |strokes| new(plan, strokes_since_top_up: strokes).to_h }
      end

      def to_h
        {left_ml: left_ml, full_ml: @plan.usable_ml, strokes_since_top_up: strokes_since_top_up,
         strokes_to_top_up: strokes_to_top_up, strokes_to_uncover: strokes_to_uncover, warning: warning, spent: spent?}
      end
    end
  end
end
