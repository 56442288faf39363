# frozen_string_literal: true

module Sandbag
  module Cylinder
    # Protection, attitude and marks before the first step (docs/trade.md 3.1).
    class Setup
      DONE = "done"

      # @param answers [Hash{String => Hash}] row id => value and reason, as entered
      # @param sheet [Circuit::Sheet]
      # @param strips [Boolean] something comes off; else only what protects machine and mechanic is asked
      def initialize(answers, sheet, strips: true)
        @answers = answers
        @sheet = sheet
        @strips = strips
        freeze
      end

      # @param answers [Hash{String => Hash}] as entered
      # @return [Hash{String => Integer}] part => how many there are, where an answer says so
      def self.counts(answers)
        answers
          .map { |id, answer| Tables.find("setup", id)&.dig("counts", answer["value"]) || {} }
          .reduce({}, :merge)
      end

      # @return [Array<Hash>] rows of setup.yml that concern this circuit
      def rows
        Tables.rows("setup").select do |row|
          @sheet.suits?(row) && (@strips || row["always"])
        end
      end

      # @return [Array<Hash>] rows that hold the first step up
      def missing
        rows.select { |row| row["word"] == "block" && !@answers.key?(row["id"]) }
      end

      # Refuses a row that does not concern this circuit, and an answer it does not have.
      def admit(data)
        row = rows.find { |each| each["id"] == data["item"] }
        unless row
          raise Refusal.at(
            "data/item",
            "“#{data["item"]}” is not part of this set-up",
            rows.map { |each| each["id"] }.join(", ")
          )
        end
        accepted = row["values"]&.keys || [DONE]
        value = data["value"] || DONE
        return if accepted.include?(value) || (row["word"] == "block" && data["reason"])
        raise Refusal.at("data/value", "“#{value}” is no answer to “#{row["label"]}”", accepted.join(", "))
      end

      def to_h
        rows.map do |row|
          answer = @answers[row["id"]]
          {
            id: row["id"],
            label: row["label"],
            detail: row["detail"],
            word: row["word"],
            values: row["values"],
            value: answer && (answer["value"] || DONE),
            reason: answer&.fetch("reason", nil),
            warning: answer && row.dig("warns", answer["value"])
          }.compact
        end
      end
    end
  end
end
