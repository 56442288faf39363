# frozen_string_literal: true

module Sandbag
  module Build
    # What the Build page shows.
    class View
      # @param build [Stage]
      def initialize(build)
        @build = build
        freeze
      end

      # @return [Hash]
      def to_h
        build = @build
        {
          steps: build.steps.map { |step| step_view(step) },
          current: build.step&.id,
          lubricant: build.lubricant,
          lubricants: lubricants,
          checks:
            build.checks.map do |check|
              {
                id: check[:row]["id"],
                label: check[:row]["label"],
                how: check[:row]["how"],
                before: check[:row]["before"],
                seconds: check[:row]["seconds"],
                pass: check[:pass]
              }.compact
            end,
          **build.reckoning.to_h,
          section: section,
          measured: build.job.measure.done?,
          never: Circuit::Advice.never("build")
        }.compact
      end

      private

      # Of the unit that is built now.
      def section
        unit = @build.step&.unit || @build.job.choose.cylinders.last
        Cylinder::Section.new(@build.job.strip.work, unit, @build.put_back.steps_to_go, at_hand: @build.step).to_h
      end

      def lubricants
        @build.lubricants.map do |each|
          {id: each[:row]["id"], label: each[:row]["label"], says: each[:word]["label"], allowed: each[:allowed]}
        end
      end

      def step_view(step)
        parts = @build.put_back.present(step)
        {
          id: step.id,
          label: step.label,
          status: @build.status(step),
          tools: step.to_h[:tools],
          notes: Cylinder::Notes.for(parts),
          parts: parts.map { |part| part_view(part) }
        }
      end

      def part_view(part)
        {
          id: part.id,
          label: part.label,
          count: @build.job.strip.tray.out(part.id),
          renewed: part.renewed?,
          check: part.check,
          lube: lube_said(part),
          **@build.facings.of(part)
        }.compact
      end

      # What this part is wetted with, by the shop's choice and where on it.
      def lube_said(part)
        return if part.lube.empty?
        chosen = Tables.find("lubricants", @build.lubricant)
        return Wording.inside(chosen["label"]) if part.lube.intersect?(chosen["places"])
        part.lube.include?("own") ? "own fluid" : "dry-side grease, thin"
      end
    end
  end
end
