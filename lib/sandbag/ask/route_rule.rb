# frozen_string_literal: true

module Sandbag
  module Ask
    # The first way out, by the first row of knowledge/route_rules.yml whose every condition holds.
    module RouteRule
      # @param findings [Hash{String => String}] finding => value
      # @param facts [Hash{String => String}] what the circuit's record knows, such as abs
      # @return [Hash, nil] the row; nil when the findings so far lead nowhere
      def self.first_match(findings, facts)
        known = facts.merge(findings)
        Knowledge.table("route_rules").find do |rule|
          rule["when"].all? { |key, values| values.include?(known[key]) }
        end
      end
    end
  end
end
