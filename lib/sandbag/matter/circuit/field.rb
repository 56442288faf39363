# frozen_string_literal: true

module Sandbag
  module Circuit
    # One kind of value a circuit has: a row of knowledge/circuit_fields.yml.
    class Field
      def self.all
        @all ||= Tables.rows("circuit_fields").map { |row| new(row) }.freeze
      end

      # @return [Hash] what a page needs to show such a value
      attr_reader :view

      attr_reader :row, :part, :name, :label, :note

      # @return [String, nil] what its default depends on: CIRCUIT_KIND, or another field of the part
      attr_reader :by
      CIRCUIT_KIND = "circuit_kind"

      def initialize(row)
        @row = row
        @part = row["part"]
        @name = row["field"]
        @label = row["label"]
        @note = row["note"]
        @reader = QuantityReader.new(row, label)
        @by, @defaults = read_defaults(row["default"])
        @view =
          {field: name, label: label, type: type, dimension: dimension, unit: unit, choices: named_choices, note: note}
            .compact
            .freeze
        freeze
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

      def read(typed)
        @reader.read(typed)
      end

      # The default depends on another field of the part.
      def dependent?
        !(by.nil? || by == CIRCUIT_KIND)
      end

      # @param key [String] what it depends on; like [String, nil] what stands in for it where the row does not name it
      # @return [Sheet::Value] of the trade default; of nil where there is none
      def default(key, like = nil)
        return @defaults[OTHER] unless by
        @defaults[key] || @defaults[like] || @defaults[OTHER]
      end
      OTHER = "other"

      # @return [String, nil] what is wrong with a value by today's limits; it may have been entered under others
      def beyond(value)
        read(value)
        nil
      rescue Refusal => refusal
        refusal.problems.first.accepted
      end

      private

      # @return [Array<Hash>, nil] id and label; by the table that names them, where one does
      def named_choices
        choices&.map do |id|
          named = @row["names"] && Tables.find(@row["names"], id)
          {id: id, label: named ? named["label"] : Wording.spelled(id)}
        end
      end

      # @return [Array] what the default depends on, or nil; and the defaults by it
      def read_defaults(rule)
        return [nil, {OTHER => standing(rule)}.freeze] unless rule.is_a?(Hash)
        by = rule.except("by").to_h { |key, value| [key.to_s, standing(value)] }
        [rule["by"], {OTHER => standing(nil), **by}.freeze]
      end

      def standing(value)
        Sheet::Value.new(self, value && read(value), Source::DEFAULT).freeze
      end
    end
  end
end
