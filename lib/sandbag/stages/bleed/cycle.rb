# frozen_string_literal: true

module Sandbag
  module Bleed
    # Where one cycle stands, of a method whose beats each have their turn (docs/trade.md 7.3).
    class Cycle
      RELEASE = "release"

      extend Attributes

      # beats: ids of bleed_beats.yml in their order; done: those of this cycle, oldest first
      attributes :beats, :done

      def initialize(beats:, done: [])
        @beats = beats
        @done = done.freeze
        freeze
      end

      # @return [Cycle] of a method
      def self.of(method)
        new(beats: method["beats"] || [])
      end

      # @return [String, nil] the beat whose turn it is
      def turn
        beats[done.size]
      end

      # The nipple was opened and not shut since.
      def open?
        last = done.filter_map { |id| Tables.find("bleed_beats", id)["nipple"] }.last
        last == "open"
      end

      # @return [Cycle] after a beat in its turn; begins again after the last
      def after(beat)
        now = [*done, beat]
        with(done: (now.size == beats.size) ? [] : now)
      end

      # @param beat [String] one whose turn it is not
      # @return [String] what went wrong
      def slip(beat)
        if open? && beat == RELEASE
          return "The lever came back with the nipple open: it has drawn air in. The cycle does not count."
        end
        "“#{label(turn)}” was left out before “#{label(beat)}”. The cycle does not count."
      end

      def to_h
        {
          beats: beats.map { |id| Tables.find("bleed_beats", id).slice("id", "label", "how") },
          done: done.size,
          turn: turn,
          open: open?
        }.compact
      end

      private

      def label(beat)
        Tables.find("bleed_beats", beat)["label"]
      end
    end
  end
end
