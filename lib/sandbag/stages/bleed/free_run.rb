# frozen_string_literal: true

module Sandbag
  module Bleed
    # A method that runs while nobody pumps: how fast it flows through the point at hand, and how long what stands over
    # the port bears it. Nobody is sent away from an open nipple for longer than that.
    class FreeRun
      # @param bleed [Stage]
      def initialize(bleed)
        @bleed = bleed
        freeze
      end

      # @return [Hash, nil] flow_ml_s; top_up_s until it is time to refill, port_s until the port is uncovered; nil
      #   where nothing runs, or the port is uncovered
      def to_h
        return unless flow_ml_s&.positive?
        reservoir = @bleed.count.reservoir
        return if reservoir.dry
        {flow_ml_s: flow_ml_s, top_up_s: seconds(reservoir.ml_to_top_up), port_s: seconds(reservoir.left_ml)}
      end

      private

      def flow_ml_s
        return unless far_end && @bleed.method_row.dig("drive", "by") == "head"
        way = Airway::Way.new(sheet: sheet, far_end: far_end, celsius: @bleed.at_hand[:celsius])
        way.drive(@bleed.method_row).flow_ml_s
      end

      def seconds(ml)
        (ml / flow_ml_s).floor
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
