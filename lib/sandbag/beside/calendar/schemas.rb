# frozen_string_literal: true

module Sandbag
  module Calendar
    # The tables of this room (knowledge/calendar): their columns, and what their rows must hold to.
    module Schemas
      TABLES = {
        "intervals" => Tables::Schema.new({
          "label" => String,
          "part" => String,
          "field" => String,
          "or?" => String,
          "months" => Integer,
          "hoses?" => Array,
          "short_for?" => Array,
          "months_short?" => Integer
        }) { |row| Schemas.interval(row) }
      }.freeze

      # @return [String, nil] what is wrong with an interval
      def self.interval(row)
        fields = row.values_at("field", "or").compact.map { |field| "#{row["part"]}.#{field}" }
        Tables.unknown("circuit_fields", fields) || Tables.unknown("machine_kinds", row["short_for"] || [])
      end
    end
  end
end
