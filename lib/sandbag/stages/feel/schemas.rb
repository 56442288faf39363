# frozen_string_literal: true

module Sandbag
  module Feel
    # The tables of this room (knowledge/feel): their columns, and what their rows must hold to.
    module Schemas
      TABLES = {
        "feel_tests" => Tables::Schema.new({
          "label" => String,
          "how" => String,
          **Circuit::SUITS,
          "two_controls?" => [TrueClass, FalseClass],
          "rubber_pair?" => TrueClass,
          "answers" => Hash,
          "good" => Array,
          "limit" => String,
          "road" => Hash,
          "after_all?" => [TrueClass, FalseClass],
          "amount?" => Hash,
          "proof?" => String,
          "releases?" => [TrueClass, FalseClass]
        }) { |row| Schemas.feel_test(row) },
        "expected_feel" => Tables::Schema.new({
          "when" => String,
          "label" => String,
          "says" => String
        }) { |row| Schemas.expected_feel(row) },
        "student_t" => Tables::Schema.new({
          "quantile" => Numeric
        })
      }.freeze

      # @return [String, nil] what is wrong with a test at the lever
      def self.feel_test(row)
        odd = row["good"] - row["answers"].keys
        return "lets unknown answer #{odd.join(", ")} pass" if odd.any?
        stage = row["road"]["stage"]
        return "leads to unknown stage #{stage}" unless STAGES.include?(stage)
        unmeasured = row["amount"] && (row["amount"].values_at("below", "above", "good") - row["answers"].keys)
        return "measures unknown answer #{unmeasured.join(", ")}" if unmeasured&.any?
        Circuit::Kind.unknown(row)
      end

      # @return [String, nil] what is wrong with what is normal at a lever
      def self.expected_feel(row)
        known = Expected::WHEN
        "applies when #{row["when"]}; known are #{known.join(", ")}" unless known.include?(row["when"])
      end
    end
  end
end
