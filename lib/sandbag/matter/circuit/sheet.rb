# frozen_string_literal: true

module Sandbag
  module Circuit
    # A circuit as it is written down: its parts, and the values somebody entered with where they came from. Whatever
    # was not entered stands at its trade default, marked so. Frozen; `change` gives a new sheet.
    #
    # The plain form (`to_h`) is
    #   {"kind" => "brake_hand", "parts" => [{"id", "part", "label", "from", "values" => {field => {"value",
    #   "source"}}}]}
    # where a part may also carry "defaults" => {field => value}: what its template knew better than the catalogue.
    # Ids of parts are whatever the client called them; code finds a part by what it is.
    class Sheet
      # A resolved value. `source` is one of Source::ENTERED or Source::DEFAULT.
      Value = Struct.new(:field, :value, :source)

      SINGLE = %w[lever master reservoir target fluid].freeze

      attr_reader :kind, :parts, :topology

      # @param plain [Hash] as somebody enters it
      # @param judged [Boolean] see `stored`
      # Refuses, by field path, unknown kinds, parts, fields and sources, values outside their limits, and a broken
      # tree.
      def initialize(plain, judged = true)
        @kind =
          Kind.find(plain["kind"]) ||
          raise(Refusal.at("kind", "#{plain["kind"]} is not a kind of circuit", Kind.all.map(&:id).join(", ")))
        @parts =
          (
            if judged
              SheetReader.entered(plain["parts"], @kind.id)
            else
              plain["parts"].map { |part| SheetReader.stored(part) }
            end
          ).freeze
        @topology = Topology.new(@parts)
        SheetReader.check(self) if judged
        @of = @parts.group_by { |part| part["part"] }.freeze
        @values = @parts.to_h { |part| [part["id"], resolve(part)] }.freeze
        @made = {}
        @changed = {}
        freeze
      end

      # A sheet that was accepted once is read without being judged again: a limit that has moved since marks a value
      # where it is shown, and makes nothing unreadable.
      # @param plain [Hash] as it was stored
      # @return [Sheet]
      def self.stored(plain)
        new(plain, false)
      end

      def clutch?
        kind.clutch?
      end

      # A row of a table is for this circuit: for its kind, and for its ABS and its remote reservoir where it says so.
      # @param row [Hash] with the columns of SUITS, abs or remote
      def suits?(row)
        kind.suits?(row) && (!row["abs"] || abs?) && (!row["remote"] || value("reservoir", "mount") == "remote")
      end

      # ABS is fitted, or nobody has said that it is not.
      def abs?
        !clutch? && value("vehicle", "abs") != "none"
      end

      # @return [Array<Hash>] parts of one kind, in order
      def parts_of(part)
        @of.fetch(part, NONE)
      end
      NONE = [].freeze

      # @return [Array<Hash>] what stands at the far ends, in order
      def far_ends
        parts_of(kind.end_part)
      end

      # @return [Hash, nil]
      def part(id)
        parts.find { |each| each["id"] == id }
      end

      # @return [String] id of a part that stands once on the circuit
      def id_of(part)
        parts_of(part).first["id"]
      end

      # @return [Hash{String => Value}] every value of a part: entered, or its default, or nil where there is no default
      def values(part)
        @values.fetch(part["id"])
      end

      # @return [Object] one value of a part that stands once on the circuit
      def value(part, field)
        values(parts_of(part).first).fetch(field).value
      end

      # @return [String] where that value came from
      def source(part, field)
        values(parts_of(part).first).fetch(field).source
      end

      # @param typed [String, Numeric, Array, nil] nil or "" takes an entered value back to its default
      # @return [Sheet] judged in what was changed only. The latest change of each value is kept: changed once more in
      #   the same way, it is the same sheet, with all that was worked out from it.
      def change(part_id, field, typed, source)
        given = [typed, source]
        known, sheet = @changed[[part_id, field]]
        return sheet if known.eql?(given)
        changed(part_id, field, typed, source).tap { |made| @changed[[part_id, field]] = [given, made] }
      end

      # The same for a part that stands once, whatever it is called.
      def set(part, field, typed, source)
        change(id_of(part), field, typed, source)
      end

      # One part in place of another of the same id; the others keep what was worked out for them.
      protected def replace(old, new)
        @parts = parts.map { |each| each.equal?(old) ? new : each }.freeze
        @topology = Topology.new(@parts)
        @of = @parts.group_by { |part| part["part"] }.freeze
        @values = @values.merge(new["id"] => resolve(new)).freeze
        @made = {}
        @changed = {}
        freeze
      end

      # @yieldreturn [Object] a frozen thing worked out from this sheet alone
      # @return [Object] the same again, as long as the sheet is kept
      def made(what)
        @made[what] ||= yield
      end

      def to_h
        {"kind" => kind.id, "parts" => parts}
      end

      private

      def changed(part_id, field, typed, source)
        part =
          part(part_id) ||
          raise(
            Refusal.at("parts/#{part_id}", "no such part on this circuit", parts.map { |each| each["id"] }.join(", "))
          )
        values = part["values"].except(field)
        if typed.nil? || typed == ""
          Refusal.within("parts/#{part_id}") { PartFields.of(part["part"], kind.id).fetch(field) }
        else
          values = values.merge(SheetReader.values({field => {"value" => typed, "source" => source}}, part, kind.id))
        end
        dup.replace(part, part.merge("values" => values.freeze).freeze)
      end

      def resolve(part)
        PartFields.of(part["part"], kind.id).resolve(part["values"], part["defaults"])
      end
    end
  end
end
