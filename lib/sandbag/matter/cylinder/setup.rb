# frozen_string_literal: true

module Sandbag
  module Cylinder
    # Protection, attitude and marks before the first step (docs/trade.md 3.1).
    class Setup
      DONE = "done"

      # @param answers [Hash{String => Hash}] row id => value and reason, as entered
      # @param sheet [Circuit::Sheet]
      # @param figures [SetupFigures]; units [Array<String>] kinds of part that are worked on
      # @param strips [Boolean] something comes off; else only what protects machine and mechanic is asked
      # @param hoses [Array<Circuit::Place>] those that stay on; begun [Boolean] a step is done or fluid has moved
      # @param apart [Boolean] a step is done
      # @param ever [Array<String>] rows that were ever answered, taken back or not
      def initialize(answers, sheet, hoses:, figures: SetupFigures.new({}, []), units: [], strips: true, begun: false,
        apart: false, ever: [])
        @answers = answers
        @figures = figures
        @units = units
        @sheet = sheet
        @strips = strips
        @begun = begun
        @apart = apart
        @ever = ever
        @hoses = hoses
        @rows = concerning_this_circuit.flat_map { |row| row["each"] ? for_each_hose(row) : [row] }.freeze
        freeze
      end

      # @return [Array<Hash>] rows of setup.yml that concern this circuit; one for each hose where it is of hoses
      attr_reader :rows

      # What was found under Ask answers a row, until it is answered itself.
      # @param entered [Hash{String => Hash}] row id => data; findings [Hash{String => Array<String>}] finding => values
      # @return [Hash{String => Hash}] row id => data
      def self.answers(entered, findings)
        found = Tables.rows("setup").filter_map do |row|
          answer = (row["found"] || {}).flat_map { |id, values| values.values_at(*findings[id]) }.compact.first
          answer && [row["id"], {"value" => answer}]
        end
        found.to_h.merge(entered)
      end

      # @param answers [Hash{String => Hash}] row id => data
      # @return [Hash{String => Integer}] part => how many there are, where an answer says so
      def self.counts(answers)
        answers
          .map { |id, answer| Tables.find("setup", id)&.dig("counts", answer["value"]) || {} }
          .reduce({}, :merge)
      end

      # @return [String, nil] the first hose that may not stay on, or was not looked at
      def hose_fault
        row = rows.find { |each| each["each"] && !each["good"].include?(@answers.dig(each["id"], "value")) }
        return unless row
        answer = @answers.dig(row["id"], "value")
        "#{row["name"]}: #{answer ? Wording.inside(row["values"].fetch(answer, answer)) : "not looked at"}"
      end

      # @return [Array<Hash>] rows that hold the first step up; a hose is still looked at, for its gate, once work
      #   began, and what can only be seen before is not asked any more
      def missing
        rows.select { |row| row["word"] == "block" && !answered?(row) && !moot?(row) }
      end

      def answered?(row)
        @answers.key?(row["id"]) || (row["figures"] && @figures.any?(row["id"]))
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
        accepted = answers_of(row).keys
        value = data["value"] || DONE
        return if accepted.include?(value) || (waivable?(row) && data["reason"])
        raise Refusal.at("data/value", "“#{value}” is not one of the answers to “#{row["label"]}”", accepted.join(", "))
      end

      def to_h
        rows.map do |row|
          answer = @answers[row["id"]]
          {
            id: row["id"],
            label: row["label"],
            detail: row["detail"],
            word: row["word"],
            waivable: waivable?(row),
            values: (answers_of(row) if row["values"]),
            value: answer ? (answer["value"] || DONE) : (DONE if answered?(row)),
            figures: (@figures.to_a(row["id"]) if row["figures"]),
            reason: answer&.fetch("reason", nil),
            warning: answer && row.dig("warns", answer["value"])
          }.compact
        end
      end

      private

      # @return [Hash{String => String}] what can be answered on this circuit
      def answers_of(row)
        answers = row["values"] || {DONE => DONE}
        @sheet.abs? ? answers.except(*row["never_abs"]) : answers
      end

      def moot?(row)
        return @begun if row["each"]
        row["first"] && !@ever.include?(row["id"]) && (row["unit"] ? @apart : @begun)
      end

      # A hose is looked at, or new.
      def waivable?(row)
        row["word"] == "block" && !row["each"] && !row["figures"]
      end

      def concerning_this_circuit
        Tables.rows("setup").select do |row|
          @sheet.suits?(row) && (@strips || row["always"]) && (row["unit"].nil? || @units.include?(row["unit"]))
        end
      end

      def for_each_hose(row)
        @hoses.map do |hose|
          label = row["label"].sub("{name}", hose.label)
          row.merge("id" => "#{row["id"]}.#{hose.at}", "name" => hose.label, "label" => label)
        end
      end
    end
  end
end
