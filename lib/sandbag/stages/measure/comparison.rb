# frozen_string_literal: true

module Sandbag
  module Measure
    # New against old, before any fluid is opened (docs/trade.md 4.3).
    class Comparison
      # none: no new one goes on.
      SETTLED = %w[same resolved none].freeze

      # @param found [Hash{String => Hash}] row => value and note
      # @param route [String, nil] its id, which comparisons.yml names
      # @param kind [Circuit::Kind]
      # @param ever [Array<String>, nil] of a job that was compared before its strip began: rows that were ever
      #   answered; the others came later than the work, and are not asked of it
      def initialize(found, route, kind, ever: nil)
        @found = found
        @ever = ever
        @rows =
          Tables
            .rows("comparisons")
            .select { |row| row["routes"].include?(route) && kind.suits?(row) }
            .freeze
        freeze
      end

      attr_reader :rows

      # @return [Array<Hash>] not compared, or different and not resolved
      def open
        rows.reject { |row| SETTLED.include?(@found.dig(row["id"], "value")) || (@ever && !@ever.include?(row["id"])) }
      end

      def admit(data)
        unless rows.any? { |row| row["id"] == data["row"] }
          raise Refusal.at(
            "data/row",
            "“#{data["row"]}” is not compared on this job",
            rows.map { |row| row["id"] }.join(", ")
          )
        end
        if data["value"] == "none" && !@rows.find { |row| row["id"] == data["row"] }.key?("without")
          raise Refusal.at("data/value", "a new one goes on in any case", "same, differs, resolved")
        end
        return unless data["value"] == "resolved" && data["note"].nil?
        raise Refusal.at("data/note", "how was the difference resolved?", "a note, in words")
      end

      def to_h
        rows.map do |row|
          {
            id: row["id"],
            label: row["label"],
            compare: row["compare"],
            without: row["without"],
            value: @found.dig(row["id"], "value"),
            note: @found.dig(row["id"], "note")
          }.compact
        end
      end
    end
  end
end
