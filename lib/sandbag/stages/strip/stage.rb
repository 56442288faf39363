# frozen_string_literal: true

module Sandbag
  module Strip
    # Set-up, the order for this construction, and the tray.
    class Stage < Job::Stage
      ASKS_LATER = {"measure" => "whether new was compared with old before anything is opened"}.freeze

      # More of one part than any cylinder has.
      MOST = 20

      attr_reader :work, :tray, :setup, :figures, :counts, :skipped

      def initialize(job)
        super
        @work = job.choose.work
        figures = entries.of("figure").to_h { |entry| entry.data.values_at("figure", "value") }
        @figures = Cylinder::SetupFigures.new(figures, work.parts.map(&:plain), job.sheet)
        @setup = Cylinder::Setup.new(job.choose.set_up, job.sheet, figures: @figures,
          units: work.units.map(&:part), ever: answered_once, hoses: job.choose.old_hoses,
          strips: work.any?, begun: entries.of("step").any? || job.journal.of("bleed").any?,
          apart: entries.of("step").any?)
        @skipped = entries.by("skipped", "step").transform_values { |data| data["reason"] }
        @taken = entries.values("step", "step")
        @counts = entries.by("counted", "part").transform_values { |data| data["count"].round }
        @tray = Cylinder::Tray.new(done_steps, @counts)
      end

      # Something comes off, or will once it is said where, or fluid moves and machine and mechanic are protected from
      # it.
      def here?
        work.any? || job.ask.where.wanted? || job.route.protects?
      end

      # @return [Step, nil] the next one
      def step
        work.steps.find { |each| !passed?(each) }
      end

      # @return [Array<Step>] taken, in the order of the construction
      def done_steps
        work.steps.select { |each| @taken.include?(each.id) }
      end

      # @return [Array<String>] what is open to the air now
      def open
        done_steps.filter_map(&:cover)
      end

      # The reservoir is empty or the cylinder open: nobody presses the lever.
      def lever_locked?
        locking = work.steps.drop((work.steps.rindex(&:lever?) || -1) + 1)
        locking.any? { |each| @taken.include?(each.id) }
      end

      # @return [Array<String>] what was in the way and came off or was swung aside
      def aside
        entries.values("aside", "what")
      end

      # The tray holds it.
      def out?(part_id)
        tray.out(part_id).positive?
      end

      # @param plain [Array<String>] parts of a construction; at [String, nil] id of a far end; nil asks of any unit
      # @return [Boolean, nil] one of them came out; nil where the job takes out no such part
      def removed?(plain, at = nil)
        held = held_by_steps(plain, at)
        return if held.empty?
        held.any? { |each, part| @taken.include?(each.id) && (part.stays? || out?(part.id)) }
      end

      # @return [Boolean, nil] as removed?, of the whole strip before it is done
      def planned?(plain, at = nil)
        held_by_steps(plain, at).any? || nil
      end

      # @return [Cylinder::OnBench, nil] the unit of the step at hand, else the last
      def unit
        step&.unit || done_steps.filter_map(&:unit).last || work.units.first
      end

      # The last rung of the ladder was reached: the piston does not come.
      # @param unit [Cylinder::OnBench, nil] nil asks of any
      def given_up?(unit = nil)
        entries.of("tried").any? do |entry|
          entry.data["method"] == Tables.rows("stuck_ladder").last["id"] && (unit.nil? || entry.data["unit"] == unit.at)
        end
      end

      def done?
        setup.missing.empty? && step.nil? && !job.ask.where.wanted?
      end

      # Nothing is opened before bench and machine are ready.
      def ready?
        wanting.empty? && setup.missing.empty? && compared?
      end

      def waits_for
        return if done?
        return job.ask.waits_for if job.ask.where.wanted?
        return "new compared with old, under Measure" unless compared?
        return "still to fetch: #{Wording.inside(wanting.first.label)}" if wanting.any?
        return "set-up: #{Wording.inside(setup.missing.first["label"])}" if setup.missing.any?
        Wording.inside(step.label)
      end

      def unresolved
        "The piston is stuck: the unit is renewed." if given_up?
      end

      # @return [String] done, skipped, current or ahead
      def status(each)
        return "skipped" if skipped.key?(each.id)
        return "done" if @taken.include?(each.id)
        (each == step) ? "current" : "ahead"
      end

      # @return [Hash{String => Boolean}] rung of the stuck-piston ladder => whether the piston of the unit at hand came
      def tried
        entries.of("tried").select { |entry| entry.data["unit"] == unit&.at }
          .to_h { |entry| entry.data.values_at("method", "freed") }
      end

      def passed?(each)
        @taken.include?(each.id) || skipped.key?(each.id)
      end

      def wanting
        job.choose.wanting
      end

      # What goes on new was laid beside the old while the circuit is still shut.
      def compared?
        !job.route&.compares? || job.measure.comparison.open.empty?
      end

      private

      # @return [Array<String>] rows of setup.yml that were ever answered
      def answered_once
        figures = Tables.rows("setup_figures").to_h { |row| row.values_at("id", "of") }
        job.journal.ever(id, "setup", "item") | figures.values_at(*job.journal.ever(id, "figure", "figure")).compact
      end

      def held_by_steps(plain, at)
        work.steps.flat_map { |each| each.takes.map { |part| [each, part] } }
          .select { |each, part| plain.include?(part.plain) && (at.nil? || [nil, at].include?(each.unit.at)) }
      end
    end
  end
end
