# frozen_string_literal: true

module Sandbag
  module Close
    # The tables of this room (knowledge/close): their columns, and what their rows must hold to.
    module Schemas
      TABLES = {
        "levels" => Tables::Schema.new({
          "label" => String,
          "says" => String,
          "marked?" => [TrueClass, FalseClass],
          "below" => Numeric,
          "rim?" => Array
        }),
        "rechecks" => Tables::Schema.new({
          "label" => String,
          "when" => String,
          **Circuit::SUITS,
          "if?" => String,
          "days?" => Integer,
          "times?" => Integer
        }) { |row| Circuit::Kind.unknown(row) },
        "owner_lines" => Tables::Schema.new({
          "section" => String,
          **Circuit::SUITS,
          "families?" => Array,
          "text" => String
        }) { |row| Schemas.owner_line(row) },
        "gates" => Tables::Schema.new({
          "trade" => String,
          "place" => String,
          "label" => String,
          "detail" => String,
          "settled" => String,
          "must?" => Array,
          "may?" => Array,
          "machines?" => Array,
          "if?" => String,
          "may_if?" => String,
          "touches?" => String,
          "proof?" => String,
          "test?" => Array,
          "each?" => [TrueClass, FalseClass],
          "round?" => String,
          "aside?" => TrueClass,
          "alone?" => [TrueClass, FalseClass],
          "by_name?" => String,
          "power?" => String,
          "step?" => [TrueClass, FalseClass],
          "caution?" => String
        }) { |row| Schemas.gate(row) }
      }.freeze

      # What this room asks of other rooms' tables.
      ALSO = {
        "routes" => ->(row) { Tables.unknown("gates", [*row["tests"], *row["gates"]]) }
      }.freeze

      # @return [String, nil] what is wrong with a line of the owner's sheet
      def self.owner_line(row)
        return "is in section #{row["section"]}; known are #{OwnerLines::SECTIONS.join(", ")}" unless
          OwnerLines::SECTIONS.include?(row["section"])
        odd = [*row["families"]] - Fluid::FAMILIES
        return "is for unknown #{odd.join(", ")}" if odd.any?
        Circuit::Kind.unknown(row)
      end

      # @return [String, nil] what is wrong with a release gate
      def self.gate(row)
        odd = [row["if"], row["may_if"]].compact - Scope::CONDITIONS
        return "applies if #{odd.first}; known are #{Scope::CONDITIONS.join(", ")}" if odd.any?
        return "touches #{row["touches"]}; known are #{Scope::TOUCHES.join(", ")}" if
          row["touches"] && !Scope::TOUCHES.include?(row["touches"])
        Circuit::Kind.unknown("needs" => [*row["must"], *row["may"]]) ||
          Tables.unknown("machine_kinds", row["machines"] || []) ||
          Tables.unknown("walk_places", [row["place"]]) || Tables.unknown("feel_tests", row.fetch("test", [])) ||
          Tables.unknown("cautions", [row["caution"]].compact)
      end
    end
  end
end
