# frozen_string_literal: true

module Sandbag
  module Feel
    # What a gauge's file says of the lever: its firmest pull, loading and letting go told apart, thinned by force to as
    # many readings as a fit needs; what seals and lever rub; or a steady pull over time.
    class GaugeCurve
      # Readings that are kept of a pull, at most: one out of each share of the force.
      KEPT = 12
      # Rows from which a bend can be told.
      BENT_ROWS = 6
      # Share of its way in which a lever that only pushes its return spring shows that, and times the scatter of the
      # force there that is no scatter any more. [default]
      SLACK_SHARE = 0.1
      SLACK_SCATTER = 4.0
      # Rows that tell scatter from a rise.
      SLACK_ROWS = 16
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
      # Refuses a pull that never meets anything but the return spring.
      def readings
        met = past_slack(loading)
        return thinned(met) if met.any?
        raise GaugeFile.refusal(2, "the lever only pushes its spring: no pressure is built",
          "a pull that meets the pads")
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

      # Until the port is shut and the pads meet, the lever pushes its return spring alone: travel grows and the force
      # does not. Those rows say nothing of pressure.
      def past_slack(branch)
        slack_n = slack_n(branch)
        return branch unless slack_n
        last = smoothed(branch.map(&:first)).rindex { |force| force <= slack_n }
        last ? branch.drop(last + 1) : branch
      end

      # @return [Float, nil] N up to which a force is the return spring's; nil where the force rises from the start
      def slack_n(branch)
        far = branch.first.last + SLACK_SHARE * (branch.last.last - branch.first.last)
        forces = branch.take_while { |_, travel| travel <= far }.map(&:first)
        return if forces.size < SLACK_ROWS
        early, late = forces.each_slice((forces.size / 2.0).ceil).map { |half| mean(half) }
        middle = mean(forces)
        scatter = Math.sqrt(mean(forces.map { |force| (force - middle)**2 }))
        # two halves of one scatter differ by less than this 997 times in a thousand
        return if late - early > 6 * scatter / Math.sqrt(forces.size)
        middle + SLACK_SCATTER * scatter
      end

      # One reading out of each share of the force over the lightest; the shares are finer there, where air shows. Rows
      # are told apart by what their neighbours say of the force, not by each one's own scatter, which would draw rows
      # of a flat piece up into a steep one.
      def thinned(branch)
        pressed = branch.select { |force, _| force.positive? }
        smooth = smoothed(pressed.map(&:first))
        low, top = smooth.minmax
        span = [top - low, Float::EPSILON].max
        pressed
          .zip(smooth)
          .group_by { |_, force| (KEPT * Math.sqrt((force - low) / span)).floor.clamp(0, KEPT - 1) }
          .sort
          .map { |_, group| reading(group.map(&:first)) }
      end

      # Off running sums: a file may have hundreds of thousands of rows.
      # @return [Array<Float>] each the mean of its neighbourhood
      def smoothed(forces)
        around = forces.size / (4 * KEPT)
        sums = forces.each_with_object([0.0]) { |force, all| all << all.last + force }
        forces.each_index.map do |index|
          from, to = [index - around, 0].max, [index + around + 1, forces.size].min
          (sums[to] - sums[from]) / (to - from)
        end
      end

      # At the middle of its travel, off a parabola through its rows: a mean of both would lie beside a curve that
      # bends.
      def reading(rows)
        travel = mean(rows.map(&:last))
        return {force_n: mean(rows.map(&:first)), travel_mm: travel} if rows.size < BENT_ROWS
        bend = LeastSquares.free(rows.map { |_, at| [1.0, at - travel, (at - travel)**2] }, rows.map(&:first))
        {force_n: bend ? bend[0] : mean(rows.map(&:first)), travel_mm: travel}
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
