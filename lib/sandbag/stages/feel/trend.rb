# frozen_string_literal: true

require "date"

module Sandbag
  module Feel
    # How fast a lever goes off between two bleedings, out of what is on file (docs/physics.md 7): one rate for every
    # stretch between renewals, each stretch starting where it was left. Weighted least squares by the readings' own
    # errors, widened where they scatter more. Says nothing when the rate could as well be none.
    class Trend
      # @attr day [Integer] Julian; value [Float] share of the limit; error [Float] its standard error;
      #   renewed [Boolean] bled just before: a new stretch starts here
      Point = Struct.new(:day, :value, :error, :renewed, keyword_init: true)
      # Standard errors that 95 % lies within.
      SURE = 1.96
      LIMIT = 1.0
      # No error on file is smaller than this, as a share of the limit: a lever is not read better. [default]
      LEAST_ERROR = 0.02
      # Nothing is foretold further ahead than this, days. [default]
      FAR = 3650

      # @return [Float, nil] shares of the limit a day, and its standard error
      attr_reader :per_day, :error_per_day

      # @param points [Array<Point>] oldest first
      def initialize(points)
        @points = points
        @stretches = points.slice_before(&:renewed).map { |stretch| Stretch.new(stretch) }.freeze
        solve
        freeze
      end

      # The rate is more than nothing by more than its error.
      def known?
        !per_day.nil? && per_day - SURE * error_per_day > 0
      end

      # @return [Array<Date>, nil] when the limit is reached: most likely, at the earliest and at the latest; nil when
      #   that cannot be known
      def due
        return unless known? && @points.any?
        [per_day, per_day + SURE * error_per_day, per_day - SURE * error_per_day].map { |rate| reached(rate) }
      end

      # @return [Hash] known, says, and where known the rate a month and the days
      def to_h
        return {known: false, says: silent} unless known?
        on, earliest, latest = due
        month = History::MONTH * 100
        {
          known: true,
          percent_month: per_day * month,
          percent_month_error: error_per_day * month,
          due_on: on.iso8601,
          earliest: earliest.iso8601,
          latest: latest.iso8601,
          says: "It uses #{format("%.1f", per_day * month)} % of its allowance a month; due about " \
            "#{Day.said(on)}, between #{Day.said(earliest)} and #{Day.said(latest)}."
        }
      end

      private

      # Points without a change of fluid between them: sums about their weighted mean.
      class Stretch
        attr_reader :spread, :slope_sum, :last_day

        def initialize(points)
          @points = points
          @last_day = points.last.day
          @weights = points.map { |point| 1 / [point.error, LEAST_ERROR].max**2 }
          @day = mean(points.map(&:day))
          @value = mean(points.map(&:value))
          @spread = sum { |point| (point.day - @day)**2 }
          @slope_sum = sum { |point| (point.day - @day) * (point.value - @value) }
          freeze
        end

        # @return [Float] value on a day, at a rate
        def at(day, rate)
          @value + rate * (day - @day)
        end

        # @return [Float] χ² left at a rate
        def left(rate)
          sum { |point| (point.value - at(point.day, rate))**2 }
        end

        def size
          @points.size
        end

        private

        def sum
          @points.zip(@weights).sum { |point, weight| weight * yield(point) }
        end

        def mean(values)
          values.zip(@weights).sum { |value, weight| weight * value } / @weights.sum
        end
      end
      private_constant :Stretch

      def solve
        spread = @stretches.sum(&:spread)
        return unless spread.positive?
        @per_day = @stretches.sum(&:slope_sum) / spread
        @error_per_day = Math.sqrt([scatter, 1.0].max / spread)
      end

      # χ² for each degree of freedom; 1 where none is left.
      def scatter
        degrees = @points.size - @stretches.size - 1
        degrees.positive? ? @stretches.sum { |stretch| stretch.left(per_day) } / degrees : 1.0
      end

      # Not before the newest reading.
      def reached(rate)
        newest = @stretches.last
        days = (LIMIT - newest.at(newest.last_day, rate)) / rate
        Date.jd(newest.last_day + days.clamp(0, FAR).round)
      end

      def silent
        return "Nothing on file yet." if @points.empty?
        return "A second reading before the next bleed will say how fast it goes off." unless per_day
        "No trend: what changed is less than the readings' own error."
      end
    end
  end
end
