# frozen_string_literal: true

module Sandbag
  module Hydraulics
    # Force against travel at the finger, as a mechanic would pull it: points for a drawing.
    module LeverCurve
      STEPS = 48

      # @param up_to_n [Float] greatest finger force drawn
      # @param reserve [Boolean] with knock-back and the air that came in since, instead of `air_ml`
      # @return [Array<Hash>] force_n, travel_mm, pressure_mpa; from the force that first overcomes the return spring
      def self.points(circuit, up_to_n:, air_ml: 0, reserve: false)
        take_up_n = circuit.finger_force_n(0)
        top_n = [up_to_n, take_up_n].max
        (0..STEPS).map do |step|
          # squared, so that the low end, where air shows, is drawn finely
          force_n = take_up_n + (top_n - take_up_n) * (step.to_f / STEPS)**2
          pressure_mpa = circuit.pressure_mpa(force_n)
          stroke_mm =
            reserve ? circuit.reserve_stroke_mm(pressure_mpa) : circuit.stroke_mm(pressure_mpa, air_ml: air_ml)
          {force_n: force_n, travel_mm: circuit.lever.travel_mm(stroke_mm), pressure_mpa: pressure_mpa}
        end
      end
    end
  end
end
