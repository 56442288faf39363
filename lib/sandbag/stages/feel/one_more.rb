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
        gain = weight * reach[2] / (1 + weight * row.inner_product(reach))
        # readings that hardly tell the numbers apart leave it to rounding
        variance = [@free.inverse[2, 2] - gain * reach[2], 0.0].max
        Math.sqrt(@free.scale * variance + Even.error(give_seen_ml(force_n, row, gain))**2)
      end

      private

      # mL of air that the give of seals would look like.
      def give_seen_ml(force_n, row, gain)
        @free.give_seen[2] + gain * (@free.give_ml(force_n) - row.inner_product(@free.give_seen))
      end

      # Read as the last one was.
      def alike(force_n)
        last = @weighed.readings.last
        Reading.new(force_n: force_n, gauge: last.gauge, hung: last.hung, step_mm: last.step_mm)
      end
    end
  end
end
