# frozen_string_literal: true

module Sandbag
  module Ask
    # Stops of docs/trade.md 1.8: met by findings and facts, or reported. A flag stays up until a lead lifts it with a reason.
    module RedFlag
      # @param reported [Array<String>] ids the mechanic reported
      # @return [Array<Hash>] knowledge rows of the flags that are up, lifted or not
      def self.up(findings, facts, reported)
        Knowledge.table("red_flags").select do |flag|
          reported.include?(flag["id"]) || (flag["when"] && findings.meet?(flag["when"], facts)) ||
            flag["when_any"]&.any? { |key, values| findings.meet?({key => values}, facts) }
        end
      end
    end
  end
end
