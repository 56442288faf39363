# frozen_string_literal: true

module Sandbag
  module Ask
    # Which finding to look for next: what it can be expected to tell about the cause (mutual information, bits) per minute
    # it costs. How likely each answer is follows from the shares now and the steps of the matrix. Findings that open the
    # circuit come last.
    class NextTest
      # @attr gain_bits [Float] never below 0; answers: value => cause that would lead, and its share, after that answer
      Offer = Struct.new(:finding, :gain_bits, :answers, keyword_init: true)

      # How much likelier than any other the ordinary answer is, before any cause speaks. [default]
      ORDINARY = 4.0

      # @param diagnosis [Diagnosis]
      # @param askable [Array<Hash>] rows of findings that may be asked on this circuit
      def initialize(diagnosis, askable)
        @diagnosis = diagnosis
        @askable = askable.reject { |row| diagnosis.findings.known?(row["id"]) }
        @shares = diagnosis.shares
        freeze
      end

      # @return [Array<Offer>] best first
      def best(count = 3)
        gains = @askable.to_h { |row| [row, gain_bits(row)] }
        ranked = gains.sort_by { |row, gain| [row["opens"] ? 1 : 0, -gain / row["minutes"], row["id"]] }
        ranked.first(count).map { |row, gain| Offer.new(finding: row, gain_bits: gain, answers: answers(row)).freeze }
      end

      # I(cause; answer) = Σ P(cause, value) log2(P(cause, value) / (P(cause) P(value)))
      # @return [Float] bits
      def gain_bits(row)
        joint = row["values"].keys.to_h { |value| [value, {}] }
        @shares.each do |code, share|
          likelihoods = likelihoods(row, code)
          likelihoods.each { |value, likelihood| joint[value][code] = share * likelihood }
        end
        joint.values.sum do |together|
          chance = together.values.sum
          together.sum { |code, both| both.positive? ? both * Math.log2(both / (chance * @shares[code])) : 0.0 }
        end
      end

      private

      # P(value | cause) ∝ base(value) 3^steps
      def likelihoods(row, code)
        weights = row["values"].keys.to_h do |value|
          base = (row["ordinary"] == value) ? ORDINARY : 1.0
          [value, base * 3.0**Matrix.steps(row["id"], value, @diagnosis.side)[code]]
        end
        total = weights.values.sum
        weights.transform_values { |weight| weight / total }
      end

      def answers(row)
        row["values"].keys.to_h do |value|
          code, share = @diagnosis.with(row["id"], value).shares.max_by { |_, each| each }
          [value, {cause: code, share: share}]
        end
      end
    end
  end
end
