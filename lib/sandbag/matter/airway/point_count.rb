# frozen_string_literal: true

module Sandbag
  module Airway
    # What has passed at one point since the count last started, in strokes and in millilitres read off. `with_…` give
    # the next count; frozen.
    class PointCount
      # Done-criteria of docs/trade.md 7.4. [default]
      CLEAN_STROKES = 5
      CLEAN_ML = 20.0
      # Below a drop, mL: sums of readings differ so far from what they should be.
      DROP_ML = 1e-6

      extend Attributes

      # @attr marked [Boolean] the mechanic marked it finished; by_ml [Boolean] the method at hand is read in
      #   millilitres; run_ml, clean_run_ml: read off, in all and since the last bubble
      attributes :plan_point, :stroke_ml, :by_ml, :strokes, :clean_strokes, :run_ml, :clean_run_ml, :colour, :marked

      # @param plan_point [Plan::Point]; stroke_ml [Float] mL a full stroke moves
      def initialize(plan_point:, stroke_ml:, by_ml: false, strokes: 0, clean_strokes: 0, run_ml: 0.0,
        clean_run_ml: 0.0, colour: nil, marked: false)
        @plan_point = plan_point
        @stroke_ml = stroke_ml
        @by_ml = by_ml
        @strokes = strokes
        @clean_strokes = clean_strokes
        @run_ml = run_ml
        @clean_run_ml = clean_run_ml
        @colour = colour
        @marked = marked
        freeze
      end

      # Marked finished, and the criteria still hold: a bubble or a changed circuit opens the point again.
      def done
        marked && missing.empty?
      end

      def label
        plan_point.label
      end

      def with_strokes(number)
        with(strokes: strokes + number, clean_strokes: clean_strokes + number)
      end

      def with_run(ml)
        with(run_ml: run_ml + ml, clean_run_ml: clean_run_ml + ml)
      end

      # What comes next is judged for bubbles from here.
      def with_bubbles
        with(clean_strokes: 0, clean_run_ml: 0.0, marked: false)
      end

      def passed_ml
        strokes * stroke_ml + run_ml
      end

      # @return [Integer] strokes in all, by what has run beside them
      def planned_strokes
        [((plan_point.flush_ml - run_ml - DROP_ML) / stroke_ml).ceil, 0].max
      end

      # Strokes until enough has passed and enough of it without a bubble.
      def strokes_to_go
        [planned_strokes - strokes, clean_strokes_wanted - clean_strokes, 0].max
      end

      # @return [Float] mL until enough has passed and enough of it without a bubble
      def ml_to_go
        [plan_point.flush_ml - passed_ml, CLEAN_ML - clean_ml, 0.0].max
      end

      # @return [Array<String>] what the done-criteria still lack
      def missing
        [lack, ("colour not yet as the fresh sample" unless fresh?)].compact
      end

      def to_h
        {id: plan_point.id, label: plan_point.label, why: plan_point.why, planned_strokes: planned_strokes,
         planned_ml: plan_point.flush_ml, strokes: strokes, passed_ml: passed_ml, clean_strokes: clean_strokes,
         clean_wanted: clean_strokes_wanted, clean_ml: clean_ml, clean_ml_wanted: CLEAN_ML,
         strokes_to_go: strokes_to_go, ml_to_go: ml_to_go, colour: colour, fresh: fresh?, marked: marked,
         done: done}.compact
      end

      private

      def lack
        return ("#{Said.ml([ml_to_go, 1].max)} to go" if ml_to_go > DROP_ML) if by_ml
        "#{strokes_to_go} #{(strokes_to_go == 1) ? "stroke" : "strokes"} to go" if strokes_to_go.positive?
      end

      def clean_ml
        clean_strokes * stroke_ml + clean_run_ml
      end

      # five strokes or 20 mL, whichever comes first
      def clean_strokes_wanted
        [CLEAN_STROKES, (CLEAN_ML / stroke_ml).ceil].min
      end

      def fresh?
        !colour.nil? && (Tables.find("fluid_colours", colour)&.fetch("fresh") || false)
      end
    end
  end
end
