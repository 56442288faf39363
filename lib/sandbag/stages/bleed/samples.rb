# frozen_string_literal: true

module Sandbag
  module Bleed
    # Samples of the points, set against one another: where does it come from?
    class Samples
      # @param points [Array<Airway::PointCount>]; seen [Hash{String => String}] point => id of bleed_samples.yml
      def initialize(points, seen)
        @points = points
        @seen = seen
        freeze
      end

      # @return [Array<String>] a sentence for each kind of dirt
      def says
        Tables.rows("bleed_samples").select { |row| row["dirty"] && @seen.value?(row["id"]) }.map { |row| of(row) }
      end

      private

      def of(row)
        there, elsewhere = @points.select { |point| @seen.key?(point.plan_point.id) }
          .partition { |point| @seen[point.plan_point.id] == row["id"] }
        at = there.map(&:label).join(" and ")
        sign = "a sign of #{row["means"]}"
        return "#{row["label"]} at #{at} only, #{sign}: look at that end and its hose." if elsewhere.any?
        return "#{row["label"]} at #{at}, #{sign}. Compare it with the other points." if there.size < @points.size
        "#{row["label"]} at every point, #{sign}: look at the master, its reservoir and what they share."
      end
    end
  end
end
