# frozen_string_literal: true

module Sandbag
  module Feel
    # What a gauge's file says of the lever: its firmest pull, loading and letting go told apart, thinned by force to as
    # many readings as a fit needs; what seals and lever rub; or a steady pull over time.
    class GaugeCurve
      # Readings that are kept of a pull; each is the mean of those in its share of the force.
      KEPT = 12
      # A pull is steady when its force stays within this share, for as long as a hold has to be.
      STEADY_SHARE = 0.1
      KEPT_TIMES = 24

      # @param bytes [String] a gauge's file as it came
      # Refuses what GaugeFile refuses, and a file in which the lever is never pulled.
      def initialize(bytes)
        @file = GaugeFile.new(bytes)
        @peak = @file.force_n.each_index.max_by { |index| @file.force_n[index] }
        raise GaugeFile.refusal(2, "the lever is never pulled", "a pull") unless @file.force_n[@peak].positive?
        freeze
      end

      # @return [Hash] rows, and readings with friction_n, or a hold
      def to_h
        return {rows: @file.force_n.size, hold: hold} if steady?
        {rows: @file.force_n.size, readings: readings, friction_n: friction_n}.compact
      end

      # A pull held over time, as the hold test has it.
      def steady?
        times = @file.time_s
        return false unless times && times.last - times.first >= HoldSeries::LEAST_S
        low, high = @file.force_n.minmax
        high - low <= STEADY_SHARE * high
      end

      # @return [Array<Hash>] force_n, travel_mm of the loading branch, lightest first
      def readings
        thinned(loading)
      end

      # Half of what the force differs by at the same travel, going in and coming back: what seals and lever rub.
      # @return [Float, nil] N; nil where the file has no letting go
      def friction_n
        back = thinned(unloading).sort_by { |reading| reading[:travel_mm] }
        return if back.size < 3
        apart = readings.filter_map { |reading| between(back, reading) }
        apart.sum / apart.size / 2 if apart.any?
      end

      private

      # @return [Hash] times_s, travels_mm
      def hold
        step = [(@file.time_s.size / KEPT_TIMES.to_f).ceil, 1].max
        kept = (0...@file.time_s.size).step(step).to_a
        {times_s: kept.map { |index| @file.time_s[index] - @file.time_s.first },
         travels_mm: kept.map { |index| @file.travel_mm[index] }}
      end

      # From the last rest before the firmest pull.
      def loading
        rest = (0..@peak).min_by { |index| [@file.force_n[index], -index] }
        pairs(rest..@peak)
      end

      def unloading
        last = @file.force_n.size - 1
        rest = (@peak..last).min_by { |index| [@file.force_n[index], index] }
        pairs(@peak..rest)
      end

      def pairs(range)
        @file.force_n[range].zip(@file.travel_mm[range])
      end

      # Means over shares of the force; the shares are finer at the light end, where air shows.
      def thinned(branch)
        top = branch.map(&:first).max
        branch
          .select { |force, _| force.positive? }
          .group_by { |force, _| (KEPT * Math.sqrt(force / top)).floor.clamp(0, KEPT - 1) }
          .sort
          .map { |_, group| {force_n: mean(group.map(&:first)), travel_mm: mean(group.map(&:last))} }
      end

      def mean(values)
        values.sum / values.size
      end

      # @return [Float, nil] N by which the other branch is lighter at the same travel
      def between(back, reading)
        below, above = back.each_cons(2).find { |one, other|
          (one[:travel_mm]..other[:travel_mm]).cover?(reading[:travel_mm])
        }
        return unless above && above[:travel_mm] > below[:travel_mm]
        share = (reading[:travel_mm] - below[:travel_mm]) / (above[:travel_mm] - below[:travel_mm])
        reading[:force_n] - (below[:force_n] + share * (above[:force_n] - below[:force_n]))
      end
    end
  end
end
