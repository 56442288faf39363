# frozen_string_literal: true

module Sandbag
  module Ask
    # Stops of docs/trade.md 1.8: met by findings and facts, or reported. A flag stays up until a lead lifts it with a
    # reason, or the job that cures it says so.
    module RedFlag
      # @param reported [Array<String>] ids the mechanic reported
      # @return [Array<Hash>] knowledge rows of the flags that are up, lifted or not
      def self.up(findings, facts, reported)
        Tables
          .rows("red_flags")
          .select do |flag|
            reported.include?(flag["id"]) || conditions(flag).any? { |each| findings.meet?(each, facts) }
          end
      end

      # @return [Array<Hash>] sets of conditions of which one has to hold
      def self.conditions(flag)
        [flag["when"], *flag["when_any"]].compact
      end
    end
  end
end
