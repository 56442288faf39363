# frozen_string_literal: true

module Sandbag
  module Build
    # Together the right way round: the reverse of the strip, every facing asked, the tray back to zero.
    class Stage < Job::Stage
      attr_reader :put_back, :family

      def initialize(job)
        super
        @strip = job.strip
        @family = job.choose.cylinders.first&.family
        inside = @strip.done_steps.reject { |step| step.fits? || renewed?(step.unit) }
        @put_back = Cylinder::PutBack.new(entries, @strip, inside, fresh: job.measure.fresh_parts)
      end

      # Nothing came apart, so nothing goes together.
      def here?
        @strip.work.strips? || (job.ask.where.wanted? && job.route.apart?)
      end

      # @return [Array<Cylinder::Step>] the strip's steps with parts inside the cylinder, last out first in
      def steps
        put_back.steps
      end

      # @return [Cylinder::Step, nil] the next one
      def step
        put_back.step
      end

      def facings
        put_back.facings
      end

      def reckoning
        put_back.reckoning
      end

      # @return [String] done, current or ahead
      def status(each)
        return "done" if put_back.done?(each)
        (each == step) ? "current" : "ahead"
      end

      # @return [String] id of lubricants.yml: as entered on this job or recorded with its last step, else the shop's
      #   where this circuit bears it, else its own fluid
      def lubricant
        entered = entries.reverse_each.find { |entry| entry.data["lubricant"] }
        return entered.data["lubricant"] if entered
        (@family && wets?(job.lubricant)) ? job.lubricant : Fluid::Lubricants::USUAL
      end

      # @return [Array<Hash>] row of every lubricant, what it does in this fluid, and whether it may wet the cups here
      def lubricants
        return [] unless @family
        Tables
          .rows("lubricants")
          .map do |row|
            {row: row, word: Fluid::Compatibility.lubricant(row["id"], @family), allowed: wets?(row["id"])}
          end
      end

      # @return [Array<Hash>] row of each check that concerns what came out, and its result
      def checks
        @checks ||= checked
      end

      # @return [Array<Hash>] row and result of what has to be true before the first part goes in, and is not yet
      def first_checks
        checks.select { |check| check[:row]["before"] && !check[:pass] }
      end

      def done?
        @done ||= [reckoning.tray.cells.any? && step.nil? && put_back.wrong.empty? &&
          checks.all? { |check| check[:pass] } && reckoning.zero?]
        @done.first
      end

      def waits_for
        return if done?
        return "parts to build with" if reckoning.tray.cells.empty?
        return "a verdict under Measure" unless job.measure.done?
        return Wording.inside(first_checks.first.dig(:row, "label")) if step && first_checks.any?
        return "put in: #{put_back.said(step)}" if step
        return "which way it faces: #{Wording.inside(put_back.wrong.first.feature)}" if put_back.wrong.any?
        return reckoning.says unless reckoning.zero?
        Wording.inside(checks.find { |check| !check[:pass] }.dig(:row, "label"))
      end

      def unresolved
        failed = checks.find { |check| check[:pass] == false }
        return "#{failed.dig(:row, "label")}: failed" if failed
        reckoning.says if step.nil? && !reckoning.zero? && steps.any?
      end

      # It may wet cups and bore of this circuit.
      def wets?(id)
        Fluid::Compatibility.lubricant(id, @family)["does"] == "go" && Fluid::Lubricants.wetting.any? { |row| row["id"] == id }
      end

      private

      # A unit that is renewed whole is not built.
      def renewed?(unit)
        !unit.nil? && job.choose.whole_units.include?(unit.at)
      end

      def checked
        passed = entries.by("check", "check").transform_values { |data| data["pass"] }
        job.choose.cylinders.reject { |unit| renewed?(unit) }.flat_map { |unit| checks_of(unit) }
          .reject { |row| later_than_work?(row) }.map { |row| {row: row, pass: passed[row["id"]]} }
      end

      # A check that came when the build of this job had begun, or was over, is not asked of it.
      def later_than_work?(row)
        begun = row["before"] ? entries.of("step").any? : job.journal.of("fit").of("step").any?
        begun && !job.journal.ever(id, "check", "check").include?(row["id"])
      end

      def checks_of(unit)
        Tables.rows("build_checks").select { |row| row["parts"].any? { |part| @strip.out?(unit.named(part)) } }
          .select { |row| !row["abs"] || job.sheet.abs? }
          .map { |row| row.merge("id" => unit.named(row["id"]), "label" => unit.tagged(row["label"])) }
      end
    end
  end
end
