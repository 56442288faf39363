# frozen_string_literal: true

module Sandbag
  module Measure
    # What becomes of the cylinder: one verdict with its reasons, from what was seen and what was gauged.
    class Verdict
      # open: something is still to be looked at or read. too_close: at the gauge's uncertainty. unit: the cylinder is
      # renewed. parts: it is used again with some new parts. reuse: it is used again.
      IDS = %w[unit open too_close parts reuse].freeze

      # Figures that condemn the cylinder, and those that condemn one part of it.
      OF_THE_BORE = %w[bore out_of_round].freeze
      OF_A_PART = {"piston" => "piston", "clearance" => "piston", "spring" => "spring"}.freeze

      attr_reader :id, :reasons, :parts

      # @param inspection [Inspection]; judgements [Array<Judgement>]
      # @param missing [Array<String>] what is still to be read or said, in words
      # @param given_up [Boolean] the piston never came
      # @param called [Hash, nil] verdict and reason where the figures are too close
      # @param fresh [Array<String>] parts that are new already
      # @param unit [Cylinder::OnBench] what is judged
      def initialize(inspection, judgements, missing:, given_up:, called:, fresh:, unit:)
        @unit = unit
        @inspection = inspection
        @judgements = judgements
        @missing = missing
        @given_up = given_up
        @called = called
        @parts = (worn_parts - fresh).freeze
        @id = decide
        @reasons = reasons_of(@id).freeze
        freeze
      end

      def label
        {
          "unit" => "Renew the #{@unit.noun}",
          "open" => "Still to look at",
          "too_close" => "Too close to call",
          "parts" => "Reuse, with new parts",
          "reuse" => "Reuse"
        }.fetch(id)
      end

      # Whether Build may go on.
      def settled?
        id == "reuse"
      end

      def to_h
        {id: id, label: label, reasons: reasons, parts: parts}
      end

      private

      def condemned
        @inspection.with("unit").map { |look| seen(look) } + over(OF_THE_BORE) +
          (@given_up ? ["The piston did not come by any gentle way."] : []) +
          ((@called && @called["verdict"] == "renew") ? call : [])
      end

      def decide
        return "unit" if condemned.any?
        return "open" if @missing.any?
        return "too_close" if close.any? && @called.nil?
        parts.any? ? "parts" : "reuse"
      end

      def reasons_of(id)
        case id
        when "unit" then condemned
        when "open" then @missing
        when "too_close" then close.map(&:why)
        when "parts" then @inspection.with("renew").map { |look| seen(look) } + over(OF_A_PART.keys) + call
        else @judgements.map(&:why) + call
        end
      end

      def call
        @called ? ["Called by the mechanic: #{@called["reason"]}"] : []
      end

      def close
        @judgements.select { |judgement| judgement.verdict == "too_close" }
      end

      def over(ids)
        @judgements.select { |judgement| ids.include?(judgement.id) && judgement.verdict == "renew" }.map(&:why)
      end

      def worn_parts
        worn =
          OF_A_PART
            .select { |figure, _| over([figure]).any? }
            .values
            .map { |part| @unit.named((part == "piston" && @unit.caliper?) ? "cal_piston" : part) }
        (@inspection.with("renew").map(&:part) + worn).uniq
      end

      def seen(look)
        "#{look.label}: #{look.row["values"][look.value]["label"].then { |label| Wording.inside(label) }}."
      end
    end
  end
end
