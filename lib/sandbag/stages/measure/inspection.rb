# frozen_string_literal: true

module Sandbag
  module Measure
    # What was seen on each part once it was clean and dry, and what follows by the rules of inspections.yml
    # (docs/trade.md 4.1).
    class Inspection
      UNIT = "unit"
      # From the best to the worst.
      RULES = %w[reuse clean flag renew unit].freeze

      # @attr row [Hash] of inspections.yml; unit [Cylinder::OnBench]; value [String, nil] the finding; rule [String,
      #   nil]
      Look =
        Struct.new(:row, :unit, :value, keyword_init: true) do
          include OfUnit

          def rule
            value && row["values"][value]["rule"]
          end

          def part
            unit.named(row["parts"].first)
          end

          # Found as good as it can be with the others of its kind, by one answer.
          def together?
            row.key?("together") && value.nil?
          end

          def to_h
            found = value && row["values"][value]
            {
              id: id,
              label: label,
              how: row["how"],
              value: value,
              rule: rule,
              does: found&.fetch("does", nil),
              values: row["values"].transform_values { |each| each["label"] }
            }.compact
          end
        end

      # @param found [Hash{String => String}] inspection => finding
      # @param tray [Cylinder::Tray]; unit [Cylinder::OnBench]
      # @param ever [Array<String>, nil] of a job whose build has begun: looks that were ever made; the others came
      #   later than the work, and are not asked of it
      def initialize(found, tray, unit, ever: nil)
        @looks =
          Tables
            .rows("inspections")
            .select { |row| row["parts"].any? { |part| part == UNIT || tray.out(unit.named(part)).positive? } }
            .reject { |row| ever && !ever.include?(unit.named(row["id"])) }
            .map { |row| Look.new(row: row, unit: unit, value: found[unit.named(row["id"])]).freeze }
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
    end
  end
end
