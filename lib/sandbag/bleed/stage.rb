# frozen_string_literal: true

module Sandbag
  module Bleed
    # Strokes counted, reservoir watched, every point run clean.
    class Stage
      # Entries that can be taken back without looking at the journal.
      RECENT = 30
      # Entries after which an earlier lever reading says nothing any more.
      DISTURBING = %w[stroke uncovered].freeze

      attr_reader :count

      # @param ask [Ask::Stage] says whether the circuit was opened
      def initialize(entries, sheet, ask)
        @entries = entries
        @plan = Plan.new(sheet, opened: ask.opened?)
        @count = Count.fold(@plan, entries)
        freeze
      end

      # @return [Integer, nil] journal positions of the first and the last entry that disturbed the lever
      def first_disturbed
        disturbing.first&.position
      end

      def last_disturbed
        disturbing.last&.position
      end

      def done?
        count.finished?
      end

      def waits_for
        return if done?
        point = count.current
        point.done ? "the next point" : "#{point.to_h[:label]}: #{point.missing.first || "finish the point"}"
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

      def to_h
        {**count.to_h, ladder: ReservoirCount.ladder(@plan), recent: @entries.last(RECENT).map { |entry| {id: entry.id, kind: entry.kind} }}
      end

      private

      def disturbing
        @entries.select { |entry| DISTURBING.include?(entry.kind) }
      end
    end
  end
end
