# frozen_string_literal: true

module Sandbag
  module Bleed
    # Strokes counted, reservoir watched, every point run clean.
    class Stage < Job::Stage
      # Entries after which an earlier lever reading says nothing any more.
      DISTURBING = %w[stroke uncovered].freeze

      attr_reader :plan, :count

      def initialize(job)
        super
        @plan = Plan.new(job.sheet, opened: job.ask.opened?)
        @count = Count.fold(@plan, entries)
      end

      # @return [Integer, nil] journal positions of the first and the last entry that disturbed the lever
      def first_disturbed
        DISTURBING.filter_map { |kind| entries.of(kind).first&.position }.min
      end

      def last_disturbed
        DISTURBING.filter_map { |kind| entries.of(kind).last&.position }.max
      end

      def done?
        count.finished?
      end

      def waits_for
        return if done?
        point = count.current
        point.done ? "the next point" : "#{point.label}: #{point.missing.first || "finish the point"}"
      end

      def unresolved
        count.restarts.last[:why] if count.restarts.any? && !done?
      end

      # Refuses a point the circuit does not have, and finishing one whose criteria are not met.
      def admit(entry)
        id = entry.data["point"]
        return unless id
        point = count.points[id]
        raise Refusal.at("data/point", "this circuit has no bleed point “#{id}”", count.points.keys.join(", ")) unless point
        return unless entry.kind == "point_done" && point.missing.any?
        raise Refusal.at("data/point", "not finished: #{point.missing.join(", ")}", "enough strokes, the last ones clean, colour as fresh")
      end
    end
  end
end
