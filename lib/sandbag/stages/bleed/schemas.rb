# frozen_string_literal: true

module Sandbag
  module Bleed
    # The tables of this room (knowledge/bleed): their columns, and what their rows must hold to.
    module Schemas
      # What a rung of the ladder may need of a circuit.
      RUNG_NEEDS = %w[caliper remote high_spot pair].freeze

      TABLES = {
        "bleed_samples" => Tables::Schema.new({
          "label" => String,
          "dirty" => [TrueClass, FalseClass],
          "means" => String
        }),
        "stubborn_air" => Tables::Schema.new({
          "label" => String,
          "does" => String,
          "minutes" => Integer,
          "settles" => String,
          "needs?" => String,
          "method?" => String,
          "wait?" => String,
          "looks?" => Array
        }) { |row| Schemas.stubborn_air(row) }
      }.freeze

      # @return [String, nil] what is wrong with a rung of the ladder for stubborn air
      def self.stubborn_air(row)
        return "needs unknown #{row["needs"]}" if row["needs"] && !RUNG_NEEDS.include?(row["needs"])
        Tables.unknown("bleed_methods", [row["method"]].compact) || Tables.unknown("waits", [row["wait"]].compact) ||
          Tables.unknown("findings", row["looks"] || [])
      end
    end
  end
end
