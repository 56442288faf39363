# frozen_string_literal: true

module Sandbag
  module Choose
    # The tables of this room (knowledge/choose): their columns, and what their rows must hold to.
    module Schemas
      TABLES = {
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
          **Circuit::SUITS,
          "opened?" => [TrueClass, FalseClass],
          "adds?" => [TrueClass, FalseClass]
        }) { |row| Circuit::Kind.unknown(row) }
      }.freeze
    end
  end
end
