# frozen_string_literal: true

module Sandbag
  module Circuit
    # A circuit as it is written down: its parts, and the values somebody entered with where they came from. Whatever was
    # not entered stands at its trade default, marked so. Frozen; `change` gives a new sheet.
    #
    # The plain form (`to_h`) is
    #   {"kind" => "brake_hand", "parts" => [{"id", "part", "label", "from", "values" => {field => {"value", "source"}}}]}
    # where a part may also carry "defaults" => {field => value}: what its template knew better than the catalogue.
    class Sheet
      # A resolved value. `source` is one of Source::ENTERED or Source::DEFAULT.
      Value = Struct.new(:field, :value, :source)

      SINGLE = %w[lever master reservoir target fluid].freeze

      attr_reader :kind, :parts, :topology

      # Refuses, by field path, unknown kinds, parts, fields and sources, values outside their limits, and a broken tree.
      def initialize(plain)
        @kind = plain["kind"]
        raise Refusal.at("kind", "#{@kind} is not a kind of circuit", kinds.join(", ")) unless kinds.include?(@kind)
        @parts = plain["parts"].map { |part| read_part(part) }.freeze
        check_parts
        @topology = Topology.new(@parts)
        @topology.check
        @values = @parts.to_h { |part| [part["id"], resolve(part).freeze] }.freeze
        freeze
      end

      def clutch?
        kind == "clutch_hand"
      end

      # ABS is fitted, or nobody has said that it is not.
      def abs?
        !clutch? && value("vehicle", "abs") != "none"
      end

      # @return [Array<Hash>] parts of one kind, in order
      def parts_of(part)
        parts.select { |each| each["part"] == part }
      end

      # @return [Hash{String => Value}] every value of a part: entered, or its default, or nil where there is no default
      def values(part)
        @values.fetch(part["id"])
      end

      # @return [Object] one value of a part that stands once on the circuit
      def value(part, field)
        values(parts_of(part).first).fetch(field).value
      end

      # @param typed [String, Numeric, Array, nil] nil or "" takes an entered value back to its default
      # @return [Sheet]
      def change(part_id, field, typed, source)
        part = parts.find { |each| each["id"] == part_id }
        raise Refusal.at("parts/#{part_id}", "no such part on this circuit", parts.map { |each| each["id"] }.join(", ")) unless part
        values = part["values"].reject { |name, _| name == field }
        values[field] = {"value" => typed, "source" => source} unless typed.nil? || typed == ""
        known_field(part["part"], field, part_id)
        changed = part.merge("values" => values)
        Sheet.new("kind" => kind, "parts" => parts.map { |each| each.equal?(part) ? changed : each })
      end

      def to_h
        {"kind" => kind, "parts" => parts}
      end

      private

      def resolve(part)
        entered = part["values"]
        keys = {"circuit_kind" => kind}
        Field.of(part["part"], kind).to_h do |field|
          given = entered[field.name]
          value = given ? given["value"] : part["defaults"].fetch(field.name) { field.default(keys) }
          keys[field.name] = value
          keys["build"] = caliper_build(keys) if keys.key?("pistons")
          [field.name, Value.new(field, value, given ? given["source"] : Source::DEFAULT)]
        end
      end

      def kinds
        Knowledge.table("circuit_kinds").map { |row| row["id"] }
      end

      def caliper_build(keys)
        return "bicycle" if kind == "brake_bike"
        (keys["build"] == "sliding") ? "sliding" : "opposed_#{keys["pistons"].size}"
      end

      def read_part(part)
        values = (part["values"] || {}).to_h do |name, entered|
          field = known_field(part["part"], name, part["id"])
          [name, read_value(field, entered, "parts/#{part["id"]}/#{name}")]
        end
        part.slice("id", "part", "label", "from").merge("defaults" => read_defaults(part).freeze, "values" => values.freeze).freeze
      end

      def read_defaults(part)
        (part["defaults"] || {}).to_h do |name, value|
          field = known_field(part["part"], name, part["id"])
          [name, Refusal.within("parts/#{part["id"]}/#{name}") { field.read(value) }]
        end
      end

      def known_field(part, name, id)
        fields = Field.of(part, kind)
        fields.find { |field| field.name == name } ||
          raise(Refusal.at("parts/#{id}/#{name}", "a #{part} has no #{name}", fields.map(&:name).join(", ")))
      end

      def read_value(field, entered, pointer)
        source = entered["source"]
        unless Source::ENTERED.include?(source)
          raise Refusal.at(pointer, "#{source} is not a source", Source::ENTERED.join(", "))
        end
        Refusal.within(pointer) { {"value" => field.read(entered["value"]), "source" => source}.freeze }
      end

      def check_parts
        ids = parts.map { |part| part["id"] }
        twice = ids.find { |id| ids.count(id) > 1 }
        raise Refusal.at("parts/#{twice}", "two parts are called #{twice}", "a different id for each") if twice
        needed = SINGLE + [clutch? ? "slave" : "vehicle"]
        needed.each do |part|
          found = parts_of(part).size
          raise Refusal.at("parts", "a circuit has one #{part}, here are #{found}", "exactly one") unless found == 1
        end
        far_end = clutch? ? "slave" : "caliper"
        raise Refusal.at("parts", "nothing stands at the far end", "at least one #{far_end}") if parts_of(far_end).empty?
      end
    end
  end
end
