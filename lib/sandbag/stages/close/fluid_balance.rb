# frozen_string_literal: true

module Sandbag
  module Close
    # Fluid that ran out against fluid that was set out, for the waste and for the record (docs/trade.md 9.2).
    class FluidBalance
      # @param choose [Choose::Stage]; bleed [Bleed::Stage]
      def initialize(choose, bleed)
        @set_out_ml = choose.need_ml
        @waste_ml = bleed.count.passed_ml
        freeze
      end

      # @return [Hash] set_out_ml, waste_ml, says
      def to_h
        {set_out_ml: @set_out_ml, waste_ml: @waste_ml, says: says}
      end

      private

      def says
        out = "#{Said.ml(@waste_ml)} ran out of the nipples, for the collection point"
        return "#{out}; that is more than the #{Said.ml(@set_out_ml)} that were set out." if @waste_ml > @set_out_ml
        "#{out}, of #{Said.ml(@set_out_ml)} set out. What is left in the opened bottle is marked with today's date."
      end
    end
  end
end
