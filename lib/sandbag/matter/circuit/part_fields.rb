# frozen_string_literal: true

module Sandbag
  module Circuit
    # The fields that a kind of part has on a kind of circuit, and what stands in each until somebody enters a value.
    class PartFields
      include Enumerable

      # @return [PartFields]
      def self.of(part, circuit_kind)
        @of ||= Hash.new do |kinds, kind|
          kinds[kind] = Hash.new { |parts, each| parts[each] = new(each, kind) }
        end
        @of[circuit_kind][part]
      end

      def initialize(part, circuit_kind)
        @part = part
        @kind = Kind.find(circuit_kind)
        @named = Field.all
          .select { |field| field.part == part && (@kind.nil? || @kind.suits?(field.row)) }
          .to_h { |field| [field.name, field] }.freeze
        @defaults = @named.transform_values { |field| field.default(circuit_kind, @kind&.like) }.freeze
        @dependent = @named.values.select(&:dependent?).freeze
        freeze
      end

      def each(&)
        @named.each_value(&)
      end

      # @return [Field]
      # Refuses one that such a part has not.
      def fetch(name)
        @named.fetch(name) do
          raise Refusal.at(name, "a #{@part} has no #{name}", @named.keys.join(", "))
        end
      end

      # @param entered [Hash{String => Hash}] field => value and source; known [Hash{String => Object}] defaults of the
      #   part's template
      # @return [Hash{String => Sheet::Value}] of every field: entered, or its default, or nil where there is none
      # Fields that no longer exist are passed over.
      def resolve(entered, known)
        values = @defaults.dup
        known.each { |name, value| put(values, name, value, Source::DEFAULT) }
        entered.each { |name, given| put(values, name, given["value"], given["source"]) }
        @dependent.each do |field|
          name = field.name
          values[name] = field.default(key(field.by, values)) unless entered.key?(name) || known.key?(name)
        end
        values.freeze
      end

      private

      def put(values, name, value, source)
        field = @named[name]
        values[name] = Sheet::Value.new(field, value, source) if field
      end

      # A caliper flexes by how it is built and by how many pistons it has.
      def key(by, values)
        value = values[by].value
        return value unless by == "build"
        return @kind.caliper if @kind&.caliper
        (value == "sliding") ? value : "opposed_#{values["pistons"].value.size}"
      end
    end
  end
end
