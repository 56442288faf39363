# frozen_string_literal: true

module Sandbag
  module Cylinder
    # The tables of this room (knowledge/cylinder): their columns, and what their rows must hold to.
    module Schemas
      TABLES = {
        "constructions" => Tables::Schema.new(ConstructionFile::PARTS, reader: ConstructionFile),
        "part_groups" => Tables::Schema.new(ConstructionFile::PARTS, reader: ConstructionFile),
        "kit_items" => Tables::Schema.new({
          "label" => String,
          "rule" => String,
          "rubber" => [TrueClass, FalseClass],
          "compare" => String
        }),
        "directions" => Tables::Schema.new({
          "label" => String,
          "pair" => String
        }),
        "strip_actions" => Tables::Schema.new({
          "label" => String,
          "does" => String,
          "flies?" => String,
          "leaks?" => String,
          "lost?" => String,
          "tools" => Array,
          "caution?" => String,
          "apart?" => [TrueClass, FalseClass],
          "lever?" => [TrueClass, FalseClass]
        }) { |row| Tables.unknown("tools", row["tools"]) },
        "setup" => Tables::Schema.new({
          "label" => String,
          "detail" => String,
          "word" => String,
          **Circuit::SUITS,
          "abs?" => [TrueClass, FalseClass],
          "always?" => [TrueClass, FalseClass],
          "each?" => String,
          "good?" => Array,
          "unit?" => String,
          "figures?" => TrueClass,
          "photo?" => String,
          "first?" => TrueClass,
          "never_abs?" => Array,
          "round?" => String,
          "values?" => Hash,
          "warns?" => Hash,
          "counts?" => Hash,
          "found?" => Hash
        }) { |row| Circuit::Kind.unknown(row) },
        "setup_figures" => Tables::Schema.new({
          "of" => String,
          "label" => String,
          "dimension" => String,
          "most" => Numeric,
          "takes?" => Array
        }) { |row| Tables.unknown("setup", [row["of"]]) },
        "wear_limits" => Tables::Schema.new({
          "over" => Numeric,
          "up_to" => Numeric,
          "bore_new" => Array,
          "piston_new" => Array,
          "bore_limit" => Numeric,
          "piston_limit" => Numeric,
          "clearance" => Numeric,
          "out_of_round" => Numeric
        }),
        "gauges" => Tables::Schema.new({
          "label" => String,
          "uncertainty" => Numeric,
          "judges" => [TrueClass, FalseClass]
        }),
        "gauge_places" => Tables::Schema.new({
          "part" => String,
          "gauge" => String,
          "level" => Integer,
          "direction" => String,
          "label" => String
        }) { |row| Tables.unknown("gauges", [row["gauge"]]) },
        "build_notes" => Tables::Schema.new({
          "parts" => Array,
          "word" => String,
          "text" => String
        }),
        "steps_together" => Tables::Schema.new({"label" => String}),
        "way_reasons" => Tables::Schema.new({
          "why" => String
        })
      }.freeze
    end
  end
end
