# frozen_string_literal: true

module Sandbag
  module Circuit
    # The tables of this room (knowledge/circuit): their columns, and what their rows must hold to.
    module Schemas
      TABLES = {
        "circuit_kinds" => Tables::Schema.new({
          "label" => String,
          "control" => String,
          "far_end" => String,
          "frees" => String,
          "sweep" => String,
          "safety" => String,
          "outlet" => String,
          "reservoir" => String,
          "use" => String,
          "sole?" => [TrueClass, FalseClass],
          "has" => Array,
          "like?" => String,
          "cylinders" => String,
          "bores" => Array,
          "hoses" => Array,
          "caliper?" => String,
          "fluid" => String,
          "fluid_months" => Integer,
          "firm" => Numeric,
          "hold" => Numeric,
          "most" => Numeric,
          "pump_limit" => Numeric,
          "air_share" => Numeric
        }) { |row| Schemas.kind(row) },
        "controls" => Tables::Schema.new({
          "label" => String,
          "noun" => String,
          "limb" => String,
          "has?" => Array,
          "press" => String,
          "pressed" => String,
          "at" => String,
          "stop" => String
        }),
        "circuit_fields" => Tables::Schema.new({
          "part" => String,
          "field" => String,
          "label" => String,
          "type" => String,
          "dimension?" => String,
          "min?" => Numeric,
          "above?" => Numeric,
          "max?" => Numeric,
          "choices?" => Array,
          "names?" => String,
          "default?" => [Numeric, String, Hash],
          **Circuit::SUITS,
          "note?" => String
        }) { |row| Schemas.field(row) },
        "machine_kinds" => Tables::Schema.new({
          "label" => String,
          "templates" => Array
        }),
        "circuit_templates" => Tables::Schema.new({
          "label" => String,
          "kind" => String,
          "note?" => String,
          "parts" => Array
        }),
        "near_misses" => Tables::Schema.new({
          "sizes" => Array,
          "inch" => String,
          "told_apart_by" => String,
          "rule" => String
        }),
        "cautions" => Tables::Schema.new({
          "text" => String,
          "stages" => Array,
          "abs?" => [TrueClass, FalseClass],
          "hard_use?" => [TrueClass, FalseClass],
          **Circuit::SUITS
        }),
        "never_advised" => Tables::Schema.new({
          "text" => String,
          "at" => Array
        })
      }.freeze

      # @return [String, nil] what is wrong with a kind of circuit
      def self.kind(row)
        Tables.unknown("controls", [row["control"]]) || Tables.unknown("fluids", [row["fluid"]])
      end

      # @return [String, nil] what is wrong with a value that a circuit has
      def self.field(row)
        default = row["default"]
        kinds = (default.is_a?(Hash) && default["by"] == Field::CIRCUIT_KIND) ? default.keys - ["by", Field::OTHER] : []
        Tables.unknown("circuit_kinds", kinds) || Kind.unknown(row)
      end
    end
  end
end
