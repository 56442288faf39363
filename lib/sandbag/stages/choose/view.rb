# frozen_string_literal: true

module Sandbag
  module Choose
    # What the Choose page shows of the job itself; what the shelf has for it is Supplies.
    class View
      # @param choose [Stage]
      def initialize(choose)
        @choose = choose
        freeze
      end

      # @return [Hash]
      def to_h
        choose = @choose
        {
          cylinder: choose.chosen_cylinder,
          cylinder_wanted: choose.cylinder_wanted?,
          size_first: size_first?,
          fluid: choose.fluid,
          stamped: choose.stamped,
          unfit: (choose.unfit if choose.unfit.any?),
          method: choose.bleed_method["id"],
          water: choose.water_tested&.percent,
          boils: choose.water_tested&.boils_c,
          need: choose.need,
          fluid_wanted_ml: choose.fluid_wanted_ml,
          wanting: choose.wanting.map(&:id),
          pulled: choose.pulled.map { |entry| {entry: entry.id, **entry.data.transform_keys(&:to_sym)} },
          fitted: choose.sizing_sheet.to_h,
          sheet: choose.sheet.to_h,
          far_ends: far_ends,
          hoses: hoses,
          clash: choose.clash&.slice("id", "label", "wants"),
          no_kit: choose.no_kit&.slice("id", "label", "does", "on"),
          instead: (choose_route.condemned if choose.no_kit&.fetch("on") == "whole"),
          handles_fluid: choose_route.nil? || choose_route.handles_fluid?,
          adds: !choose.job.route&.adds.nil?,
          kind: choose.sheet.kind.id,
          clutch: choose.sheet.clutch?,
          parts: {
            fluid: choose.sheet.id_of("fluid"),
            master: choose.sheet.id_of("master"),
            lever: choose.sheet.id_of("lever")
          }
        }.compact
      end

      private

      # Hoses that go on new, and how long they have to be.
      def hoses
        @choose.new_hoses.map do |line|
          length = @choose.sheet.values(line)["length"]
          {id: line["id"], label: Circuit::Places.name(line), length_mm: length.value,
           known: length.source != Circuit::Source::DEFAULT}
        end
      end

      # Far ends that the job works on, and their sizes.
      def far_ends
        return unless choose_route&.far_end?
        @choose.job.ask.where.at.map do |place|
          values = @choose.sheet.values(@choose.sheet.part(place.at))
          {id: place.at, label: place.label, size: Array((values["pistons"] || values["bore"]).value)}
        end
      end

      def size_first?
        !choose_route.nil? && choose_route.size_first?
      end

      def choose_route
        @choose.job.route
      end
    end
  end
end
