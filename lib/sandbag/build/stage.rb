# frozen_string_literal: true

module Sandbag
  module Build
    # Together the right way round: the reverse of the strip, every facing asked, the tray back to zero.
    class Stage < Job::Stage
      attr_reader :facings, :reckoning

      def initialize(job)
        super
        @strip = job.strip
        @family = job.choose.cylinder&.family
        @fitted = entries.values("step", "step")
        @facings = Facings.new(entries.by("facing", "part").transform_values { |data| data["faces"] })
        @reckoning = Reckoning.new(@strip.tray, fitted_parts, fresh: job.measure.fresh_parts,
          kept_out: entries.by("kept_out", "part").transform_values { |data| data["count"].round },
          binned: entries.values("binned", "part"), scrapped: entries.said("scrapped")&.fetch("count")&.round)
      end

      # Nothing came off, so nothing goes back.
      def here?
        @strip.work.any? || job.choose.far_end_wanted?
      end

      # @return [Array<Strip::Step>] the strip's steps with parts, last out first in
      def steps
        @strip.done_steps.select { |step| present(step).any? }.reverse
      end

      # @return [Strip::Step, nil] the next one
      def step
        steps.find { |each| !@fitted.include?(each.id) }
      end

      # @return [Array<Strip::Step>] still to be done
      def steps_to_go
        steps.reject { |each| @fitted.include?(each.id) }
      end

      # @return [Array<Strip::Part>] of a step, those that this cylinder has
      def present(step)
        step.takes.select { |part| part.stays? || @strip.out?(part.id) }
      end

      # @return [String] done, current or ahead
      def status(each)
        return "done" if @fitted.include?(each.id)
        (each == step) ? "current" : "ahead"
      end

      # @return [String] id of lubricants.yml: as entered on this job or recorded with its last step, else the shop's
      #   where this circuit bears it, else its own fluid
      def lubricant
        entered = entries.reverse_each.find { |entry| entry.data["lubricant"] }
        return entered.data["lubricant"] if entered
        (@family && wets?(job.lubricant)) ? job.lubricant : Shop::LUBRICANT
      end

      # @return [Array<Hash>] row of every lubricant, what it does in this fluid, and whether it may wet the cups here
      def lubricants
        return [] unless @family
        Knowledge
          .table("lubricants")
          .map do |row|
            {row: row, word: Choose::Compatibility.lubricant(row["id"], @family), allowed: wets?(row["id"])}
          end
      end

      # @return [Array<Hash>] row of each check that concerns what came out, and its result
      def checks
        passed = entries.by("check", "check").transform_values { |data| data["pass"] }
        Knowledge.table("build_checks").select { |row| row["parts"].any? { |part| @strip.out?(part) } }
          .map { |row| {row: row, pass: passed[row["id"]]} }
      end

      def done?
        @strip.tray.cells.any? && step.nil? && facings.wrong(parts).empty? && checks.all? { |check| check[:pass] } &&
          reckoning.zero?
      end

      def waits_for
        return if done?
        return "parts to build with" if @strip.tray.cells.empty?
        return "a verdict under Measure" unless job.measure.done?
        return "fit: #{parts_said(step)}" if step
        return reckoning.says unless reckoning.zero?
        Wording.inside(checks.find { |check| !check[:pass] }.dig(:row, "label"))
      end

      def unresolved
        failed = checks.find { |check| check[:pass] == false }
        return "#{failed.dig(:row, "label")}: failed" if failed
        reckoning.says if step.nil? && !reckoning.zero? && steps.any?
      end

      # Refuses a step before Measure has its verdict, out of its order, or with parts not all faced rightly, a
      # lubricant the fluid or the rubber does not bear, and counts that cannot be.
      def admit(entry)
        data = entry.data
        case entry.kind
        when "step"
          admit_step(data["step"])
          admit_lubricant(data["lubricant"]) if data["lubricant"]
        when "facing" then facings.admit(data, @strip.work)
        when "lubricant" then admit_lubricant(data["lubricant"])
        when "kept_out", "binned" then admit_part(data)
        when "check" then admit_check(data["check"])
        end
      end

      private

      def parts
        steps.flat_map { |each| present(each) }
      end

      def parts_said(step)
        present(step).map { |part| Wording.inside(part.label) }.join(", ")
      end

      def fitted_parts
        @strip.done_steps.select { |each| @fitted.include?(each.id) }.flat_map(&:takes).map(&:id)
      end

      # It may wet cups and bore of this circuit.
      def wets?(id)
        Choose::Compatibility.lubricant(id, @family)["does"] == "go" && Shop.lubricants.any? { |row| row["id"] == id }
      end

      def admit_step(id)
        unless job.measure.done?
          raise Refusal.at("data/step", "not yet: #{job.measure.waits_for}", "a settled verdict under Measure first")
        end
        unless steps.any? { |each| each.id == id }
          raise Refusal.at("data/step", "“#{id}” is no step of this build", steps.map(&:id).join(", "))
        end
        unless step && step.id == id
          raise Refusal.at("data/step", "#{Wording.spelled(id)} does not come now",
            step ? step.id : "nothing: all of it is in")
        end
        wrong = facings.wrong(present(step))
        return if wrong.empty?
        raise Refusal.at("data/step", "which way does it face? #{wrong.map(&:feature).join("; ")}",
          "the right way round, for every part of the step")
      end

      def admit_lubricant(id)
        row = Knowledge.find("lubricants", id)
        unless @family
          raise Refusal.at("data/lubricant", "the fluid's family is not known", "the class on the cap, under Choose")
        end
        return if wets?(id)
        allowed = lubricants.select { |each| each[:allowed] }.map { |each| each.dig(:row, "id") }
        word = Choose::Compatibility.lubricant(id, @family)
        raise Refusal.at("data/lubricant", "#{row["label"]} on the seals of a #{@family} circuit: #{word["label"]}",
          allowed.join(", "))
      end

      def admit_part(data)
        out = @strip.tray.out(data["part"])
        unless out.positive?
          raise Refusal.at(
            "data/part",
            "“#{data["part"]}” is not in the tray",
            @strip.tray.cells.map { |cell| cell.part.id }.join(", ")
          )
        end
        return if data["count"].nil? || data["count"].round.between?(0, out)
        raise Refusal.at("data/count", "#{out} came out", "0 to #{out}")
      end

      def admit_check(id)
        return if checks.any? { |check| check.dig(:row, "id") == id }
        raise Refusal.at("data/check",
          "“#{id}” is not checked here", checks.map { |check| check.dig(:row, "id") }.join(", "))
      end
    end
  end
end
