# frozen_string_literal: true

module Sandbag
  module Ask
    # What has to be looked at before a repair is recommended: a falling level is not left without a look for the wet
    # place.
    module MustLook
      # @param findings [Findings]; facts [Hash]
      # @param askable [Array<Hash>] rows of findings that can be asked on this circuit
      # @return [Array<String>] findings still to be looked for, in the table's order
      def self.open(findings, facts, askable)
        ids = askable.map { |row| row["id"] }
        called =
          Tables
            .rows("must_looks")
            .select { |row| findings.meet?(row["when"], facts) }
            .flat_map { |row| row["looks"] }
        (called.uniq & ids).reject { |id| findings.known?(id) }
      end
    end
  end
end
