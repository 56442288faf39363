# frozen_string_literal: true

module Sandbag
  module Ask
    # Which stops a lead has lifted. A lifting holds until what raised the stop is entered anew: a danger found again is
    # lifted again.
    class Liftings
      # @param entries [Job::Entries] of the Ask stage, in force
      def initialize(entries)
        @entries = entries
        freeze
      end

      # @param row [Hash] of red_flags or abs_gate
      # @return [Hash, nil] lead and reason; nil when it is not lifted
      def of(row)
        lifting = @entries.of("lifted").reverse_each.find { |entry| entry.data["flag"] == row["id"] }
        raised = @entries.reverse_each.find { |entry| raises?(entry, row) }
        lifting.data.slice("lead", "reason") if lifting && (raised.nil? || raised.position < lifting.position)
      end

      private

      def raises?(entry, row)
        keys = (row["when"] || row["when_any"] || {}).keys
        case entry.kind
        when "finding", "finding_cleared" then keys.include?(entry.data["finding"])
        when "intake" then keys.include?(entry.data["question"])
        when "flag" then entry.data["flag"] == row["id"]
        when "route" then keys.include?("opens")
        end
      end
    end
  end
end
