# frozen_string_literal: true

module Sandbag
  module Hydraulics
    # One length of pressure hose or tube; `expansion_ml_m_mpa` is its swell per metre and MPa.
    class Line
      extend Measures

      measures :length_mm, :bore_mm, :expansion_ml_m_mpa

      def swell_ml_mpa
        length_mm / 1000 * expansion_ml_m_mpa
      end

      def fluid_ml
        Geometry.volume_ml(bore_mm, length_mm)
      end
    end
  end
end
