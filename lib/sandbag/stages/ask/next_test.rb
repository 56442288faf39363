# frozen_string_literal: true

module Sandbag
  module Ask
    # Which finding to look for next: what it can be expected to tell about the cause (mutual information, bits) for
    # the minutes it costs, the way there included. What is done in one walk pays its way once, and is offered
    # together where the trade does it together. What has to be looked at comes before everything, then what the
    # rider's words call for; what opens the circuit comes last. Why it is done so, and what else was tried:
    # docs/decisions, 010.
    class NextTest
      # @attr gain_bits [Float] never below 0; minutes [Integer] of the test itself; walk [Hash] row of walks.yml;
      #   answers: value => {cause, from, to}, the share that it would move most
      Offer = Struct.new(:finding, :gain_bits, :minutes, :walk, :answers, keyword_init: true)

      # How much likelier than any other the ordinary answer is, before any cause speaks. [default]
      ORDINARY = 4.0
      # Minutes that any test takes beside its own: to read what it is, and to write down what came of it. [default]
      HANDLING_MINUTES = 2
      # The rider's words choose until so much is found.
      WORDS_UNTIL = 3

      # @param diagnosis [Diagnosis]
      # @param askable [Array<Hash>] rows of findings that may be asked on this circuit
      # @param must [Array<String>] findings that come first; named [Array<String>] those that the rider's words call
      #   for
      def initialize(diagnosis, askable, must: [], named: [])
        @diagnosis = diagnosis
        @askable = askable.reject { |row| diagnosis.findings.known?(row["id"]) }
        @must = must
        @named = (diagnosis.findings.to_h.size < WORDS_UNTIL) ? named : []
        @shares = diagnosis.shares
        freeze
      end

      # @param count [Integer] of tests, or of walks whose tests are done together
      # @return [Array<Offer>] best first
      def best(count = 3)
        gains = @askable.to_h { |row| [row, gain_bits(row)] }
        units = gains.keys.group_by { |row| walk(row)["together"] ? row["walk"] : row }.values
        ranked =
          units.sort_by { |rows| [*precedence(rows), -gains.values_at(*rows).sum / cost(rows), rows.first["id"]] }
        ranked
          .first(count)
          .flatten
          .map do |row|
            Offer.new(
              finding: row,
              gain_bits: gains[row],
              minutes: row["minutes"],
              walk: walk(row),
              answers: answers(row)
            ).freeze
          end
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

      def walk(row)
        Tables.find("walks", row["walk"])
      end

      # @return [Array<Integer>] what goes before gain
      def precedence(rows)
        ids = rows.map { |row| row["id"] }
        must = ids.filter_map { |id| @must.index(id) }.min
        named = ids.filter_map { |id| @named.index(id) }.min
        [must || @must.size, (rows.any? { |row| row["opens"] }) ? 1 : 0, named || @named.size]
      end

      # Minutes of the tests, and of getting there where nothing of the walk has been done yet.
      def cost(rows)
        begun = @diagnosis.findings.to_h.keys.any? { |id| Tables.find("findings", id)["walk"] == rows.first["walk"] }
        rows.sum { |row| row["minutes"] + HANDLING_MINUTES } + (begun ? 0 : walk(rows.first)["minutes"])
      end

      # P(value | cause) ∝ base(value) 3^steps
      def likelihoods(row, code)
        weights = row["values"].keys.to_h do |value|
          base = (row["ordinary"] == value) ? ORDINARY : 1.0
          [value, base * 3.0**Matrix.steps(row["id"], value, @diagnosis.side)[code]]
        end
        total = weights.values.sum
        weights.transform_values { |weight| weight / total }
      end

      # What each answer would change: the cause it raises most; where it raises none by much, the one it lowers most.
      def answers(row)
        row["values"].keys.to_h do |value|
          after = @diagnosis.with(row["id"], value).shares
          raised, lowered = after.keys.minmax_by { |code| after[code] - @shares[code] }.reverse
          code = (after[raised] - @shares[raised] >= MUCH) ? raised : lowered
          [value, {cause: code, from: @shares[code], to: after[code]}]
        end
      end

      # A rise of a share that is worth saying.
      MUCH = 0.05
    end
  end
end
