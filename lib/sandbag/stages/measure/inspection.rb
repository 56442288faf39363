# frozen_string_literal: true

module Sandbag
  module Measure
    # What was seen on each part once it was clean and dry, and what follows by the rules of inspections.yml
    # (docs/trade.md 4.1).
    class Inspection
      UNIT = "unit"
      # From the best to the worst.
      RULES = %w[reuse clean flag renew unit].freeze

      # @attr row [Hash] of inspections.yml; value [String, nil] the finding; rule [String, nil]
      Look =
        Struct.new(:row, :value, keyword_init: true) do
          def rule
            value && row["values"][value]["rule"]
          end

          def part
            row["parts"].first
          end

          def to_h
            found = value && row["values"][value]
            {
              id: row["id"],
              label: row["label"],
              how: row["how"],
              value: value,
              rule: rule,
              does: found&.fetch("does", nil),
              values: row["values"].transform_values { |each| each["label"] }
            }.compact
          end
        end

      # @param found [Hash{String => String}] inspection => finding
      # @param tray [Cylinder::Tray]
      def initialize(found, tray)
        @looks =
          Tables
            .rows("inspections")
            .select { |row| row["parts"].any? { |part| part == UNIT || tray.out(part).positive? } }
            .map { |row| Look.new(row: row, value: found[row["id"]]).freeze }
            .freeze
        freeze
      end

      # @return [Array<Look>] in the order they are made
      attr_reader :looks

      # @return [Array<Look>] not made yet, or to be made again after cleaning
      def open
        looks.select { |look| look.value.nil? || look.rule == "clean" }
      end

      # @return [Array<Look>] with one of some rules
      def with(*rules)
        looks.select { |look| rules.include?(look.rule) }
      end

      # Refuses an inspection that does not concern what came out, and a finding it does not have.
      def admit(data)
        look = looks.find { |each| each.row["id"] == data["check"] }
        unless look
          raise Refusal.at(
            "data/check",
            "“#{data["check"]}” is not looked at here",
            looks.map { |each| each.row["id"] }.join(", ")
          )
        end
        return if look.row["values"].key?(data["value"])
        raise Refusal.at(
          "data/value",
          "#{look.row["label"]} cannot be “#{data["value"]}”",
          look.row["values"].keys.join(", ")
        )
      end
    end
  end
end
