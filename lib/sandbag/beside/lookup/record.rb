# frozen_string_literal: true

module Sandbag
  module Lookup
    # What somebody entered in the record of one circuit: it prevails over any default.
    module Record
      # @param sheet [Circuit::Sheet]
      # @return [Array<Entry>]
      def self.of(sheet)
        sheet.parts.flat_map do |part|
          sheet.values(part).values.reject { |value| value.source == Circuit::Source::DEFAULT || value.value.nil? }
            .map { |value| entry(part, value) }
        end
      end

      def self.entry(part, value)
        field = value.field
        Entry.new(id: "record.#{part["id"]}.#{field.name}", group: "record",
          title: "#{Circuit::Places.name(part)}: #{field.label}", says: [said(field, value.value)].freeze,
          words: [part["part"]].freeze, source: value.source).freeze
      end

      def self.said(field, value)
        return Array(value).map { |each| figure(field, each) }.join(", ") if [*value].all?(Numeric)
        Wording.sentence(Wording.spelled(value.to_s))
      end

      def self.figure(field, value)
        field.row["dimension"] ? Said.figure(value, field.row["dimension"].to_sym, "g") : Wording.figures(value)
      end
      private_class_method :entry, :said, :figure
    end
  end
end
