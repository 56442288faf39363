# frozen_string_literal: true

module Sandbag
  module Bleed
    # What has passed at one point since the count last started. `with_…` give the next count; frozen.
    class PointCount
      # Done-criteria of docs/trade.md 7.4. [default]
      CLEAN_STROKES = 5
      CLEAN_ML = 20.0

      extend Attributes

      # @attr marked [Boolean] the mechanic marked it finished
      attributes :plan_point, :stroke_ml, :strokes, :clean_strokes, :colour, :marked

      # @param plan_point [Plan::Point]; stroke_ml [Float] mL a full stroke moves
      def initialize(plan_point:, stroke_ml:, strokes: 0, clean_strokes: 0, colour: nil, marked: false)
        @plan_point = plan_point
        @stroke_ml = stroke_ml
        @strokes = strokes
        @clean_strokes = clean_strokes
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

      def with_bubbles
        with(clean_strokes: 0, marked: false)
      end

      def passed_ml
        strokes * stroke_ml
      end

      # Strokes until enough has passed and enough of it without a bubble.
      def strokes_to_go
        [plan_point.strokes - strokes, clean_strokes_wanted - clean_strokes, 0].max
      end

      # @return [Array<String>] what the done-criteria still lack
      def missing
        [
          ("#{strokes_to_go} #{(strokes_to_go == 1) ? "stroke" : "strokes"} to go" if strokes_to_go.positive?),
          ("colour not yet as the fresh sample" unless fresh?)
        ].compact
      end

      def to_h
        {id: plan_point.id, label: plan_point.label, why: plan_point.why, planned_strokes: plan_point.strokes,
         planned_ml: plan_point.flush_ml, strokes: strokes, passed_ml: passed_ml, clean_strokes: clean_strokes,
         clean_wanted: clean_strokes_wanted,
         strokes_to_go: strokes_to_go, colour: colour, fresh: fresh?, marked: marked, done: done}.compact
      end

      private

      # five strokes or 20 mL, whichever comes first
      def clean_strokes_wanted
        [CLEAN_STROKES, (CLEAN_ML / stroke_ml).ceil].min
      end

      def fresh?
        !colour.nil? && (Knowledge.find("fluid_colours", colour)&.fetch("fresh") || false)
      end
    end
  end
end
