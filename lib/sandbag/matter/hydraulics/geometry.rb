# frozen_string_literal: true

module Sandbag
  module Hydraulics
    # Round things.
    module Geometry
      # @return [Float] mm², area of a circle of diameter `diameter_mm`
      def self.area_mm2(diameter_mm)
        Math::PI * diameter_mm**2 / 4
      end

      # @return [Float] mL held by a round passage
      def self.volume_ml(bore_mm, length_mm)
        area_mm2(bore_mm) * length_mm / 1000
      end
    end
  end
end
