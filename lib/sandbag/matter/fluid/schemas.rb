# frozen_string_literal: true

module Sandbag
  module Fluid
    # The tables of this room (knowledge/fluid): their columns, and what their rows must hold to.
    module Schemas
      TABLES = {
        "fluids" => Tables::Schema.new({
          "label" => String,
          "family" => String,
          "dyed?" => [TrueClass, FalseClass],
          "rank?" => Integer,
          "bulk_modulus_mpa" => Numeric,
          "dry_c?" => Numeric,
          "wet_c?" => Numeric,
          "cold_mm2_s?" => Numeric
        }),
        "cleaners" => Tables::Schema.new({
          "label" => String,
          "rubber" => String,
          "metal" => String,
          "dry_s?" => Integer,
          "where" => String
        }) { |row| cleaner(row) },
        "flow_properties" => Tables::Schema.new({
          "density" => Numeric,
          "viscosity" => Numeric,
          "tension" => Numeric
        }),
        "viscosity_factors" => Tables::Schema.new({
          "family?" => String,
          "celsius" => Numeric,
          "factor" => Numeric
        }) { |row| "is for unknown #{row["family"]}" if row["family"] && !FAMILIES.include?(row["family"]) },
        "fluid_colours" => Tables::Schema.new({
          "label" => String,
          "fresh" => [TrueClass, FalseClass]
        }),
        "machine_uses" => Tables::Schema.new({
          "label" => String,
          "hard?" => [TrueClass, FalseClass],
          "second?" => [TrueClass, FalseClass]
        }),
        "seals" => Tables::Schema.new({
          "label" => String,
          "glycol" => String,
          "silicone" => String,
          "mineral" => String,
          "found_in" => String
        }) { |row| Schemas.families(row) },
        "lubricants" => Tables::Schema.new({
          "label" => String,
          "glycol" => String,
          "silicone" => String,
          "mineral" => String,
          "where" => String,
          "places" => Array
        }) { |row| Schemas.families(row) },
        "compatibility_words" => Tables::Schema.new({
          "label" => String,
          "does" => String
        }),
        "water_rates" => Tables::Schema.new({
          "percent_a_year" => Numeric
        }),
        "water_verdicts" => Tables::Schema.new({
          "from" => Numeric,
          "over_wet?" => Numeric,
          "label" => String,
          "mark?" => String,
          "stops?" => TrueClass,
          "does" => String,
          "due" => String
        })
      }.freeze

      # @return [String, nil] what is wrong with what a cleaner does to rubber or metal
      def self.cleaner(row)
        odd = row.values_at("rubber", "metal") - %w[ok brief never]
        "does unknown #{odd.join(", ")}; known are ok, brief, never" if odd.any?
      end

      # @return [String, nil] what is wrong with what a thing does in each family of fluid
      def self.families(row)
        Tables.unknown("compatibility_words", row.values_at(*FAMILIES))
      end
    end
  end
end
