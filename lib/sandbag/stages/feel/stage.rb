# frozen_string_literal: true

module Sandbag
  module Feel
    # Lever readings, hold test and, on a clutch, lift. Only what was taken after the last stroke counts; what was taken
    # before the first is the comparison.
    class Stage < Job::Stage
      MEASURED = %w[reading hung squeeze curve lift hold hold_series pump].freeze
      READINGS = %w[reading hung curve].freeze
      WORDS = {"bleed_again" => "bleed again", "cant_tell" => "can't tell"}.freeze

      # @return [Hydraulics::Circuit] with what the job chose
      attr_reader :circuit

      def initialize(job)
        super
        @circuit = Circuit::Assembly.build(job.sheet)
        @fresh = entries.after(job.bleed.last_disturbed)
      end

      # @return [LeverReport] of the readings that count now
      def report
        @report ||= report_of(@fresh)
      end

      # @return [LeverReport] of the readings taken before the first stroke
      def before
        first = job.bleed.first_disturbed
        @before ||= report_of(first ? entries.before(first) : Job::Entries.new)
      end

      def clutch?
        @circuit.clutch?
      end

      # @return [Hash] row of controls.yml
      def control
        job.sheet.kind.control
      end

      # @return [ClutchLiftCheck, nil]
      def lift
        data = @fresh.said("lift")
        data && ClutchLiftCheck.new(@circuit, data["lift"])
      end

      # @return [String, nil] pass, marginal, bleed_again, cant_tell; nil while there is nothing to judge
      def verdict
        lift ? lift.id : (report.verdict&.id unless clutch?)
      end

      # Passed, or marginal and accepted with a reason after the last reading, or judged by hand.
      def passed?
        verdict == "pass" || (verdict == "marginal" && !accepted.nil?) || judged_by_hand?
      end

      # Readings that say something are never overruled by a hand.
      def judged_by_hand?
        return false unless [nil, "cant_tell"].include?(verdict)
        clutch? ? clutch_tests.all?(&:good?) : hand.passed?
      end

      # @return [ByHand] a brake's lever, judged without a gauge
      def hand
        @hand ||= ByHand.new(self, @fresh.of("squeeze"))
      end

      # @return [Array<Job::Asked>] what a clutch is judged by where nobody can measure its lift (docs/trade.md 9.3)
      def clutch_tests
        tests.all.select { |test| test.row["releases"] }
      end

      # A depth gauge reaches what a slave moves; nothing reaches a concentric one behind its cover.
      def lift_reachable?
        job.sheet.value("slave", "construction") != "slave_concentric"
      end

      # @return [String, nil] gauge, hung or hand: what the lever is judged with
      def means
        entries.said("means")&.fetch("by")
      end

      # @return [Hung, nil] what hangs in the shop, where somebody said it
      def hung
        masses = entries.said("weights")&.fetch("masses")
        masses && Hung.new(masses, @circuit, Circuit::Reference.force_n(job.sheet, @circuit))
      end

      # @return [Float] MPa at the reference force
      def reference_mpa
        Circuit::Reference.pressure_mpa(job.sheet, @circuit)
      end

      # @return [Float, nil] mm between the marks of the ruler in hand
      def ruler_step_mm
        entries.said("ruler")&.fetch("step")
      end

      # @return [Float] mm, standard error of one reading by the ruler in hand
      def ruler_error_mm
        Reading.new(step_mm: ruler_step_mm).travel_error_mm
      end

      # @return [Hash, nil] creep_mm, limit_mm, pass, why
      def hold
        return unless hold_entry
        @hold ||=
          if hold_entry.kind == "hold"
            HoldCheck.of(hold_entry.data["creep"], control)
          else
            HoldCheck.of_series(HoldSeries.of(hold_entry), @circuit, control)
          end.then { |found| sunk? ? {**found, points_to: HoldCheck.points_to(tests.answer("leak_watch"))} : found }
      end

      def sunk?
        !hold_entry.nil? && HoldCheck.sunk?(hold_entry)
      end

      # @return [Hash, nil] friction_n and instrument of the newest pull that a gauge wrote
      def gauge
        data = @fresh.said("curve")
        data && {friction_n: data["friction"], instrument: data["instrument"]}.compact
      end

      # @return [Pump, nil]
      def pump
        data = @fresh.said("pump")
        data && Pump.new(data["travels"], data["rest"], job.sheet.kind)
      end

      def held?
        !hold.nil? && hold[:pass]
      end

      # @return [Array<Hash>] see Expected
      def normal
        before = added? ? @circuit : Circuit::Assembly.build(job.fitted)
        Expected.new(job, before, @circuit).to_a
      end

      # @return [Array<Hash>, nil] the lever as it came in, at the forces of the curve that is shown
      def curve_before
        before.fit && curve_of(before.fit.coefficients)
      end

      # @return [Array<Hash>, nil] the lever as it was when it was last good
      def curve_when_last_good
        good = baseline && job.last_good["fit"]
        good && curve_of(good.values_at("dead_volume_ml", "stiffness_ml_mpa", "air_ml"))
      end

      # @return [Array<Hash>] see Changes
      def changes
        Changes.new(before.fit, report.fit, baseline && job.last_good["fit"]).to_a
      end

      # @return [Baseline, nil] what this lever was when it was last good
      def baseline
        good = job.last_good unless added?
        good && Baseline.of(good["fit"], @circuit, good["at"])
      end

      # @return [Float, nil] N at the finger at which the piston first moves, as measured
      def preload_pull_n
        entries.said("preload")&.fetch("force")
      end

      # Somebody measured the return spring, or read it up.
      def preload_known?
        job.sheet.values(job.sheet.parts_of("master").first)["preload"].source != "default"
      end

      # @return [String, nil] the reason for which a marginal lever was accepted
      def accepted
        entry = @fresh.last("accepted")
        last_reading = @fresh.last(*READINGS, "set_aside", "lift")
        entry.data["reason"] if entry && last_reading && entry.position > last_reading.position
      end

      # @return [Tests] what was tried besides
      def tests
        @tests ||= Tests.new(@fresh, job.sheet.kind, proven: -> { passed? && held? }, fitted: method(:fitted?),
          two_controls: job.two_controls, rubber_pair: rubber_pair?)
      end

      def done?
        return tests.bad.nil? if job.route&.again? && verdict.nil? && hold.nil?
        passed? && held? && tests.bad.nil?
      end

      def waits_for
        return if done?
        return judging unless passed?
        return hold ? "a #{control["noun"]} that holds" : "the hold test" unless held?
        "#{Wording.inside(tests.bad.row["label"])}: #{Wording.inside(tests.bad.row["limit"])}"
      end

      def unresolved
        return "Readings were taken before the last strokes: read again." if stale?
        return "#{control["label"]} verdict: #{said}." if verdict && !passed?
        return hold[:why] if hold && !held?
        "#{tests.bad.row["label"]}: #{tests.bad.row["answers"].fetch(tests.bad.answer)}." if tests.bad
      end

      # Measured between the first stroke and the last, and not since.
      def stale?
        measured = entries.after(job.bleed.first_disturbed).of(*MEASURED)
        measured.any? && @fresh.of(*MEASURED).empty?
      end

      # A reading by hand, or a gauge's pull: as many readings as it kept.
      def readings_of(entry)
        data = entry.data
        case entry.kind
        when "reading"
          return [Reading.new(id: entry.id, force_n: data["force"], travel_mm: data["travel"], gauge: data["gauge"],
            step_mm: ruler_step_mm)]
        when "hung"
          return [Reading.new(id: entry.id, force_n: Hung.force_n(data, @circuit.lever), travel_mm: data["travel"],
            hung: true, step_mm: ruler_step_mm)]
        end
        entry.data["forces"].zip(entry.data["travels"]).each_with_index.map do |(force, travel), place|
          Reading.new(id: "#{entry.id}.#{place + 1}", force_n: force, travel_mm: travel, gauge: true,
            pull: entry.id)
        end
      end

      private

      # What is judged next, by what the lever is judged with.
      def judging
        noun = control["noun"]
        if clutch?
          open = clutch_tests.find { |test| !test.good? }
          return "a better #{noun}: #{said}" if verdict
          said = Wording.inside(open.row["label"])
          return lift_reachable? ? "#{said}, or its lift at the slave" : said
        end
        return "#{noun} by hand: #{hand.wanted}" if means == "hand" || (verdict.nil? && hand.begun?)
        verdict ? "a better #{noun}: #{said}" : "#{noun} readings: #{report.wanted}"
      end

      # The lever at hand was not there before.
      def added?
        !job.route&.adds.nil?
      end

      def fitted?(proof)
        job.stages["fit"]&.covers?(proof) || false
      end

      def rubber_pair?
        lines = job.sheet.far_ends.map { |part| job.sheet.part(part["from"]) }.uniq
        lines.count { |line| job.sheet.values(line)["kind"].value == "rubber" } > 1
      end

      def hold_entry
        @fresh.last("hold", "hold_series")
      end

      def curve_of(coefficients)
        curve = Curve.new(@circuit, coefficients)
        report.curve.map { |point| point.merge(travel_mm: curve.travel_mm(point[:force_n])) }
      end

      def said
        WORDS.fetch(verdict, verdict)
      end

      def report_of(taken)
        aside = taken.values("set_aside", "entry")
        marked = taken.of(*READINGS).flat_map { |entry| readings_of(entry) }
          .map { |reading| [reading, aside.include?(reading.id)] }
        LeverReport.new(job.sheet, @circuit, marked, baseline: baseline, preload_known: preload_known?,
          hung: hung)
      end
    end
  end
end
