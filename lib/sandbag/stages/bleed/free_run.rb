# frozen_string_literal: true

module Sandbag
  module Bleed
    # A method that runs while nobody pumps: how fast it flows through the point at hand, and how long what stands over
    # the port lasts. Nobody is sent away from an open nipple for longer than that.
    class FreeRun
      # @param bleed [Stage]
      def initialize(bleed)
        @bleed = bleed
        freeze
      end

      # @return [Hash, nil] flow_ml_s; top_up_s until it is time to refill, port_s until the port is uncovered; nil
      #   where nothing runs, or the port is uncovered
      def to_h
        reservoir = @bleed.count.reservoir
        return if @bleed.method_row.dig("drive", "by") != "head" || reservoir.dry
        flow_ml_s = flow
        return unless flow_ml_s&.positive?
        {flow_ml_s: flow_ml_s, top_up_s: (reservoir.ml_to_top_up / flow_ml_s).floor,
         port_s: (reservoir.left_ml / flow_ml_s).floor}
      end

      private

      # @return [Float, nil] mL/s through the point at hand
      def flow
        part = far_end
        return unless part
        Airway::Way.new(sheet: sheet, far_end: part, celsius: @bleed.at_hand[:celsius])
          .drive(@bleed.method_row).flow_ml_s
      end

      # Nothing runs out of the master's own nipple by its height.
      def far_end
        nipple = Circuit::Places.of(sheet).find_id("nipple.#{@bleed.count.current_id}")
        sheet.far_ends.find { |part| part["id"] == nipple&.part&.fetch("id") }
      end

      def sheet
        @bleed.job.sheet
      end
    end
  end
end
