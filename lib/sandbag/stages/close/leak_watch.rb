# frozen_string_literal: true

require "time"

module Sandbag
  module Close
    # Tissue at every joint under a hard pull, twice, ten minutes apart (docs/trade.md 8.1 F08, 9.3 G10): the first may
    # have been done under Feel.
    class LeakWatch
      APART_S = 60 * Tables::Figures.value("watch_apart")

      # @attr at [Time]; dry [Boolean]; place [String, nil] id of the place that was wet
      Watch = Struct.new(:at, :dry, :place, keyword_init: true)

      # @param job [Job::State]
      def initialize(job)
        @job = job
        since = job.bleed.last_disturbed
        feel = job.journal.of("feel").after(since).of("test").select { |entry| entry.data["test"] == "leak_watch" }
        close = job.journal.of("close").after(since).of("leak")
        @watches = (feel + close).sort_by(&:position).map do |entry|
          Watch.new(at: Time.iso8601(entry.at), dry: entry.data["value"] == "dry",
            place: entry.data["place"]).freeze
        end.freeze
        freeze
      end

      # @return [Array<Watch>] since anything was wet, or fluid moved
      def dry
        @watches.reverse.take_while(&:dry).reverse
      end

      # Wet the last time it was looked.
      def wet?
        @watches.any? && !@watches.last.dry
      end

      def done?
        dry.size > 1 && dry.last.at - dry.first.at >= APART_S
      end

      # @return [Time, nil] when the second may be done
      def second_from
        dry.first.at + APART_S if dry.any? && !done?
      end

      # @return [String, nil] why it is not done
      def why
        return if done?
        return "wet at #{where_wet}: remake it and bleed again" if wet?
        return "not watched yet" if dry.empty?
        "dry once; look again #{APART_S / 60} minutes after the first"
      end

      # @return [Array<Circuit::Place>] where it is watched
      def watched
        @job.choose.places.of_kind("joint", "nipple")
      end

      # @return [Hash] watches (at, dry) since the last wet one, done, second_from
      def to_h
        {
          watches: @watches.map { |watch| {at: watch.at.utc.iso8601, dry: watch.dry} },
          done: done?,
          wet: wet?,
          second_from: second_from&.utc&.iso8601,
          places: watched.map { |place| {id: place.id, label: place.label} }
        }.compact
      end

      private

      def where_wet
        place = watched.find { |each| each.id == @watches.last.place }
        place ? "the #{Wording.inside(place.label)}" : "a joint"
      end
    end
  end
end
