# frozen_string_literal: true

module Sandbag
  module Circuit
    # One kind of value a circuit has: a row of knowledge/circuit_fields.yml.
    class Field
      def self.all
        @all ||= Knowledge.table("circuit_fields").map { |row| new(row) }.freeze
      end

      # @return [Array<Field>] the fields of a kind of part on a kind of circuit
      def self.of(part, circuit_kind)
        @of ||= Hash.new do |fields, key|
          fields[key] = all.select { |field| field.part == key[0] && field.applies_to?(key[1]) }.freeze
        end
        @of[[part, circuit_kind]]
      end

      attr_reader :part, :name, :label, :note

      def initialize(row)
        @row = row
        @part = row["part"]
        @name = row["field"]
        @label = row["label"]
        @note = row["note"]
        @reader = QuantityReader.new(row, label)
      end

      def type
        @row["type"]
      end

      def unit
        @row["dimension"] ? Units.unit(@row["dimension"].to_sym) : ""
      end

      # @return [String, nil]
      def dimension
        @row["dimension"]
      end

      def choices
        @row["choices"]
      end

      def applies_to?(circuit_kind)
        @row["only"].nil? || @row["only"].include?(circuit_kind)
      end

      def read(typed)
        @reader.read(typed)
      end

      # The trade default, or nil where there is none.
      # @param keys [Hash{String => String}] what a default may depend on: circuit_kind, build and the part's own choices
      def default(keys)
        rule = @row["default"]
        rule = rule.fetch(keys[rule["by"]].to_s) { rule["other"] } if rule.is_a?(Hash)
        rule && read(rule)
      end
    end
  end
end
