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
        @count = job.counted&.on(@plan, entries) || Count.fold(@plan, entries)
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
        first = unready
        return first if first
        return "a top-up: the next stroke may uncover the port" if count.reservoir.spent?
        point = count.current
        point.done ? "the next point" : "#{point.label}: #{point.missing.first || "finish the point"}"
      end

      def unresolved
        count.restarts.last[:why] if count.restarts.any? && !done?
      end

      # Entries that move fluid.
      MOVING = %w[stroke bubbles colour].freeze

      # Refuses to move fluid before machine and mechanic are protected and the circuit is shut, a stroke that the
      # reservoir may not bear, a point the circuit does not have, and finishing one whose criteria are not met.
      def admit(entry)
        refuse_unready if MOVING.include?(entry.kind)
        refuse_uncovering if entry.kind == "stroke" && count.reservoir.spent?
        id = entry.data["point"]
        return unless id
        point = count.points[id]
        unless point
          raise Refusal.at("data/point", "this circuit has no bleed point “#{id}”", count.points.keys.join(", "))
        end
        return unless entry.kind == "point_done" && point.missing.any?
        raise Refusal.at(
          "data/point",
          "not finished: #{point.missing.join(", ")}",
          "enough strokes, the last ones clean, colour as fresh"
        )
      end

      # @return [String, nil] what has to be done before fluid moves, and where
      def unready
        return "#{job.ask.waits_for}, under Ask" unless job.ask.done?
        strip, build, fit = job.stages.values_at("strip", "build", "fit")
        return "#{Wording.inside(strip.setup.missing.first["label"])}, under Strip" if strip&.setup&.missing&.any?
        return "#{build.waits_for}, under Build" if build && !build.done?
        "#{fit.waits_for}, under Fit" if fit && !fit.ready?
      end

      private

      def refuse_unready
        first = unready
        raise Refusal.at("kind", "not yet: #{first}", "that first") if first
      end

      def refuse_uncovering
        raise Refusal.at(
          "kind",
          "#{count.reservoir.strokes_since_top_up} strokes since the last top-up: the next may uncover the port",
          "topped_up, or uncovered if it is"
        )
      end
    end
  end
end
