# frozen_string_literal: true

module Sandbag
  module Choose
    # The tables of this room (knowledge/choose): their columns, and what their rows must hold to.
    module Schemas
      TABLES = {
        "tool_uses" => Tables::Schema.new({"why" => String, **Scope::COLUMNS}) do |row|
          Circuit::Kind.unknown(row) || Tables.unknown("tools", [row["id"]])
        end,
        "kit_answers" => Tables::Schema.new({"label" => String, "does" => String, "on" => String}),
        "nipple_spanners" => Tables::Schema.new({"thread" => Numeric, "spanners" => Array}),
        "ratio_bands" => Tables::Schema.new({
          "label" => String,
          "from" => Numeric,
          "to" => Numeric
        }),
        "cylinders" => Tables::Schema.new({
          "sizes" => Array,
          "bores" => Array,
          "offsets" => Array
        }),
        "change_bands" => Tables::Schema.new({
          "up_to_percent" => Numeric,
          "verdict" => String,
          "agree" => [TrueClass, FalseClass]
        }),
        "bench_things" => Tables::Schema.new({
          "label" => String,
          "group" => String,
          "detail?" => String,
          **Scope::COLUMNS
        }) { |row| Circuit::Kind.unknown(row) },
        "job_parts" => Tables::Schema.new({
          "label" => String,
          "detail?" => String,
          **Scope::COLUMNS,
          "per?" => String,
          "count?" => Integer,
          "needed?" => [TrueClass, FalseClass],
          "must_for?" => Array,
          "renewal?" => String
        }) { |row| Circuit::Kind.unknown(row) || Tables.unknown("intervals", [*row["renewal"]]) }
      }.freeze
    end
  end
end
