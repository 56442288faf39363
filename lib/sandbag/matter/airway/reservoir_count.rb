# frozen_string_literal: true

module Sandbag
  module Airway
    # The reservoir, or the syringe, as it is drawn down: runs ahead of the real one, so that the warning comes before
    # the port is uncovered. The allowance is set at each refill and counted down; it does not grow back as the level
    # falls.
    class ReservoirCount
      SOON_STROKES = 2
      # Practice 7.6 and docs/physics.md 6: refill when this share has gone.
      REFILL_SHARE = 0.6

      extend Attributes

      # full_ml: one filling; run_ml: read off since the refill; dry: the port was uncovered, and nothing was poured in
      # since
      attributes :full_ml, :stroke_ml, :by_ml, :strokes, :run_ml, :dry

      def initialize(full_ml:, stroke_ml:, by_ml: false, strokes: 0, run_ml: 0.0, dry: false)
        @full_ml = full_ml
        @stroke_ml = stroke_ml
        @by_ml = by_ml
        @strokes = strokes
        @run_ml = run_ml
        @dry = dry
        freeze
      end

      # @return [ReservoirCount] of a fresh filling
      def self.of(supply, stroke_ml)
        new(full_ml: supply.ml, stroke_ml: stroke_ml, by_ml: supply.by_ml?)
      end

      def with_strokes(number)
        with(strokes: strokes + number)
      end

      def with_run(ml)
        with(run_ml: run_ml + ml)
      end

      def topped_up
        with(strokes: 0, run_ml: 0.0, dry: false)
      end

      # The port was uncovered: what stands in it is unknown until it is topped up.
      def uncovered
        with(dry: true)
      end

      # @return [Integer] strokes that it bears before the port is uncovered. One stroke is always let.
      def strokes_borne
        dry ? 0 : [[strokes_per_filling, 1].max - strokes_since_top_up, 0].max
      end

      # @return [Float] mL above the port cover level, never below zero
      def left_ml
        dry ? 0.0 : [full_ml - strokes * stroke_ml - run_ml, 0.0].max
      end

      # What was read off counts as whole strokes.
      def strokes_since_top_up
        strokes + ((run_ml - PointCount::DROP_ML) / stroke_ml).ceil.clamp(0..)
      end

      # From a fresh filling.
      def strokes_per_top_up
        [(REFILL_SHARE * full_ml / stroke_ml).floor, 1].max
      end

      # From a fresh filling until the port would uncover.
      def strokes_per_filling
        (full_ml / stroke_ml).floor
      end

      def strokes_to_top_up
        dry ? 0 : [strokes_per_top_up - strokes_since_top_up, 0].max
      end

      def strokes_to_uncover
        dry ? 0 : [strokes_per_filling - strokes_since_top_up, 0].max
      end

      # @return [Float] mL until it is time to refill
      def ml_to_top_up
        [left_ml - (1 - REFILL_SHARE) * full_ml, 0.0].max
      end

      # All the fluid above the port has been drawn: nothing further before a refill.
      def spent?
        by_ml ? left_ml <= PointCount::DROP_ML : strokes_borne.zero?
      end

      # @return [String] ok, soon, now (refill before the next stroke) or stop (the next stroke may uncover the port)
      def warning
        return ml_warning if by_ml
        return "stop" if strokes_to_uncover <= 1
        return "now" if strokes_to_top_up.zero?
        (strokes_to_top_up <= SOON_STROKES && strokes_per_top_up > SOON_STROKES) ? "soon" : "ok"
      end

      MOST_RUNGS = 200

      # What each further stroke since a refill will show, so that a page cut off from here still warns in time.
      # @return [Array<Hash>] by strokes since the refill, from 0; the last stands for all beyond
      def ladder
        rungs = [strokes_per_filling + 1, MOST_RUNGS].min
        (0..rungs).map { |number| topped_up.with(strokes: number).to_h }
      end

      def to_h
        {left_ml: left_ml, full_ml: full_ml, refill_ml: REFILL_SHARE * full_ml,
         strokes_since_top_up: strokes_since_top_up, strokes_to_top_up: strokes_to_top_up,
         strokes_to_uncover: strokes_to_uncover, ml_to_top_up: ml_to_top_up, warning: warning, spent: spent?}
      end

      private

      def ml_warning
        return "stop" if spent?
        (ml_to_top_up <= PointCount::DROP_ML) ? "now" : "ok"
      end
    end
  end
end
