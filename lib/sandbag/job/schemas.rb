# frozen_string_literal: true

module Sandbag
  module Job
    # The tables of this room (knowledge/job): their columns, and what their rows must hold to.
    module Schemas
      TABLES = {
        "step_minutes" => Tables::Schema.new({
          "label" => String,
          "stages" => Array,
          **Circuit::MACHINES.to_h { |machine| [machine, Integer] }
        }),
        "walk_places" => Tables::Schema.new({
          "label" => String
        }),
        "prices" => Tables::Schema.new({
          "label" => String,
          "minor" => Integer
        }),
        "routes" => Tables::Schema.new({
          "label" => String,
          "does" => String,
          "why" => String,
          **Circuit::SUITS,
          "plan" => Array,
          "moves?" => Array,
          "at?" => Array,
          "pair?" => [TrueClass, FalseClass],
          "opens?" => Array,
          "fluid" => String,
          "part?" => String,
          "comes?" => String,
          "only?" => Array,
          "condemned?" => String,
          "size?" => String,
          "adds?" => String,
          "renews?" => Array,
          "tools?" => Array,
          "tests?" => Array,
          "takes?" => Array,
          "stops?" => [TrueClass, FalseClass],
          "again?" => [TrueClass, FalseClass],
          "gates?" => Array,
          "steps" => Array,
          "things" => Array
        }) { |row| Schemas.route(row) },
        "roles" => Tables::Schema.new({
          "label" => String,
          **People::POWERS.keys.to_h { |power| [power, [TrueClass, FalseClass]] }
        }),
        "entry_kinds" => Tables::Schema.new({
          "stage" => String,
          "kind" => String,
          "data" => Hash
        })
      }.freeze

      # What this room asks of other rooms' tables.
      ALSO = {
        "bleed_methods" => ->(row) { Tables.unknown("prices", [row["pays"]].compact) }
      }.freeze

      # @return [String, nil] what is wrong with a route
      def self.route(row)
        Tables.unknown("step_minutes", row["steps"]) || Tables.unknown("prices", row["things"]) ||
          Tables.unknown("tools", row["tools"] || []) || Tables.unknown("circuit_kinds", [row["adds"]].compact) ||
          Circuit::Kind.unknown(row) || Fastening.unknown(row["moves"] || []) || plan(row["plan"]) ||
          Circuit::Places.unknown(row["at"] || [], row["opens"] || [])
      end

      def self.plan(stages)
        odd = stages - STAGES - Route::PARTIAL.keys
        "plans unknown #{odd.join(", ")}; known are #{(STAGES + Route::PARTIAL.keys).join(", ")}" if odd.any?
      end
      private_class_method :plan
    end
  end
end
