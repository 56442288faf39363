# frozen_string_literal: true

module Sandbag
  module Measure
    # The old return spring beside the new one, or beside the service figure (docs/trade.md 4.1): free length within 3
    # % of new.
    module SpringLength
      # [default]
      SHARE = 0.03
      # A sliding gauge does for a spring, mm.
      UNCERTAINTY_MM = Tables.find("gauges", "caliper")["uncertainty"]

      # @param free_mm [Float] as it stands; new_mm [Float] as it was new
      # @return [Judgement] of how far it is off
      def self.judge(free_mm, new_mm)
        Judgement.new("spring", "Spring off its new length", (free_mm - new_mm).abs, SHARE * new_mm, UNCERTAINTY_MM,
          most: true, source: Circuit::Source::DEFAULT)
      end
    end
  end
end
