# frozen_string_literal: true

require "matrix"

module Sandbag
  module Feel
    # What one more reading would be worth: the standard error of the air were it taken, nothing else changed. The
    # change of the inverse by one row is exact.
    class OneMore
      # @param weighed [WeighedReadings]; free [FreeFit] with an inverse
      def initialize(weighed, free)
        @weighed = weighed
        @free = free
        freeze
      end

      # @param force_n [Float]
      # @return [Float] mL
      def air_error_ml(force_n)
        weight = @weighed.weight(alike(force_n))
        row = Vector.elements(@free.row(force_n))
        reach = @free.inverse * row
        variance = @free.inverse[2, 2] - weight * reach[2]**2 / (1 + weight * row.inner_product(reach))
        # readings that hardly tell the numbers apart leave it to rounding
        Math.sqrt(@free.scale * [variance, 0.0].max)
      end

      private

      # Read as the last one was.
      def alike(force_n)
        last = @weighed.readings.last
        Reading.new(force_n: force_n, gauge: last.gauge, hung: last.hung, step_mm: last.step_mm)
      end
    end
  end
end
