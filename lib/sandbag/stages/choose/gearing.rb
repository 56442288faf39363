# frozen_string_literal: true

module Sandbag
  module Choose
    # How often the disc turns for one turn of the track's shaft, where it sits on a shaft that is geared to it
    # (docs/physics.md 2). What a new cylinder brakes with rests on it, and the trade's default is no machine's own.
    class Gearing
      GEARED = "jackshaft"

      # @param sheet [Circuit::Sheet] as the record has it; entries [Job::Entries] of choose
      def initialize(sheet, entries)
        @sheet = sheet
        @said = entries.said("gearing")
        freeze
      end

      # The disc sits on a geared shaft.
      def here?
        @sheet.parts_of("vehicle").any? && @sheet.value("vehicle", "disc_at") == GEARED
      end

      # Nobody has counted its teeth or said that they are unknown.
      def wanted?
        here? && @said.nil? && @sheet.source("vehicle", "drive_ratio") == Circuit::Source::DEFAULT
      end

      # @return [Float] by which it is reckoned while nothing else is known
      def ratio
        @sheet.value("vehicle", "drive_ratio")
      end

      # @return [Circuit::Sheet] with what was counted
      def apply(sheet)
        counted = @said&.fetch("ratio", nil)
        (counted && here?) ? sheet.set("vehicle", "drive_ratio", counted, "measured") : sheet
      end
    end
  end
end
