# frozen_string_literal: true

module Sandbag
  module Hydraulics
    # A brake caliper (docs/physics.md 2). `pistons_mm` lists the diameters of all pistons of an opposed caliper, or
    # of the one side of a sliding caliper that has them. Clamp area serves force, swept area serves travel: never
    # confused.
    class Caliper
      BUILDS = %w[opposed sliding].freeze

      extend Attributes

      attributes :build, :pistons_mm, :clearance_mm, :stiffness_ml_mpa, :fluid_ml

      # Refuses an unknown build, a caliper with no piston, and an odd number of opposed pistons.
      def initialize(build:, pistons_mm:, clearance_mm:, stiffness_ml_mpa:, fluid_ml: 0)
        raise Refusal.at("build", "#{build} is not a caliper build", BUILDS.join(", ")) unless BUILDS.include?(build)
        if pistons_mm.empty?
          raise Refusal.at("pistons", "a caliper needs at least one piston", "diameters in mm, such as 34 34 30 30")
        end
        if build == "opposed" && pistons_mm.size.odd?
          raise Refusal.at(
            "pistons",
            "an opposed caliper has pistons on both sides: #{pistons_mm.size} is odd",
            "an even number of diameters, both sides listed"
          )
        end
        @build = build
        @pistons_mm = pistons_mm.map { |diameter| Measures.finite("pistons", diameter) }.freeze
        @clearance_mm = Measures.finite("clearance", clearance_mm)
        @stiffness_ml_mpa = Measures.finite("stiffness", stiffness_ml_mpa)
        @fluid_ml = Measures.finite("fluid", fluid_ml)
        @total_area_mm2 = @pistons_mm.sum { |diameter| Geometry.area_mm2(diameter) }
        freeze
      end

      # Area that presses one pad.
      def clamp_area_mm2
        (build == "opposed") ? total_area_mm2 / 2 : total_area_mm2
      end

      # Area that takes volume: a sliding caliper moves its body by as much as its pistons.
      def swept_area_mm2
        (build == "opposed") ? total_area_mm2 : 2 * total_area_mm2
      end

      # Volume that closes the running clearance of both pads.
      def gap_ml
        swept_area_mm2 * clearance_mm / 1000
      end

      private

      attr_reader :total_area_mm2
    end
  end
end
