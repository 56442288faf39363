# frozen_string_literal: true

module Sandbag
  module Fit
    # The tables of this room (knowledge/fit): their columns, and what their rows must hold to.
    module Schemas
      TABLES = {
        "fit_steps" => Tables::Schema.new({
          "label" => String,
          **Circuit::SUITS,
          "does" => String,
          "moves" => Array,
          "when" => String,
          "renews?" => String,
          "abs?" => TrueClass,
          "instead?" => Array,
          "trial?" => [TrueClass, FalseClass],
          "last?" => [TrueClass, FalseClass],
          "after_torque?" => [TrueClass, FalseClass],
          "together?" => String
        }) { |row|
          Fastening.unknown(row["moves"]) || Circuit::Kind.unknown(row) ||
            Tables.unknown("steps_together", [row["together"]].compact)
        },
        "fit_checks" => Tables::Schema.new({
          "label" => String,
          "place" => String,
          **Circuit::SUITS,
          "how" => String,
          "moves" => Array,
          "gap?" => [TrueClass, FalseClass],
          "from?" => [Numeric, String],
          "aim?" => Numeric,
          "remote?" => [TrueClass, FalseClass],
          "may_lack?" => [TrueClass, FalseClass],
          "after?" => [TrueClass, FalseClass],
          "proves" => String
        }) { |row|
          Fastening.unknown(row["moves"]) || Circuit::Kind.unknown(row) ||
            Tables.unknown("walk_places", [row["place"]])
        },
        "free_plays" => Tables::Schema.new({
          "label" => String,
          "constructions" => Array,
          **Circuit::SUITS,
          "piston?" => Array,
          "tip?" => Array
        }) { |row| Circuit::Kind.unknown(row) },
        "hose_positions" => Tables::Schema.new({
          "label" => String,
          **Circuit::SUITS,
          "may_lack?" => [TrueClass, FalseClass]
        }) { |row| Circuit::Kind.unknown(row) },
        "hose_bends" => Tables::Schema.new({
          "diameters" => Numeric
        }),
        "tilts" => Tables::Schema.new({
          "label" => String,
          "lateral_g?" => Numeric,
          "slope?" => Numeric
        }),
        "clashes" => Tables::Schema.new({
          "label" => String,
          "wants" => String
        })
      }.freeze
    end
  end
end
