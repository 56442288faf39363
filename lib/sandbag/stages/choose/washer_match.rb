# frozen_string_literal: true

module Sandbag
  module Choose
    # Crush washers from the shelf against the banjo bolts they go on (docs/trade.md 6.3): bore and metal.
    module WasherMatch
      # How much wider than its bolt a washer may be, mm. [default]
      PLAY_MM = 0.6
      SAME_MM = 0.1

      # @param fields [Hash] of the thing on the shelf; lines [Array<Hash>] values of the circuit's lines
      # @return [Array(String, String)] what is wrong with them, and what is only in doubt; each may be nil
      def self.objections(fields, lines)
        fitting = lines.select { |values| (fields["bore"] - values["bolt"].value).between?(-SAME_MM, PLAY_MM) }
        sizes = lines.map { |values| Said.mm(values["bolt"].value, "g", bare: true) }.uniq.join(" and ")
        return size_fault(fields, lines, sizes) if fitting.empty?
        [
          nil,
          ("the bolts are #{sizes}: these go on some of them only" if fitting.size < lines.size) ||
            metal_doubt(fields, lines)
        ]
      end

      # A bolt that nobody has read may be another size.
      def self.size_fault(fields, lines, sizes)
        says = "they are #{Said.mm(fields["bore"], "g")}, the banjo bolt is #{sizes}"
        known = lines.any? { |values| values["bolt"].source != Circuit::Source::DEFAULT }
        known ? [says, nil] : [nil, "#{says} by the trade default: read it off the bolt"]
      end

      def self.metal_doubt(fields, lines)
        old = lines.map { |values| values["washer_metal"].value }.uniq - ["unknown"]
        if old.any? && !old.include?(fields["metal"])
          "they are #{fields["metal"]}, the old ones #{old.join(" and ")}: another metal takes another torque"
        end
      end
      private_class_method :size_fault, :metal_doubt
    end
  end
end
