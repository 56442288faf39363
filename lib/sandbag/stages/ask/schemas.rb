# frozen_string_literal: true

module Sandbag
  module Ask
    # The tables of this room (knowledge/ask): their columns, and what their rows must hold to.
    module Schemas
      # Causes of a fault, by the columns of the matrix.
      CAUSES = %w[AL AM BY LK ST PB AT LO FA FW JL HS HB SL SS FR AB EN WS OF].freeze

      TABLES = {
        "findings" => Tables::Schema.new({
          "label" => String,
          "how" => String,
          "minutes" => Integer,
          "for" => String,
          "walk" => String,
          **Circuit::SUITS,
          "family?" => String,
          "group?" => String,
          "ordinary?" => String,
          "opens?" => Hash,
          "places?" => Array,
          "many?" => [TrueClass, FalseClass],
          "repairs?" => Hash,
          "stand?" => Hash,
          "values" => Hash
        }) do |row|
          Tables.unknown("routes", (row["repairs"] || {}).values) ||
            Tables.unknown("waits", (row["stand"] || {}).values) || Tables.unknown("walks", [row["walk"]]) ||
            Circuit::Kind.unknown(row) || Schemas.openings(row) || Circuit::Places.unknown(row["places"] || [], [])
        end,
        "walks" => Tables::Schema.new({
          "label" => String,
          "minutes" => Integer,
          "together?" => [TrueClass, FalseClass]
        }),
        "must_looks" => Tables::Schema.new({
          "when" => Hash,
          "looks" => Array
        }) { |row| Conditions.unknown(row["when"]) || Tables.unknown("findings", row["looks"]) },
        "complaint_words" => Tables::Schema.new({
          "side?" => String,
          "words" => Array,
          "first" => Array
        }) { |row| Tables.unknown("findings", row["first"]) },
        "intake" => Tables::Schema.new({
          "ask" => String,
          "for" => String,
          "machines?" => Array,
          "when?" => Hash,
          "stops?" => [TrueClass, FalseClass],
          "finds?" => Hash,
          "asks_for?" => Hash,
          "offers?" => Hash,
          "record?" => String,
          "derived?" => String,
          "one_brake?" => String,
          "limbs?" => Hash,
          "dated?" => String,
          "years?" => Hash,
          "values" => Hash
        }) { |row| Schemas.intake(row) },
        "abs_gate" => Tables::Schema.new({
          "when" => Hash,
          "decision" => String,
          "says" => String,
          "does" => String,
          "lifts" => String,
          "methods?" => Array
        }) { |row| Conditions.unknown(row["when"]) || Tables.unknown("bleed_methods", row["methods"] || []) },
        "causes" => Tables::Schema.new({
          "label" => String,
          "prior_brake" => Numeric,
          "prior_clutch" => Numeric,
          "routes" => Array,
          "then?" => Array,
          "if_stays" => String,
          "also" => String
        }) { |row| Tables.unknown("routes", row["routes"] + (row["then"] || [])) },
        "likelihoods" => Tables::Schema.new(CAUSES.to_h { |code| [code, String] }) { |row| Schemas.likelihood(row) },
        "proofs" => Tables::Schema.new({
          "when" => Hash,
          "proves" => Array,
          "due?" => [TrueClass, FalseClass],
          "after?" => Array,
          "note" => String
        }) { |row| Conditions.unknown(row["when"]) || Tables.unknown("causes", row["proves"]) },
        "red_flags" => Tables::Schema.new({
          "label" => String,
          "when?" => Hash,
          "when_any?" => Array,
          "reported?" => [TrueClass, FalseClass],
          "of_part?" => [TrueClass, FalseClass],
          "does" => String,
          "lifts" => String,
          "holds" => String,
          "cures" => Array,
          "refers?" => Hash,
          "by_facts?" => [TrueClass, FalseClass]
        }) { |row| Schemas.red_flag(row) }
      }.freeze

      # What this room asks of other rooms' tables.
      ALSO = {
        "constructions" => ->(row) { Tables.unknown("intake", row["steps"].filter_map { |step| step["needs"] }) },
        "setup" => ->(row) do
          (row["found"] || {}).filter_map { |id, answers| Conditions.unknown({id => answers.keys}) }.first
        end,
        "feel_tests" => ->(row) do
          finding, value = row["road"].values_at("finding", "value")
          finding && Conditions.unknown({finding => [value]})
        end
      }.freeze

      CELL = /\A(?:\.|(?:\+\+|\+|--|-)[bc]?(?: (?:\+\+|\+|--|-)[bc])?)\z/
      HOLDS = %w[work release].freeze

      # @return [String, nil] what is wrong with a row of the likelihood matrix
      def self.likelihood(row)
        finding, value = row["id"].split(".", 2)
        wrong = Conditions.unknown({finding => [value]})
        return wrong if wrong
        code, cell = row.except("id").find { |_, each| !each.match?(CELL) }
        code && "has “#{cell}” under #{code}; known are ++ + . - -- with b or c"
      end

      SIDES = %w[above below].freeze

      # @return [String, nil] what is wrong with the answers of a finding for which the circuit was opened
      def self.openings(row)
        opens = row["opens"] || {}
        odd = opens.keys - row["values"].keys
        return "opens for unknown #{odd.join(", ")}; known are #{row["values"].keys.join(", ")}" if odd.any?
        odd = opens.values - SIDES
        "opens #{odd.join(", ")}; known are #{SIDES.join(", ")}" if odd.any?
      end

      # @return [String, nil] what is wrong with a question of the intake
      def self.intake(row)
        read = row.values_at("finds", "asks_for", "offers", "years").compact.flat_map(&:keys) + [*row["one_brake"]]
        odd = read - row["values"].keys
        return "reads unknown answer #{odd.join(", ")}" if odd.any?
        (row["finds"] || {}).values.filter_map { |finding, value| Conditions.unknown({finding => [value]}) }.first ||
          Tables.unknown("routes", (row["asks_for"] || {}).values.flatten) ||
          Tables.unknown("machine_kinds", row["machines"] || [])
      end

      # @return [String, nil] what is wrong with a red flag
      def self.red_flag(row)
        return "holds #{row["holds"]}; known are #{HOLDS.join(", ")}" unless HOLDS.include?(row["holds"])
        conditions = [*row["when_any"], *row.values_at("when", "refers").compact]
        conditions.filter_map { |each| Conditions.unknown(each) }.first ||
          Tables.unknown("routes", row["cures"])
      end
    end
  end
end
