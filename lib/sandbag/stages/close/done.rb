# frozen_string_literal: true

require "date"

module Sandbag
  module Close
    # What a job did, read from its own entries: for the card and for the owner. Nothing that was only planned.
    class Done
      # @param job [Job::State]
      def initialize(job)
        @job = job
        freeze
      end

      # @return [Array<String>] sentences, in the order of the work
      def to_a
        [*renewed_whole, *resealed, *renewed_parts, *hoses, *joints, *fluid, *held].compact
      end

      private

      def renewed_whole
        route = @job.route
        return [] unless @job.stages["fit"]&.done?
        far_ends = @job.choose.work.units.select { |unit| @job.choose.whole_units.include?(unit.at) }
        far_ends |= @job.choose.work.units if route.far_end? && route.size_first?
        units = route.renews?("cylinder") ? ["master cylinder"] : []
        (units + far_ends.map { |unit| Wording.inside(unit.label) }).map { |name| "New #{name}." }
      end

      def resealed
        return [] unless @job.stages["build"]&.done?
        units = @job.choose.cylinders.reject { |unit| @job.choose.whole_units.include?(unit.at) }
        units.map { |unit| "New seals: #{Wording.inside(unit.label)}." }
      end

      # A new part, with what the old one was found to be.
      def renewed_parts
        @job.measure.fresh_parts.map do |id|
          label = Wording.inside(@job.strip.work.part(id)&.label || Wording.spelled(id))
          ["New on the bench: #{label}", old(id)].compact.join(". The old one: ").concat(".")
        end
      end

      def old(id)
        look = @job.measure.looks.find { |each| each.part == id && each.rule == "renew" }
        look && Wording.inside(look.row["values"][look.value]["label"])
      end

      def hoses
        return [] unless @job.stages["fit"]&.done?
        @job.choose.new_hoses.map { |line| "New hose: #{Circuit::Places.inside(line)}." }
      end

      def joints
        washers = @job.journal.of("fit").values("washers", "joint")
        sealed = @job.choose.joints.select { |joint| washers.include?(joint.at) }
        return [] if sealed.empty?
        ["Resealed: #{sealed.map { |joint| Wording.inside(joint.label) }.join(", ")}."]
      end

      def fluid
        bleed = @job.stages["bleed"]
        return [] if bleed.nil? || bleed.last_moved.nil?
        return [new_fluid, next_change] if bleed.done?
        done = bleed.count.points.values.select(&:done)
        done.empty? ? [] : ["Fluid changed at #{done.map { |each| Wording.inside(each.label) }.join(", ")} only."]
      end

      def new_fluid
        "New fluid: #{Tables.find("fluids", @job.choose.fluid)["label"]}, batch #{@job.close.batch || "not noted"}."
      end

      def next_change
        day = @job.journal.newest_day
        months = Fluid::ChangeDue.new(@job.sheet, today: day, most_months: @job.fluid_months).interval_months
        "The fluid is due again by #{Day.said(day >> months)}."
      end

      # How a control that sank is now.
      def held
        sank = @job.ask.findings.values("hold_sink").intersect?(%w[slow fast])
        hold = @job.feel.hold
        return [] unless sank && hold
        noun = @job.sheet.kind.control["noun"]
        ["Under a steady pull the #{noun} sank. Now it moved #{Said.mm(hold[:creep_mm])} in " \
          "#{Feel::HoldCheck::SECONDS} s."]
      end
    end
  end
end
