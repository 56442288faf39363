# frozen_string_literal: true

require "time"

module Sandbag
  module Planner
    # What an open job still wants of a day, out of its line on the Bench: the minutes of the steps whose stage is not
    # done (docs/trade.md 2.10), the stage that is begun in full, and Close in two with the leak watch's wait between.
    class JobWork
      # @param line [Hash] a job's headline by symbol keys: id, machine, route, stages, wait, promised, family
      # @param now [Time] the plan starts
      # @param moved [Hash{Integer => Integer}] piece => minute it was put at by hand
      def initialize(line, now, moved: {})
        @line = line
        @now = now
        @moved = moved
        @route = line[:route] && Job::Route.find(line[:route])
        @minutes = Ask::Minutes.new(@route, line[:machine][:kind], pace: line.fetch(:pace, []))
        freeze
      end

      # A machine that another workshop has to see, or that is put away, is not worked on here.
      def plannable?
        @line.values_at(:stop, :referred, :on_hold, :damaged, :signed).none? && pieces.any?
      end

      # @return [Work]
      def work
        Work.new(id: @line[:id], pieces: pieces, ready: minutes_until(wait_until), promised: promised,
          family: @line[:family])
      end

      private

      def pieces
        [bench_piece, *close_pieces].compact.each_with_index.map do |piece, place|
          piece.dup.tap { |each| each.at = @moved[place] }.freeze
        end
      end

      # Everything up to Close.
      def bench_piece
        open = steps.reject { |step| closing?(step) || done?(step) }
        return if open.empty?
        Work::Piece.new(label: open.map { |step| step["label"] }.join(", "),
          minutes: open.sum { |step| @minutes.of(step) }, wait: 0)
      end

      # Look for leaks, wait, look again and sign; in one where the first look is behind it.
      def close_pieces
        step = steps.find { |each| closing?(each) }
        return [] unless step
        minutes = @minutes.of(step)
        return [Work::Piece.new(label: step["label"], minutes: minutes, wait: 0)] if watching? || @route.again?
        first = (minutes / 2.0).ceil
        [Work::Piece.new(label: "Close, first leak watch", minutes: first, wait: LEAK_WAIT),
          Work::Piece.new(label: "Second leak watch, release", minutes: [minutes - first, 1].max, wait: 0)]
      end
      LEAK_WAIT = Close::LeakWatch::APART_S / 60

      # Before a route is known: finding out.
      def steps
        return [Tables.find("step_minutes", "intake")] unless @route
        @route.again? ? @minutes.steps : @minutes.steps.reject { |step| step["id"] == "recheck" }
      end

      def closing?(step)
        step["stages"].first == "close"
      end

      def done?(step)
        stage = step["stages"].filter_map { |id| stages.find { |each| each["id"] == id } }.first
        !stage.nil? && stage["status"] == "done"
      end

      def stages
        @line[:stages].map { |stage| stage.transform_keys(&:to_s) }
      end

      def watching?
        @line[:current] == "close" && !@line[:wait].nil?
      end

      def wait_until
        @line[:wait] && @line[:wait].transform_keys(&:to_s)["until"]
      end

      def promised
        @line[:promised] && minutes_until(@line[:promised])
      end

      def minutes_until(time)
        time ? [((Time.iso8601(time) - @now) / 60).ceil, 0].max : 0
      end
    end
  end
end
