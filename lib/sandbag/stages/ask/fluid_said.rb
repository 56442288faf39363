# frozen_string_literal: true

module Sandbag
  module Ask
    # What the cap says, what the record says, what seems to be in it and what is to be poured: four answers about one
    # thing.
    class FluidSaid
      # @param fitted [Circuit::Sheet] as the record has it; intake [Intake]
      # @param poured [Hash] stamped and fluid, as Choose has them
      def initialize(fitted, intake, poured)
        @fitted = fitted
        @intake = intake
        @poured = poured
        freeze
      end

      # @return [String, nil] family of what the cap names, by the mechanic or the record
      def family
        cap&.fetch("family")
      end

      # Silicone is purple, and a maker's oil is dyed as the maker likes: in them a tint says nothing.
      def dyed?
        cap&.fetch("dyed", false) || false
      end

      # @return [Hash{String => String}] for the conditions of red_flags.yml
      def facts
        {"fluid_said" => (families.size > 1) ? "contradicted" : "agreed", "fluid_family" => family || "unknown"}
      end

      private

      def cap
        Tables.find("fluids", @intake.value("fluid_marked"))
      end

      def families
        said = [recorded, *@intake.values_at("fluid_marked", "fluid_found"), *@poured.values_at("stamped", "fluid")]
        said.filter_map { |fluid| Tables.find("fluids", fluid)&.fetch("family") }.uniq
      end

      def recorded
        @fitted.value("fluid", "stamped") unless @fitted.source("fluid", "stamped") == Circuit::Source::DEFAULT
      end
    end
  end
end
