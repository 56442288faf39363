# frozen_string_literal: true

module Sandbag
  module Airway
    # Every number of a verdict with its formula and the values in it (docs/physics.md 6).
    class Figures
      # @attr place [String]; label [String]; formula, filled [String]; value [Float]; unit [String]
      Item = Struct.new(:place, :label, :formula, :filled, :value, :unit, keyword_init: true)

      # @param way [Way]; verdict [MethodVerdict]
      def initialize(way, verdict)
        @way = way
        @verdict = verdict
        @drive = verdict.drive
        freeze
      end

      # @return [Array<Item>]
      def items
        [*flow, *@verdict.carriages.flat_map { |each| leg(each) }, *pocket].map(&:freeze)
      end

      private

      # The drive may be slower than what the way would let through: a hand or a syringe sets its own pace.
      def flow
        return [] unless @drive.pressure_mpa.positive?
        [
          item(@way.end_label, "Resistance of the way", "Σ 128 μ L / (π d⁴)",
            @drive.segments.map { |label, each| "#{label} #{n(each.length_mm)} × #{n(each.bore_mm)}" }.join(", ") +
              "; μ #{n(@way.fluid.viscosity_pa_s)} Pa·s at #{n(@way.celsius)} °C",
            @drive.resistance_mpa_s_ml, "MPa·s/mL"),
          item(@way.end_label, "Flow the way would let through", "Q = ΔP / R",
            "#{n(@drive.pressure_mpa)} / #{n(@drive.resistance_mpa_s_ml)}",
            @drive.pressure_mpa / @drive.resistance_mpa_s_ml, "mL/s"),
          item(@way.end_label, "Flow by this way of bleeding", "the slower of what drives it and what lets it through",
            "#{n(@drive.go_ml)} mL in one go", @drive.flow_ml_s, "mL/s")
        ]
      end

      def leg(carriage)
        leg = carriage.leg
        place = "#{leg.label}, from #{Wording.inside(leg.from.label)} to #{Wording.inside(leg.to.label)}"
        [
          item(place, "Mean speed", "U = 4 Q / (π d²)", "4 × #{n(@drive.flow_ml_s)} mL/s / (π × #{n(leg.bore_mm)}²)",
            carriage.flow_mm_s, "mm/s"),
          *rise(carriage, place)
        ]
      end

      def rise(carriage, place)
        leg = carriage.leg
        return [] if leg.level?
        fluid = carriage.fluid
        bubble = Hydraulics::Bubble.new(leg.bore_mm, fluid)
        [
          item(place, "Eötvös number", "Eo = ρ g d² / σ; under #{Hydraulics::Bubble::ARREST} a slug does not rise",
            "#{n(fluid.density_kg_m3)} × #{n(GRAVITY_M_S2)} × (#{n(leg.bore_mm)} mm)² / #{n(fluid.tension_n_m)}",
            bubble.eotvos, ""),
          item(place, "Rise of a slug by itself", "u = Fr √(g d), Viana et al. 2003",
            "√(#{n(GRAVITY_M_S2)} × #{n(leg.bore_mm)} mm)", carriage.drift_mm_s, "mm/s"),
          slug(carriage, place)
        ]
      end

      def slug(carriage, place)
        nose = Hydraulics::Bubble::NOSE
        item(place, "Slug with the flow", "#{nose} U ± u",
          "#{nose} × #{n(carriage.flow_mm_s)} #{(carriage.slug_mm_s < nose * carriage.flow_mm_s) ? "−" : "+"} " \
            "#{n(carriage.drift_mm_s)}; the leg is #{n(carriage.leg.length_mm)} mm long", carriage.slug_mm_s, "mm/s")
      end

      def pocket
        cavity = @way.profile.cavity_values
        return [] unless cavity && @verdict.pocket_ml.positive?
        radius, depth, angle = cavity
        [
          item(@way.end_label, "Air under a port that is not on top", "V = h r² (θ − sin θ cos θ)",
            "h #{n(depth)}, r #{n(radius)}, θ #{n(angle)}°", @verdict.pocket_ml, "mL")
        ]
      end

      def item(place, label, formula, filled, value, unit)
        Item.new(place: place, label: label, formula: formula, filled: filled, value: value, unit: unit)
      end

      def n(number)
        Wording.figures(number)
      end
    end
  end
end
