# frozen_string_literal: true

module Sandbag
  module Choose
    # How often the disc turns for one turn of the track's shaft, where it sits on a shaft that is geared to it
    # (docs/physics.md 2). The brake force of a new cylinder depends on it, and the trade's default need not be
    # right for this machine.
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

      # Its teeth were neither counted nor said to be unknown.
      def wanted?
        here? && @said.nil? && @sheet.source("vehicle", "drive_ratio") == Circuit::Source::DEFAULT
      end

      # @return [Float] of the record, or its default
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
