# frozen_string_literal: true

module Sandbag
  module Fit
    # The reservoir as it hangs: level with the bars straight, and its port covered there and where this kind of machine
    # goes.
    class Reservoir
      # @param scope [Scope]; entries [Job::Entries] of fit; fluid_ml [Float] above the port now
      def initialize(scope, entries, fluid_ml:)
        @scope = scope
        @sheet = scope.sheet
        @tilt_deg = entries.said("tilt")&.fetch("angle")
        @fluid_ml = fluid_ml
        freeze
      end

      attr_reader :tilt_deg

      # A bicycle's reservoir is closed by a bladder and has no level.
      def wanted?
        @scope.moves?("unit", "reservoir") && @sheet.kind.has?("open_reservoir")
      end

      # @return [ReservoirTilt]
      def geometry
        ReservoirTilt.new(area_mm2: @sheet.value("reservoir", "area"), shape: @sheet.value("reservoir", "shape"),
          port_offset_mm: @sheet.value("reservoir", "port_offset"))
      end

      # @return [Float] mm of fluid above the port, level
      def height_mm
        1000 * @fluid_ml / @sheet.value("reservoir", "area")
      end

      # @return [Float] degrees
      def limit_deg
        geometry.limit_deg(height_mm)
      end

      # @return [Boolean, nil] covered at the tilt it hangs at
      def covered?
        tilt_deg && tilt_deg < limit_deg
      end

      # @return [Hash, nil] label, deg, covered: beyond the tilt at rest, where this kind of machine goes
      def beyond
        row = Tables.find("tilts", @sheet.kind.safety)
        return unless row && tilt_deg
        added = row["slope"] || Math.atan(row["lateral_g"]) * 180 / Math::PI
        {label: row["label"], deg: tilt_deg + added, covered: tilt_deg + added < limit_deg}
      end

      # @return [Array<String>]
      def due(phase)
        return [] unless wanted? && phase == "before"
        return ["reservoir: its tilt at rest, bars straight"] unless tilt_deg
        return [] if covered?
        ["reservoir: at #{tilt_deg.round}° the port is uncovered, at most #{limit_deg.floor}°"]
      end
    end
  end
end
