# frozen_string_literal: true

module Sandbag
  module Close
    # How high the reservoir may be filled for the state of the pads (docs/trade.md 9.1, docs/physics.md 9): worn pads
    # push back, when new ones go in, the area of their pistons times the depth they are worn.
    class Level
      # A ruler at a reservoir reads to this, mm. [default]
      READ_TO_MM = 0.5

      # @param sheet [Circuit::Sheet]; circuit [Hydraulics::Circuit]
      # @param worn [Hash{String => Float}] caliper => mm that each of its pads is worn, as measured in this job; else
      #   what the machine's record says
      # @param below_mm [Float, nil] the level as read, mm below its upper mark, or below the rim where there is no mark
      def initialize(sheet, circuit, worn: {}, below_mm: nil)
        @sheet = sheet
        @circuit = circuit
        @worn = worn
        @below_mm = below_mm
        @row = Tables.find("levels", circuit.clutch? ? "clutch" : sheet.value("reservoir", "marking"))
        freeze
      end

      # @return [Float] mL that new pads would push back
      def pushback_ml
        return 0.0 if @circuit.clutch?
        @sheet.far_ends.zip(@circuit.calipers).sum do |part, caliper|
          caliper.swept_area_mm2 * worn_mm(part) / 1000
        end
      end

      # Filled to a mark that it may stay below.
      def marked?
        @row["marked"] == true
      end

      # It is read off in mm.
      def measured?
        marked? || !rim.nil?
      end

      # @return [Float] mm below the upper mark that it may be filled to at most; never below the lower one, and what is
      #   too much then is drawn off when the new pads go in
      def highest_below_mm
        fill = @row["below"] + 1000 * pushback_ml / area_mm2
        fill.clamp(@row["below"], [lowest_below_mm, @row["below"]].max)
      end

      # @return [Float] mm from the upper mark to the lower
      def lowest_below_mm
        1000 * @sheet.value("reservoir", "to_min") / area_mm2
      end

      # Some pads are worn as far as they may be: their own thickness says so, not how much a reservoir holds.
      def pads_due?
        due.any?
      end

      def read?
        measured? && !@below_mm.nil?
      end

      # @return [Float] mL to draw off, or, below zero, to add
      def over_ml
        (highest_below_mm - @below_mm) * area_mm2 / 1000
      end

      # @return [String, nil] why the level that was read will not do
      def fault
        return unless read?
        return rim_fault if rim
        if pads_due?
          worn, life = [worn_mm(due.first), life_mm(due.first)].map { |each| Said.mm(each) }
          return "the pads are due: #{Wording.inside(due.first["label"])} is worn #{worn} of #{life}"
        end
        if @below_mm < highest_below_mm - READ_TO_MM
          return "too full for these pads: draw off #{Said.ml(over_ml,
            1)}, to #{Said.mm(highest_below_mm)} below the mark"
        end
        "below MIN: fill to #{Said.mm(highest_below_mm)} below the mark" if @below_mm > lowest_below_mm + READ_TO_MM
      end

      # @return [Hash] case, label, says, and for a marked one the figures
      def to_h
        plain = {case: @row["id"], label: @row["label"], says: @row["says"], marked: marked?}
        return {**plain, **rim_view} unless marked?
        {
          **plain,
          pushback_ml: pushback_ml,
          highest_below_mm: highest_below_mm,
          lowest_below_mm: lowest_below_mm,
          pads_due: pads_due?,
          below_mm: @below_mm,
          fault: fault,
          calipers: calipers
        }.compact
      end

      private

      # @return [Array(Numeric, Numeric), nil] mm below the rim, from and to, where there is no mark
      def rim
        @row["rim"]
      end

      def rim_view
        return {} unless rim
        {rim_mm: rim, below_mm: @below_mm, fault: fault}.compact
      end

      def rim_fault
        high, low = rim
        return "too full: draw off to #{Said.mm(high, "g")} below the rim" if @below_mm < high - READ_TO_MM
        "too low: fill to #{Said.mm(low, "g")} below the rim" if @below_mm > low + READ_TO_MM
      end

      def due
        @circuit.clutch? ? [] : @sheet.far_ends.select { |part| worn_mm(part) >= life_mm(part) }
      end

      def worn_mm(part)
        @worn.fetch(part["id"]) { @sheet.values(part)["pad_wear"].value }
      end

      def life_mm(part)
        @sheet.values(part)["pad_life"].value
      end

      def area_mm2
        @sheet.value("reservoir", "area")
      end

      def calipers
        return [] if @circuit.clutch?
        @sheet.far_ends.map { |part| {id: part["id"], label: part["label"], worn_mm: @worn[part["id"]]}.compact }
      end
    end
  end
end
