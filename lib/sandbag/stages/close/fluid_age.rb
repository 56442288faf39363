# frozen_string_literal: true

require "date"

module Sandbag
  module Close
    # Whether fluid that a job leaves in the circuit is fit to stay (docs/trade.md 2.7, 9.4): under 3 % of water, and
    # not overdue by a whole interval again. A last change that is not known is asked after, not held against it.
    module FluidAge
      # Intervals after the last full change at which it is long overdue. [default]
      LONG = 2

      # @param job [Job::State]
      # @return [String, nil] why it may not stay
      def self.fault(job)
        line = Tables.find("water_verdicts", "release")
        if job.ask.findings.values("fluid_water").include?("ge3")
          return "#{line["from"]} % of water or more was found: #{Wording.inside(line["does"])}"
        end
        changed = job.sheet.value("fluid", "changed_on")
        today = job.journal.newest_day
        return if changed == Fluid::Age::UNKNOWN || today.nil?
        months =
          Fluid::ChangeDue.new(
            job.sheet,
            today: today,
            most_months: job.fluid_months
          ).interval_months
        if Date.iso8601(changed) >> (LONG * months) <= today
          "The fluid is from #{changed}, over #{LONG * months} months old: it is renewed before the machine goes."
        end
      end
    end
  end
end
