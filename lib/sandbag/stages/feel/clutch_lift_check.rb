# frozen_string_literal: true

module Sandbag
  module Feel
    # A clutch is judged by what reaches the slave: lift measured against lift expected of a circuit without air
    # (docs/physics.md 4). Missing lift is given as the air that would swallow it at release pressure.
    class ClutchLiftCheck
      # A depth gauge held by hand. [default]
      GAUGE_ERROR_MM = 0.05

      def initialize(circuit, lift_mm)
        @circuit = circuit
        @lift_mm = lift_mm
        freeze
      end

      # @return [String] pass, marginal (frees, without the margin) or bleed_again
      def id
        spare_mm = @lift_mm - @circuit.slave.lift_needed_mm
        return "bleed_again" if spare_mm - GAUGE_ERROR_MM < 0
        (spare_mm < @circuit.slave.lift_margin_mm) ? "marginal" : "pass"
      end

      def to_h
        {
          verdict: id,
          why: why,
          lift_mm: @lift_mm,
          expected_lift_mm: expected_mm,
          needed_mm: @circuit.slave.lift_needed_mm,
          margin_mm: @circuit.slave.lift_margin_mm,
          missing_air_ml: missing_air_ml
        }
      end

      private

      def expected_mm
        Hydraulics::ClutchLift.mm(@circuit, @circuit.master.stroke_mm)
      end

      def missing_air_ml
        lost_ml = [(expected_mm - @lift_mm) * @circuit.slave.area_mm2 / 1000, 0.0].max
        pressure = @circuit.slave.release_pressure_mpa
        lost_ml * (pressure + ATMOSPHERE_MPA) / pressure
      end

      def why
        figures =
          "#{Said.mm(@lift_mm, 2)} measured, #{Said.mm(@circuit.slave.lift_needed_mm, 2, bare: true)} needed, " \
            "#{Said.mm(expected_mm, 2, bare: true)} expected without air."
        {
          "pass" => "The clutch disengages with its margin: ",
          "marginal" => "The clutch disengages, with little margin: ",
          "bleed_again" => "The clutch will drag: "
        }.fetch(id) + figures
      end
    end
  end
end
