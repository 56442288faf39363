# frozen_string_literal: true

module Sandbag
  module Rig
    # Notices slips while a simulated circuit is worked: by the ids of practice_slips.yml. Nothing is said of them until
    # the work is over.
    class Watch
      # Turns from which air is drawn in round a nipple's thread. [default]
      FAR_TURNS = 0.75
      # Strokes with every nipple shut, within so many seconds, froth the fluid. [default]
      FROTH_STROKES, FROTH_S = 6, 4.0
      # Air that a cavity keeps and that is worth turning it for, mL. [default]
      POCKET_ML = 0.05
      # Ways this much longer go first, mm. [default]
      LONGER_MM = 50.0
      # @attr what [String]; t [Float] s since the start
      Event = Struct.new(:what, :t, keyword_init: true)

      # openings: how often a nipple was opened
      attr_reader :events, :openings

      def initialize
        @openings = 0
        @events = []
        @strokes = []
        @opened = []
      end

      # @return [Watch] the same, to go on from apart
      def copy
        dup.tap do |other|
          %i[@events @strokes @opened].each { |name|
            other.instance_variable_set(name, instance_variable_get(name).dup)
          }
        end
      end

      # A slip that goes on is one slip.
      def notice(what, seconds)
        events << Event.new(what: what, t: seconds) unless events.last&.what == what
      end

      # The lever came back from a stroke with every nipple shut.
      # @return [Boolean] it was one too many, too quickly
      def stroke(seconds)
        @strokes = @strokes.last(FROTH_STROKES - 1) << seconds
        frothed = @strokes.size == FROTH_STROKES && seconds - @strokes.first <= FROTH_S
        notice("frothed", seconds) if frothed
        frothed
      end

      # A nipple is opened.
      # @param paths [Array<Plumbing::Path>]; index [Integer] of the one; airy [Array<Integer>] ways with air in them
      def open(paths, index, turns, airy, seconds)
        @openings += 1
        notice("opened_far", seconds) if turns >= FAR_TURNS
        notice("port_low", seconds) if airy.include?(index) && paths[index].pocket_ml > POCKET_ML
        longer = airy.any? do |other|
          paths[other].length_mm > paths[index].length_mm + LONGER_MM && !@opened.include?(other)
        end
        notice("wrong_order", seconds) if longer && !@opened.include?(index)
        @opened |= [index]
      end
    end
  end
end
