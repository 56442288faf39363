# frozen_string_literal: true

module Sandbag
  module Bleed
    # What the Bleed page shows.
    class View
      # @param bleed [Stage]
      def initialize(bleed)
        @bleed = bleed
        freeze
      end

      # @return [Hash]
      def to_h
        {
          **@bleed.count.to_h,
          ladder: ReservoirCount.ladder(@bleed.plan),
          fluid_wanted_ml: @bleed.job.choose.fluid_wanted_ml,
          unready: @bleed.unready
        }.compact
      end
    end
  end
end
