# frozen_string_literal: true

module Sandbag
  module Ask
    # Which stops no longer stand: lifted by a lead, or cured by this job. Either holds until what raised the stop is
    # entered again: a danger found again is lifted again.
    class Liftings
      # @param journal [Job::Journal]; seen [Seen]
      def initialize(journal, seen)
        @ask = journal.of("ask")
        @close = journal.of("close")
        @seen = seen
        freeze
      end

      # @param row [Hash] of red_flags or abs_gate
      # @return [Hash, nil] lead and reason; nil when it is not lifted
      def of(row)
        since(row, @ask.of("lifted"))&.data&.slice("lead", "reason")
      end

      # @return [Boolean] this job said that it is cured
      def cured?(row)
        !since(row, @close.of("cured")).nil?
      end

      private

      # @return [Job::Entry, nil] the newest about a flag, if nothing has raised the flag since
      def since(row, entries)
        found = entries.reverse_each.find { |entry| entry.data["flag"] == row["id"] }
        found if found && found.position > raised_at(row)
      end

      def raised_at(row)
        wanted = RedFlag.conditions(row).flat_map(&:to_a)
        [
          @ask.reverse_each.find { |entry| raises?(entry, row, wanted) },
          *wanted.map { |key, _| @seen.entry(key) }
        ].compact.map(&:position).max || 0
      end

      # @param wanted [Array<Array(String, Array<String>)>] what the flag's conditions look for
      def raises?(entry, row, wanted)
        case entry.kind
        when "finding"
          wanted.any? { |key, values| key == entry.data["finding"] && values.include?(entry.data["value"]) }
        when "intake"
          wanted.any? { |key, values| key == entry.data["question"] && values.include?(entry.data["value"]) }
        when "flag"
          entry.data["flag"] == row["id"]
        when "route", "at"
          wanted.any? { |key, _| key == "opens" }
        end
      end
    end
  end
end
