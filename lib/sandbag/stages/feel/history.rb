# frozen_string_literal: true

require "date"

module Sandbag
  module Feel
    # What one lever was found to be over the months, and when it will be due if it goes on as it did.
    class History
      # Days of a month in the mean.
      MONTH = 30.44

      # How near to its limit a lever is: 0 as good as it can be, 1 at the limit. A brake by the travel that its air
      # costs, a clutch by the lift it has over what it needs.
      Share = Struct.new(:value, :error)

      # @param points [Array<Hash>] of LeverRecord, oldest first
      def initialize(points)
        @points = points.freeze
        freeze
      end

      # @return [Hash, nil] newest at, state and figures, share, share_per_day and due_on; nil with nothing on file
      def standing
        newest = @points.last
        return unless newest
        trend = self.trend
        {
          **newest,
          "share" => History.share(newest).value,
          "share_per_day" => trend.known? ? trend.per_day : 0.0,
          "due_on" => trend.due&.first&.iso8601
        }.compact
      end

      # @return [Hash] points, oldest first, and what the trend says of them
      def to_h
        {points: @points, trend: trend.to_h}
      end

      # @return [Trend]
      def trend
        Trend.new(@points.map { |point|
          share = History.share(point)
          Trend::Point.new(day: Day.on(point["at"]).jd, value: share.value, error: share.error,
            renewed: point["bled"] == true)
        })
      end

      # @param point [Hash] of LeverRecord
      # @return [Share]
      def self.share(point)
        return Share.new(point["cost_mm"] / point["limit_mm"], point["cost_error_mm"] / point["limit_mm"]) if
          point["cost_mm"]
        lift = [point["lift_mm"], point["lift_error_mm"]].max
        Share.new(point["wanted_mm"] / lift, point["wanted_mm"] * point["lift_error_mm"] / lift**2)
      end
    end
  end
end
