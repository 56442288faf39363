# frozen_string_literal: true

module Sandbag
  module Rig
    # The tables of this room (knowledge/rig): their columns, and what their rows must hold to.
    module Schemas
      TABLES = {
        "lessons" => Tables::Schema.new({
          "label" => String,
          "goal" => String,
          "teaches" => String,
          "template" => String,
          "fluid" => String,
          "set?" => Hash,
          "celsius?" => Numeric,
          "reservoir?" => Numeric,
          "way" => String,
          "places?" => Array,
          "old?" => [TrueClass, FalseClass],
          "dry?" => [TrueClass, FalseClass],
          "water?" => Numeric,
          "unit?" => Numeric,
          "faults?" => Hash,
          "tools?" => Array,
          "pass?" => [TrueClass],
          "air" => Array,
          "air_left" => Numeric,
          "fresh?" => Numeric,
          "openings?" => Integer
        }) { |row| Schemas.lesson(row) },
        "practice_ways" => Tables::Schema.new({
          "cycle" => String,
          "pumps?" => Integer,
          "fits?" => String,
          "lays?" => String,
          "valves?" => [TrueClass],
          "tool?" => String
        }) { |row| Schemas.practice_way(row) },
        "practice_fits" => Tables::Schema.new({
          "label" => String,
          "draws" => String
        }),
        "practice_places" => Tables::Schema.new({
          "label" => String,
          "lays" => Hash
        }),
        "mystery_faults" => Tables::Schema.new({
          "side?" => String,
          "cause" => String,
          "says" => String,
          "water?" => Numeric,
          "faults?" => Hash,
          "air?" => Hash,
          "shows?" => Hash
        }) { |row| Schemas.mystery_fault(row) },
        "practice_slips" => Tables::Schema.new({
          "label" => String,
          "says" => String,
          "can" => String,
          "well" => String
        })
      }.freeze

      # @return [String, nil] what is wrong with what a mystery lever hides
      def self.mystery_fault(row)
        odd = (row["faults"] || {}).keys - Faults.members.map(&:to_s)
        return "hides unknown fault #{odd.join(", ")}" if odd.any?
        Tables.unknown("causes", [row["cause"]]) ||
          Ask::Conditions.unknown((row["shows"] || {}).transform_values { |value| [value] })
      end

      # @return [String, nil] what is wrong with how a method goes in Practice
      def self.practice_way(row)
        Tables.unknown("bleed_methods", [row["id"]]) || Tables.unknown("practice_fits", [row["fits"]].compact) ||
          Tables.unknown("practice_places", [row["lays"]].compact)
      end

      # @return [String, nil] what is wrong with a lesson
      def self.lesson(row)
        Tables.unknown("circuit_templates", [row["template"]]) || Tables.unknown("fluids", [row["fluid"]]) ||
          Tables.unknown("bleed_methods", [row["way"]]) || Tables.unknown("practice_places", row["places"] || [])
      end
    end
  end
end
