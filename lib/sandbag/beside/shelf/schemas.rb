# frozen_string_literal: true

module Sandbag
  module Shelf
    # The tables of this room (knowledge/shelf): their columns, and what their rows must hold to.
    module Schemas
      TABLES = {
        "shelf_kinds" => Tables::Schema.new({
          "label" => String,
          "plural" => String,
          "counted" => String
        }),
        "shelf_fields" => Tables::Schema.new({
          "kind" => String,
          "field" => String,
          "label" => String,
          "rule" => Hash,
          "optional?" => [TrueClass, FalseClass]
        }) { |row| Tables.unknown("shelf_kinds", [row["kind"]]) },
        "stock_moves" => Tables::Schema.new({
          "for" => Array,
          "of_job?" => [TrueClass, FalseClass],
          "data" => Hash
        }) { |row| Tables.unknown("shelf_kinds", row["for"]) }
      }.freeze
    end
  end
end
