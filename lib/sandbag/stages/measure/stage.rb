# frozen_string_literal: true

module Sandbag
  module Measure
    # Reuse or renew: what is seen, what is gauged, and one verdict. On a job that puts a new part on: new against old.
    class Stage < Job::Stage
      # A reading further than this from the nominal is a slip of the gauge or of the key, mm.
      FAR_MM = 0.5
      attr_reader :comparison, :reports, :inner

      def initialize(job)
        super
        @comparison = Comparison.new(entries.by("compared", "row"), job.route&.id, job.sheet.kind,
          ever: compared_before_strip)
        looked = once_answered("finding", "build", "check")
        @reports = job.choose.cylinders.map { |unit| UnitReport.new(unit, entries, job.strip, looked: looked) }.freeze
        @inner = InnerComparison.new(resealed, entries, job.strip.tray, ever: once_answered("inner", "build"))
      end

      # A unit is apart; else a new part is compared with the old.
      def apart?
        reports.any?
      end

      # There is something to look at or to compare.
      def here?
        apart? || comparison.rows.any?
      end

      # @return [UnitReport, nil] the first that is not settled, else the last
      def at_hand
        reports.find { |report| !report.settled? } || reports.last
      end

      # @return [Verdict, nil] of the unit at hand
      def verdict
        at_hand&.verdict
      end

      # @return [Array<Inspection::Look>] of every unit
      def looks
        reports.reject(&:whole?).flat_map { |report| report.inspection.looks }
      end

      # @return [Array<Judgement>] of every unit
      def judgements
        reports.flat_map(&:judgements)
      end

      # @return [Array<String>] parts that are renewed although they would be used again if they passed
      def fresh_parts
        entries.values("renewed", "part")
      end

      # New is compared with old before anything is opened; what comes apart then is looked at.
      def done?
        comparison.open.empty? && (before_strip? || (reports.all?(&:settled?) && inner.open.empty?))
      end

      def waits_for
        return if done?
        return "compare new with old: #{Wording.inside(comparison.open.first["label"])}" if comparison.open.any?
        return "compare new with old: #{Wording.inside(inner.open.first.label)}" if reports.all?(&:settled?)
        why = (verdict.id == "parts") ? part_said(verdict.parts.first) : verdict.reasons.first
        "#{Wording.inside(verdict.label)}: #{why}"
      end

      def unresolved
        condemned&.verdict&.reasons&.first
      end

      # @return [UnitReport, nil] the first that is past use and not renewed whole
      def condemned
        reports.find { |report| report.verdict.id == "unit" && !report.whole? }
      end

      # @return [Job::Route, nil] the route on when what is past use is all that the job works on, or the master
      def next_route
        Job::Route.find(job.route.condemned) if condemned && !may_renew?(condemned)
      end

      # One of several far ends may be renewed while the others are used again.
      # @param report [UnitReport]
      def may_renew?(report)
        !report.unit.at.nil?
      end

      # The job renews the piston, or somebody has found it past use.
      def new_piston?
        job.route&.renews?("piston") || reports.any? { |report| report.fresh? }
      end

      # Judged without gauges: recorded as an estimate.
      def by_eye?
        entries.of("by_eye").any?
      end

      private

      # @return [Array<String>, nil] rows of Comparison that were ever answered; nil where none was before the strip
      #   began
      def compared_before_strip
        first = job.journal.entries.find { |entry| entry.stage == "strip" && entry.kind == "step" }
        compared = job.journal.entries.find { |entry| entry.stage == id && entry.kind == "compared" }
        job.journal.ever(id, "compared", "row") if first && compared && compared.position < first.position
      end

      # @param later [String] a stage whose steps come after these answers
      # @return [Array<String>, nil] rows of a kind that were ever answered; nil before that stage has begun
      def once_answered(kind, later, name = "row")
        job.journal.ever(id, kind, name) if job.journal.of(later).of("step").any?
      end

      # @return [Array<UnitReport>] of units that go together again
      def resealed
        reports.reject { |report| report.whole? || report.verdict.id == "unit" }
      end

      def before_strip?
        comparison.rows.any? && !job.strip.done?
      end

      def part_said(id)
        part = job.strip.work.part(id)
        part ? Wording.inside(part.label) : Wording.spelled(id)
      end
    end
  end
end
