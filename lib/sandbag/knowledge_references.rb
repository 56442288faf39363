# frozen_string_literal: true

module Sandbag
  # Whether the ids that one knowledge table names stand in another.
  module KnowledgeReferences
    CELL = /\A(?:\.|(?:\+\+|\+|--|-)[bc]?(?: (?:\+\+|\+|--|-)[bc])?)\z/
    # Conditions may name facts of the circuit too.
    FACTS = {"abs" => %w[none fitted unknown], "side" => %w[brake clutch]}.freeze

    # @return [String, nil] what is wrong with a row of the likelihood matrix
    def self.likelihood(row)
      finding, value = row["id"].split(".", 2)
      wrong = conditions({finding => [value]})
      return wrong if wrong
      code, cell = row.except("id").find { |_, each| !each.match?(CELL) }
      code && "has “#{cell}” under #{code}; known are ++ + . - -- with b or c"
    end

    # @return [String, nil] what is wrong with conditions, key => values
    def self.conditions(conditions)
      conditions.each do |key, values|
        known = FACTS[key] || Knowledge.find("findings", key)&.fetch("values")&.keys
        return "names unknown finding #{key}" unless known
        odd = values - known
        return "names unknown value #{odd.join(", ")} of #{key}" if odd.any?
      end
      nil
    end

    # @return [String, nil] what is wrong with ids of another table
    def self.ids(table, ids)
      odd = ids.reject { |id| Knowledge.find(table, id) }
      "names unknown #{odd.join(", ")}; #{table} has none such" if odd.any?
    end
  end
end
