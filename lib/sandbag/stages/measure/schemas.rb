# frozen_string_literal: true

module Sandbag
  module Measure
    # The tables of this room (knowledge/measure): their columns, and what their rows must hold to.
    module Schemas
      TABLES = {
        "inspections" => Tables::Schema.new({
          "label" => String,
          "how" => String,
          "parts" => Array,
          "values" => Hash,
          "together?" => String
        }) { |row| Schemas.rules(row["values"]) || Tables.unknown("looks_together", [row["together"]].compact) },
        "looks_together" => Tables::Schema.new({"label" => String}),
        "inner_comparisons" => Tables::Schema.new({
          "label" => String,
          "parts" => Array,
          "kept?" => String,
          "figures?" => Hash,
          "most?" => Numeric,
          "maker?" => TrueClass
        }) { |row| Tables.unknown("kit_items", row["parts"]) },
        "comparisons" => Tables::Schema.new({
          "label" => String,
          "compare" => String,
          "without?" => String,
          **Circuit::SUITS,
          "routes" => Array
        }) { |row| Tables.unknown("routes", row["routes"]) || Circuit::Kind.unknown(row) }
      }.freeze

      # @return [String, nil] what is wrong with the findings of an inspection
      def self.rules(values)
        odd = values.values.map { |value| value["rule"] } - Inspection::RULES
        "has unknown rule #{odd.join(", ")}; known are #{Inspection::RULES.join(", ")}" if odd.any?
      end
    end
  end
end
