# frozen_string_literal: true

module Sandbag
  module Feel
    # The lift of a clutch, or a reading of a brake's lever; then the hold.
    class Now < Job::Now
      private

      def cards
        why = @job.ledger.unreadable
        return [here("unreadable", Wording.sentence(why))] if why
        return [judge] unless @stage.passed?
        return [hold] unless @stage.held?
        [here("tests", Wording.sentence(@stage.waits_for))]
      end

      def judge
        return lift if @stage.clutch? && @stage.verdict.nil?
        force_n = @stage.report.next_force unless @stage.clutch?
        force_n ? pull(force_n) : here("verdict", Wording.sentence(@stage.waits_for))
      end

      # One more reading, at the force that says most.
      def pull(force_n)
        reading("pull", "Pull with this force, and read the travel", entry("reading", force: force_n.round(1)),
          name: "travel", unit: "mm", figure: Said.n(force_n.round(1), "g"),
          detail: (Wording.sentence(@stage.waits_for) if @stage.verdict.nil?))
      end

      def lift
        reading("lift", "Measure the lift at the slave", entry("lift"), name: "lift", unit: "mm")
      end

      def hold
        reading("hold", "Hold it for #{Tables::Figures.said("hold_time")}: how far does it creep?", entry("hold"),
          name: "creep", unit: "mm", caution: (@stage.hold[:why] if @stage.hold))
      end
    end
  end
end
