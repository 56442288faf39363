# frozen_string_literal: true

module Sandbag
  module Fit
    # How far a reservoir may tilt before its port is uncovered. The fluid keeps its volume: its surface turns about a
    # line that moves as the high side falls dry, until it meets the floor at the port. With the port at the high edge
    # this is tan α = h / (half the width); a port nearer the middle bears more (docs/physics.md 9).
    class ReservoirTilt
      # @param area_mm2 [Float] surface; shape [String] round or square
      # @param port_offset_mm [Float, nil] from the middle; nil is at the edge, the worst case
      def initialize(area_mm2:, shape:, port_offset_mm: nil)
        @area_mm2 = Measures.finite("area", area_mm2)
        @shape = shape
        @port_offset_mm = [port_offset_mm || half_mm, half_mm].min
        freeze
      end

      # @return [Float] mm, radius or half the side
      def half_mm
        (@shape == "round") ? Math.sqrt(@area_mm2 / Math::PI) : Math.sqrt(@area_mm2) / 2
      end

      # @param height_mm [Float] fluid above the port's face, level
      # @return [Float] degrees at which the port is just uncovered, tilted with the port on the high side
      def limit_deg(height_mm)
        Math.atan(@area_mm2 * height_mm / moment_mm3) * 180 / Math::PI
      end

      # @return [Boolean] covered at a tilt
      def covered?(height_mm, tilt_deg)
        tilt_deg < limit_deg(height_mm)
      end

      attr_reader :port_offset_mm

      private

      # First moment, about the port, of the floor from the low side up to it: what a slope of one holds there.
      def moment_mm3
        half, port = half_mm, port_offset_mm
        return half * (half + port)**2 if @shape == "square"
        across = Math.sqrt([half**2 - port**2, 0].max)
        port * (half**2 * (Math::PI / 2 + Math.asin(port / half)) + port * across) + across**3 * 2 / 3
      end
    end
  end
end
