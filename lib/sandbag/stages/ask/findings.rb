# frozen_string_literal: true

module Sandbag
  module Ask
    # What has been found so far: finding => values, one each but for those where more than one may be true. Frozen; the
    # order of entering does not matter.
    class Findings
      include Enumerable

      # @param values [Hash{String => Array<String>}]
      def initialize(values = {})
        @values = values.reject { |_, each| each.empty? }.transform_values { |each| each.sort.freeze }.sort.to_h.freeze
        freeze
      end

      # A finding that the tables no longer have stays in the journal and counts for nothing.
      def with(finding, value)
        row = Tables.find("findings", finding)
        return self unless row&.fetch("values")&.key?(value)
        kept = row["many"] ? values(finding) : []
        Findings.new(@values.merge(finding => (kept + [value]).uniq))
      end

      # @param value [String, nil] nil takes back all of the finding
      def without(finding, value = nil)
        Findings.new(@values.merge(finding => value ? values(finding) - [value] : []))
      end

      def values(finding)
        @values.fetch(finding, [])
      end

      def known?(finding)
        @values.key?(finding)
      end

      # Whether every condition holds: key => values of which one must have been found. Facts count as findings.
      def meet?(conditions, facts)
        conditions.all? { |key, wanted| ((facts.key?(key) ? [facts[key]] : values(key)) & wanted).any? }
      end

      # @yieldparam finding [String]; @yieldparam value [String]
      def each
        @values.each { |finding, values| values.each { |value| yield finding, value } }
      end

      def to_h
        @values
      end
    end
  end
end
