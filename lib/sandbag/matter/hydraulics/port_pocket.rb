# frozen_string_literal: true

module Sandbag
  module Hydraulics
    # Air that stays in a round cavity whose port is not at its top (docs/physics.md 6).
    module PortPocket
      # V = h r² (θ − sin θ cos θ)
      # @param radius_mm [Float] of the cavity; @param depth_mm [Float]; @param angle_deg [Float] port off the top, 0
      #   to 180
      # @return [Float] mL
      def self.volume_ml(radius_mm, depth_mm, angle_deg)
        angle = angle_deg * Math::PI / 180
        depth_mm * radius_mm**2 * (angle - Math.sin(angle) * Math.cos(angle)) / 1000
      end
    end
  end
end
