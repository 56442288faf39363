# frozen_string_literal: true

module Sandbag
  module Bleed
    # What the Bleed page shows.
    class View
      # docs/trade.md 8.2
      LOOSE = "The lever is loose while a nipple is open or a syringe is on: judge it when all is closed."

      # @param bleed [Stage]
      def initialize(bleed)
        @bleed = bleed
        @count = bleed.count
        freeze
      end

      # @return [Hash]
      def to_h
        {
          **counted,
          **recorded,
          plan: @bleed.plan.to_h,
          ladder: @count.reservoir.ladder,
          method: method,
          checks: {start: shown(@bleed.checks.start), end: @count.finished? ? shown(@bleed.checks.finish) : []},
          tool: tool,
          samples: @bleed.samples,
          samples_say: Samples.new(@count.points.values, @bleed.samples).says,
          sample_kinds: Tables.rows("bleed_samples").map { |row| row.slice("id", "label") },
          loose: (LOOSE if @count.cycle.open?),
          free_run: FreeRun.new(@bleed).to_h,
          stubborn: @bleed.stubborn.climbing? ? @bleed.stubborn.to_a : [],
          round: round,
          **@bleed.at_hand,
          fluid_wanted_ml: @bleed.job.choose.fluid_wanted_ml,
          wait: @bleed.job.ask.wait,
          unready: @bleed.unready,
          unchecked: @bleed.order_due || @bleed.method_due || @bleed.checks.before_fluid,
          proposed: @bleed.proposed&.slice("id", "label"),
          order_wanted: (true if @bleed.linked? && !@count.begun?),
          service_order: @bleed.service_order,
          unproven: (@bleed.checks.after_fluid || @bleed.report_due if @count.finished?)
        }.compact
      end

      private

      def counted
        {
          current: @count.current_id,
          points: @count.points.values.map(&:to_h),
          reservoir: @count.reservoir.to_h,
          cycle: @count.cycle.to_h,
          jar: @count.jar.to_h,
          total_strokes: @count.total_strokes,
          stroke_ml: @count.stroke_ml,
          begun: @count.begun?,
          finished: @count.finished?
        }
      end

      def recorded
        @count.log.to_h.except(:rounds)
      end

      def method
        row = @bleed.method_row
        supply = @count.supply
        {
          **row.slice("id", "label", "cycle", "people").transform_keys(&:to_sym),
          wait: @bleed.wait,
          by_ml: supply.by_ml?,
          both: row["both"] == true,
          refill: supply.refill,
          supply: supply.kind,
          slips: @bleed.slips.map { |each| each.slice("id", "label") }
        }.compact
      end

      def shown(checks)
        checks.map { |check| @bleed.checks.shown(check) }
      end

      # What the tool of the method has to show.
      def tool
        checks = @bleed.checks
        {
          tight_wanted: checks.tight_wanted?,
          held_s: Checks::HELD_S,
          tightness: checks.tightness,
          report_wanted: @bleed.report_wanted?,
          report: checks.report
        }.compact
      end

      def round
        rounds = @bleed.job.ask.rounds
        {
          number: rounds.since_looked,
          most: Rounds::MOST,
          lever_failed: @bleed.lever_failed?,
          says: rounds.says
        }.compact
      end
    end
  end
end
