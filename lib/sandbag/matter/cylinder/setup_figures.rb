# frozen_string_literal: true

module Sandbag
  module Cylinder
    # What is written down of a unit before it moves, so that it goes back as it was (docs/trade.md 3.1).
    class SetupFigures
      # @param given [Hash{String => Float}] id of setup_figures.yml => figure, as entered
      # @param parts [Array<String>] plain ids of what comes out; sheet [Circuit::Sheet, nil] nil has none
      def initialize(given, parts, sheet = nil)
        @given = given
        @rows = Tables.rows("setup_figures").select do |row|
          sheet&.suits?(Tables.find("setup", row["of"])) && (row["takes"].nil? || row["takes"].intersect?(parts))
        end.freeze
        freeze
      end

      # @param item [String] row of setup.yml
      # @return [Array<Hash>] rows that belong to it here
      def of(item)
        @rows.select { |row| row["of"] == item }
      end

      # @param item [String] row of setup.yml
      def any?(item)
        of(item).any? { |row| @given.key?(row["id"]) }
      end

      # Refuses a figure that is not taken here, and one that cannot be.
      # @param data [Hash] figure and value
      def admit(data)
        row = @rows.find { |each| each["id"] == data["figure"] }
        unless row
          raise Refusal.at("data/figure", "“#{data["figure"]}” is not written down here",
            @rows.map { |each| each["id"] }.join(", "))
        end
        return if data["value"] <= row["most"]
        raise Refusal.at("data/value", "#{row["label"]} cannot be #{Wording.figures(data["value"])}",
          "up to #{row["most"]}")
      end

      # @param item [String, nil] row of setup.yml; nil takes all
      # @return [Array<Hash>] id, label, dimension, value
      def to_a(item = nil)
        rows = item ? of(item) : @rows
        rows.map do |row|
          {id: row["id"], label: row["label"], dimension: row["dimension"], value: @given[row["id"]]}.compact
        end
      end
    end
  end
end
