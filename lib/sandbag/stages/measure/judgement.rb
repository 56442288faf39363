# frozen_string_literal: true

module Sandbag
  module Measure
    # One figure against its limit, with the uncertainty of what it was read with. Within the uncertainty of the limit
    # it is too close to call (docs/physics.md 8).
    class Judgement
      VERDICTS = %w[reuse too_close renew].freeze

      attr_reader :id, :label, :value_mm, :limit_mm, :uncertainty_mm, :source

      # @param most [Boolean] the limit is the most it may be; else the least
      # @param source [String] where the limit comes from
      def initialize(id, label, value_mm, limit_mm, uncertainty_mm, most:, source:)
        @id = id
        @label = label
        @value_mm = value_mm
        @limit_mm = limit_mm
        @uncertainty_mm = uncertainty_mm
        @most = most
        @source = source
        freeze
      end

      # Differences smaller than this are the arithmetic's, mm.
      ARITHMETIC_MM = 1e-9

      # @return [Float] how far beyond the limit, mm; negative is within
      def beyond_mm
        @most ? value_mm - limit_mm : limit_mm - value_mm
      end

      # @return [String] reuse, renew or too_close
      def verdict
        return "too_close" if beyond_mm.abs <= uncertainty_mm + ARITHMETIC_MM
        beyond_mm.positive? ? "renew" : "reuse"
      end

      def why
        sign = @most ? "at most" : "at least"
        figures = "#{label} #{Said.mm(value_mm, 3)}, #{sign} #{Said.mm(limit_mm, 3, bare: true)}"
        return "#{figures}: within the gauge's #{Said.mm(uncertainty_mm, 3)} of the limit." if verdict == "too_close"
        "#{figures}: #{Said.mm(beyond_mm.abs, 3)} #{beyond_mm.positive? ? "beyond" : "inside"}."
      end

      def to_h
        {
          id: id,
          label: label,
          value_mm: value_mm,
          limit_mm: limit_mm,
          uncertainty_mm: uncertainty_mm,
          most: @most,
          verdict: verdict,
          why: why,
          source: source
        }
      end
    end
  end
end
