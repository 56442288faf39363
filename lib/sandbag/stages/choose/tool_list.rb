# frozen_string_literal: true

module Sandbag
  module Choose
    # Tools of a job, by construction, fasteners and method, with what each is for (docs/trade.md 2.10).
    class ToolList
      # Nothing to look for.
      NONE = "hand"
      # Heads that the intake names, and what turns them instead of the plain driver.
      FASTENERS = {"pinned" => {"six_lobe" => "pinned_driver"}, "jis" => {"cross_head" => "jis_driver"}}.freeze
      EYES = "mirror_torch"
      # What a part of the construction is put in with.
      BUILDING = {"seal_cone" => %w[primary_cup sc_cup], "boot_pusher" => %w[boot]}.freeze

      # @param work [Cylinder::Work] what is taken apart
      # @param route [Job::Route]; scope [Scope]; sizes [ToolSizes]
      # @param fasteners [String, nil] what the intake says of the heads
      # @param bleed_method [Hash, nil] row of bleed_methods.yml when the job bleeds
      def initialize(work, route, scope, sizes:, fasteners:, bleed_method:)
        @work = work
        @route = route
        @scope = scope
        @sizes = sizes
        @swaps = FASTENERS.fetch(fasteners, {})
        @bleed_method = bleed_method
        freeze
      end

      # @return [Array<Hash>] tool, label, sizes as they are said, right sizes, special, instead, why
      def lines
        wanted
          .group_by(&:first)
          .map do |id, uses|
            tool = Tables.find("tools", id)
            fit = @sizes.of(id)
            {
              tool: id,
              label: tool["label"],
              sizes: fit[:said] || tool["sizes"],
              right: fit[:right],
              special: tool["special"] || false,
              instead: tool["instead"],
              why: uses.map(&:last).uniq.join(", ")
            }.compact
          end
      end

      private

      def wanted
        stripping + for_stage("measure", gauges + [EYES], "measure") + for_stage("build", builders, "build") +
          @route.tools.map { |id| [id, "hose ends"] } +
          @scope.wanted(Tables.rows("tool_uses")).map { |row| row.values_at("id", "why") } +
          (@bleed_method ? @bleed_method["tools"].map { |id| [id, "bleed"] } : [])
      end

      def gauges
        @work.apart.flat_map { |unit| unit.construction.gauge_places }.map { |place| place["gauge"] }.uniq
      end

      def builders
        BUILDING.select { |_, parts| @work.parts.any? { |part| parts.include?(part.plain) } }.keys
      end

      def for_stage(stage, tools, why)
        (@work.strips? && @route.plan.include?(stage)) ? tools.map { |id| [id, why] } : []
      end

      def stripping
        @work
          .steps
          .flat_map { |step| step.tools.map { |id| [@swaps.fetch(id, id), Wording.inside(step.label)] } }
          .reject { |id, _| id == NONE }
      end
    end
  end
end
