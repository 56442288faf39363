# frozen_string_literal: true

module Sandbag
  module Ask
    # Whether work on an ABS circuit may go on (docs/trade.md 7.8): the first row of knowledge/abs_gate.yml that holds.
    module AbsGate
      PASSES = "proceed"

      # @param findings [Findings]; @param facts [Hash] side, abs, abs_tool; @param opens [String] see Where#side
      # @return [Hash, nil] the row that decides; nil on a clutch
      def self.decide(findings, facts, opens)
        return if facts["side"] == "clutch"
        looked = findings.known?("abs_state") ? {} : {"abs_state" => Conditions::NOT_LOOKED}
        known = facts.merge(looked, "opens" => opens)
        Tables.rows("abs_gate").find { |row| findings.meet?(row["when"], known) }
      end
    end
  end
end
