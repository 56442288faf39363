# frozen_string_literal: true

module Sandbag
  module Bleed
    # The live count of a bleed, folded from the job's entries: strokes, top-ups, bubbles, colour, and starting over
    # when the port was uncovered.
    class Count
      extend Attributes

      # entries: how many were counted, and last_id the newest of them
      attributes :plan, :points, :reservoir, :current_id, :restarts, :total_strokes, :entries, :last_id

      # @param entries [Job::Entries] the bleed stage's entries still in force, oldest first
      def self.fold(plan, entries)
        counted = entries
          .chunk_while { |one, next_one| one.kind == "stroke" && next_one.kind == "stroke" }
          .reduce(new(plan: plan)) do |count, run|
            (run.first.kind == "stroke") ? count.strokes(run.size) : count.apply(run.first)
          end
        counted.with(entries: entries.size, last_id: entries.at(-1)&.id)
      end

      # @param points [Hash{String => PointCount}] by id; @param current_id [String] of the point at hand
      def initialize(plan:, points: nil, reservoir: nil, current_id: nil, restarts: [], total_strokes: 0, entries: 0,
        last_id: nil)
        @plan = plan
        @points = (points || Count.fresh_points(plan)).freeze
        @reservoir = reservoir || ReservoirCount.new(plan)
        @current_id = current_id || next_open_id
        @restarts = restarts.freeze
        @total_strokes = total_strokes
        @entries = entries
        @last_id = last_id
        freeze
      end

      def self.fresh_points(plan)
        plan.points.to_h { |point| [point.id, PointCount.new(plan_point: point, stroke_ml: plan.stroke_ml)] }
      end

      # Counts on, where nothing but further entries came since: the same plan, and none that was counted taken back.
      # @return [Count, nil] nil where all must be counted anew
      def on(plan, all)
        return unless entries.positive? && all.at(entries - 1)&.id == last_id && plan == self.plan
        all.drop(entries).reduce(self) { |count, entry| count.apply(entry) }.with(entries: all.size,
          last_id: all.at(-1).id)
      end

      # @return [Count] the count after one more entry; one that names a point this plan no longer has changes nothing
      def apply(entry)
        return self if entry.data["point"] && !points.key?(entry.data["point"])
        case entry.kind
        when "point" then with(current_id: entry.data["point"])
        when "stroke" then strokes(1)
        when "topped_up" then with(reservoir: reservoir.topped_up)
        when "bubbles" then with_current(&:with_bubbles)
        when "colour" then with_current { |point| point.with(colour: entry.data["colour"]) }
        when "point_done" then point_done(entry.data["point"])
        when "uncovered" then start_over(entry)
        else self
        end
      end

      # @return [Count] after so many strokes in a row
      def strokes(number)
        with(reservoir: reservoir.with_strokes(number), total_strokes: total_strokes + number,
          points: points.merge(current_id => current.with_strokes(number)))
      end

      def current
        points[current_id]
      end

      # Every point ran clean since the port was last uncovered.
      def finished?
        points.values.all?(&:done)
      end

      def to_h
        {current: current_id, points: points.values.map(&:to_h), reservoir: reservoir.to_h, restarts: restarts,
         total_strokes: total_strokes, finished: finished?, plan: plan.to_h}.compact
      end

      private

      def point_done(id)
        changed = points.merge(id => points.fetch(id).with(marked: true))
        following = changed.find { |_, point| !point.done }&.first
        with(points: changed, current_id: following || id)
      end

      def start_over(entry)
        lost = points.values.sum(&:strokes)
        why =
          "The port was uncovered: air went in at the master. #{lost} counted strokes start over at every point. A " \
            "flush is now a bleed."
        with(
          points: Count.fresh_points(plan),
          reservoir: ReservoirCount.new(plan),
          current_id: plan.points.first.id,
          restarts: restarts + [{at: entry.at, why: why, strokes: lost}]
        )
      end

      def with_current
        with(points: points.merge(current_id => yield(current)))
      end

      def next_open_id
        @points.find { |_, point| !point.done }&.first || @points.keys.last
      end
    end
  end
end
