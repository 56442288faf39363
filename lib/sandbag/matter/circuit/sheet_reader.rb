# frozen_string_literal: true

module Sandbag
  module Circuit
    # Reads the parts of a sheet: as somebody enters them, each value judged by its limits, or as they were stored.
    module SheetReader
      # @param parts [Array<Hash>] as entered; kind [String] id of the circuit's kind
      # @return [Array<Hash>] the parts, each with its values read; what hangs on the master says so by one name,
      #   whatever its id
      def self.entered(parts, kind)
        ids = parts.to_h { |part| [part["id"], part["part"]] }
        parts.map { |part| part((ids[part["from"]] == "master") ? part.merge("from" => Topology::ROOT) : part, kind) }
      end

      # @param part [Hash] as entered; kind [String] id of the circuit's kind
      # @return [Hash] the part with its values read, frozen
      # Refuses, by field path, unknown fields and sources, and values outside their limits.
      def self.part(part, kind)
        whole(part, values(part["values"] || {}, part, kind), defaults(part, kind))
      end

      # @return [Hash] a part that was read once, as it stands
      def self.stored(part)
        part.frozen? ? part : whole(part, part["values"], part["defaults"] || {})
      end

      # @param entered [Hash] field => value and source
      # @return [Hash] the same, read
      def self.values(entered, part, kind)
        read(entered, part, kind) { |field, given| value(field, given) }
      end

      # Refuses two parts of one name, a part too many or too few, and a broken tree.
      # @param sheet [Sheet]
      def self.check(sheet)
        ids = sheet.parts.map { |part| part["id"] }
        twice = ids.tally.find { |_, times| times > 1 }&.first
        raise Refusal.at("parts/#{twice}", "two parts are called #{twice}", "a different id for each") if twice
        astray = sheet.parts.find { |part| part["id"] == Topology::ROOT && part["part"] != "master" }
        if astray
          raise Refusal.at(
            "parts/#{Topology::ROOT}",
            "“#{Topology::ROOT}” names the master where a hose starts",
            "another id for this #{astray["part"]}"
          )
        end
        counts = sheet.parts.map { |part| part["part"] }.tally
        sheet.kind.singles.each do |part|
          found = counts.fetch(part, 0)
          raise Refusal.at("parts", "a circuit has one #{part}, here are #{found}", "exactly one") unless found == 1
        end
        far_end = sheet.kind.end_part
        unless counts.key?(far_end)
          raise Refusal.at("parts", "nothing stands at the far end", "at least one #{far_end}")
        end
        sheet.topology.check
      end

      def self.whole(part, values, defaults)
        part.slice("id", "part", "label", "from").merge("defaults" => defaults.freeze, "values" => values.freeze).freeze
      end

      def self.defaults(part, kind)
        read(part["defaults"] || {}, part, kind) { |field, value| field.read(value) }
      end

      # @yieldparam field [Field]; given [Object] what stands in it
      def self.read(given, part, kind)
        fields = PartFields.of(part["part"], kind)
        Refusal.within("parts/#{part["id"]}") do
          given.to_h do |name, each|
            field = fields.fetch(name)
            [name, Refusal.within(name) { yield(field, each) }]
          end
        end
      end

      def self.value(field, given)
        source = given["source"]
        unless Source::ENTERED.include?(source)
          raise Refusal.at("", "#{source} is not a source", Source::ENTERED.join(", "))
        end
        {"value" => field.read(given["value"]), "source" => source}.freeze
      end
      private_class_method :whole, :defaults, :read, :value
    end
  end
end
