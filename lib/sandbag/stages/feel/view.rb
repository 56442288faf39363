# frozen_string_literal: true

module Sandbag
  module Feel
    # What the Feel page shows.
    class View
      # @param feel [Stage]
      def initialize(feel)
        @feel = feel
        freeze
      end

      # @return [Hash]
      def to_h
        feel = @feel
        report = feel.report.to_h
        {
          **report,
          verdict_id: feel.verdict,
          clutch: feel.clutch?,
          control: feel.control,
          lift: feel.lift&.to_h,
          hold: feel.hold,
          hold_test: hold_test,
          pump: feel.pump&.to_h,
          means: feel.means,
          hand: (feel.hand.to_h unless feel.clutch?),
          by_hand: feel.judged_by_hand?,
          next_pull: (feel.hung&.load(report[:next_n]) if report[:next_n]),
          tests: feel.tests.to_a,
          normal: feel.normal,
          before_curve: feel.curve_before,
          last_good_curve: feel.curve_when_last_good,
          preload_known: feel.preload_known?,
          preload_n: feel.preload_pull_n,
          gauge: feel.gauge,
          changes: feel.changes,
          sheet: feel.job.sheet.to_h,
          last_good_at: feel.job.last_good&.fetch("at"),
          passed: feel.passed?,
          accepted: feel.accepted,
          stale: feel.stale?,
          unfit: feel.job.choose.unfit.then { |said| said if said.any? },
          before: feel.before.verdict&.to_h
        }.compact
      end

      private

      # How the lever is held, and when it is read.
      def hold_test
        {force_n: @feel.job.sheet.kind.hold_n, seconds: HoldCheck::SECONDS, times_s: HoldCheck::TIMES_S,
         least: HoldSeries::LEAST}
      end
    end
  end
end
