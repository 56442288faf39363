# frozen_string_literal: true

module Sandbag
  module Build
    # Together the right way round: the reverse of the strip, every facing asked, the tray back to zero (practice 5).
    class Stage
      RECENT = 10

      attr_reader :facings, :reckoning

      # @param entries [Array<Job::Entry>] of this stage, in force
      # @param choose [Choose::Stage]; strip [Strip::Stage]; measure [Measure::Stage]
      # @param usual [String] the shop's lubricant
      def initialize(entries, choose, strip, measure, usual)
        @entries = entries
        @strip = strip
        @measure = measure
        @family = choose.cylinder&.family
        @usual = usual
        @fitted = of("step").map { |entry| entry.data["step"] }
        @facings = Facings.new(of("facing").to_h { |entry| entry.data.values_at("part", "faces") })
        @reckoning = Reckoning.new(strip.tray, fitted_parts, fresh: measure.fresh_parts, kept_out: of("kept_out").to_h { |entry| [entry.data["part"], entry.data["count"].round] },
          binned: of("binned").map { |entry| entry.data["part"] }, scrapped: of("scrapped").last&.data&.fetch("count")&.round)
        freeze
      end

      # @return [Array<Strip::Step>] the strip's steps with parts, last out first in
      def steps
        @strip.done_steps.select { |step| present(step).any? }.reverse
      end

      # @return [Strip::Step, nil] the next one
      def step
        steps.find { |each| !@fitted.include?(each.id) }
      end

      # @return [String] id of lubricants.yml: as entered on this job or taken down with its last step, else the shop's where
      #   this circuit bears it, else its own fluid
      def lubricant
        @entries.reverse.find { |entry| entry.data["lubricant"] }&.data&.fetch("lubricant") || ((@family && wets?(@usual)) ? @usual : Shop::LUBRICANT)
      end

      # @return [Array<Hash>] checks that concern what came out, with their result
      def checks
        passed = of("check").to_h { |entry| entry.data.values_at("check", "pass") }
        Knowledge.table("build_checks").select { |row| row["parts"].any? { |part| @strip.out?(part) } }
          .map { |row| {id: row["id"], label: row["label"], how: row["how"], pass: passed[row["id"]]} }
      end

      def done?
        @strip.tray.cells.any? && step.nil? && facings.wrong(parts).empty? && checks.all? { |check| check[:pass] } && reckoning.zero?
      end

      def waits_for
        return if done?
        return "parts to build with" if @strip.tray.cells.empty?
        return "a verdict under Measure" unless @measure.done?
        return "#{step.label.downcase.sub(/ (out|off)\b/, "")}: back in" if step
        return reckoning.says unless reckoning.zero?
        checks.find { |check| !check[:pass] }&.fetch(:label)&.downcase
      end

      def unresolved
        failed = checks.find { |check| check[:pass] == false }
        return "#{failed[:label]}: failed" if failed
        reckoning.says if step.nil? && !reckoning.zero? && steps.any?
      end

      # Refuses a step before Measure has its verdict, out of its order, or with parts not all faced rightly, a lubricant the
      # fluid or the rubber does not bear, and counts that cannot be.
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

      def to_h
        {steps: steps.map { |each| step_view(each) }, current: step&.id, lubricant: lubricant, lubricants: lubricants, checks: checks.map(&:compact), **reckoning.to_h,
         section: Strip::Section.new(@strip.work, steps.reject { |each| @fitted.include?(each.id) }, at_hand: step).to_h,
         never: Knowledge.table("never_advised").select { |row| row["at"].include?("build") }.map { |row| row["text"] },
         recent: @entries.last(RECENT).map { |entry| {id: entry.id, kind: entry.kind} }}.compact
      end

      private

      def of(kind)
        @entries.select { |entry| entry.kind == kind }
      end

      # @return [Array<Strip::Part>] of a step, those that this cylinder has
      def present(step)
        step.takes.select { |part| part.stays? || @strip.out?(part.id) }
      end

      def parts
        steps.flat_map { |each| present(each) }
      end

      def fitted_parts
        @strip.done_steps.select { |each| @fitted.include?(each.id) }.flat_map(&:takes).map(&:id)
      end

      def notes_for(step)
        ids = present(step).map(&:id)
        Knowledge.table("build_notes").select { |row| (row["parts"] & ids).any? }.map { |row| {word: row["word"], text: row["text"]} }
      end

      def status(each)
        return "done" if @fitted.include?(each.id)
        (each == step) ? "current" : "ahead"
      end

      def step_view(each)
        {id: each.id, label: each.label, status: status(each), tools: each.to_h[:tools], notes: notes_for(each),
         parts: present(each).map { |part| {id: part.id, label: part.label, count: @strip.tray.out(part.id), renewed: part.renewed?, check: part.check, lube: lube_said(part), **facings.of(part)}.compact }}
      end

      # What this part is wetted with, by the shop's choice and where on it.
      def lube_said(part)
        return if part.lube.empty?
        chosen = Knowledge.find("lubricants", lubricant)
        return "own fluid" if part.lube.include?("own") && !part.lube.intersect?(chosen["places"])
        return chosen["label"].downcase if part.lube.intersect?(chosen["places"])
        "dry-side grease, thin"
      end

      def lubricants
        return [] unless @family
        Knowledge.table("lubricants").map do |row|
          word = Choose::Compatibility.lubricant(row["id"], @family)
          {id: row["id"], label: row["label"], says: word["label"], allowed: wets?(row["id"])}
        end
      end

      # It may wet cups and bore of this circuit.
      def wets?(id)
        Choose::Compatibility.lubricant(id, @family)["does"] == "go" && Shop.lubricants.any? { |row| row["id"] == id }
      end

      def admit_step(id)
        raise Refusal.at("data/step", "not yet: #{@measure.waits_for}", "a settled verdict under Measure first") unless @measure.done?
        raise Refusal.at("data/step", "“#{id}” is no step of this build", steps.map(&:id).join(", ")) unless steps.any? { |each| each.id == id }
        raise Refusal.at("data/step", "#{id.tr("_", " ")} does not come now", step ? step.id : "nothing: all of it is in") unless step && step.id == id
        wrong = facings.wrong(present(step))
        return if wrong.empty?
        raise Refusal.at("data/step", "which way does it face? #{wrong.map(&:feature).join("; ")}", "the right way round, for every part of the step")
      end

      def admit_lubricant(id)
        row = Knowledge.find("lubricants", id)
        raise Refusal.at("data/lubricant", "the fluid's family is not known", "the class on the cap, under Choose") unless @family
        word = Choose::Compatibility.lubricant(id, @family)
        return if wets?(id)
        allowed = lubricants.select { |each| each[:allowed] }.map { |each| each[:id] }
        raise Refusal.at("data/lubricant", "#{row["label"]} on the seals of a #{@family} circuit: #{word["label"]}", allowed.join(", "))
      end

      def admit_part(data)
        out = @strip.tray.out(data["part"])
        raise Refusal.at("data/part", "“#{data["part"]}” is not in the tray", @strip.tray.cells.map { |cell| cell.part.id }.join(", ")) unless out.positive?
        return if data["count"].nil? || data["count"].round.between?(0, out)
        raise Refusal.at("data/count", "#{out} came out", "0 to #{out}")
      end

      def admit_check(id)
        return if checks.any? { |check| check[:id] == id }
        raise Refusal.at("data/check", "“#{id}” is not checked here", checks.map { |check| check[:id] }.join(", "))
      end
    end
  end
end
