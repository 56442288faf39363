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
          item(@way.end_label, "Resistance of the way", "R = Σ 128 μ L / (π d⁴)",
            @drive.segments.map { |label, each| "#{label} #{n(each.length_mm)} × #{n(each.bore_mm)}" }.join(", ") +
              "; μ #{n(@way.fluid.viscosity_pa_s)} Pa·s at #{n(@way.celsius)} °C", resistance, "MPa·s/mL"),
          item(@way.end_label, "Kinetic head", "k = Σ ρ / A²; one entry and one exit a segment",
            "ρ #{n(@way.fluid.density_kg_m3)} kg/m³", kinetic, "MPa·s²/mL²"),
          item(@way.end_label, "Flow the way would let through", through_formula,
            "ΔP #{n(@drive.pressure_mpa)} MPa", @drive.through_ml_s, "mL/s"),
          item(@way.end_label, "Flow by this way of bleeding", "the slower of what drives it and what lets it through",
            "#{n(@drive.go_ml)} mL in one go", @drive.flow_ml_s, "mL/s")
        ]
      end

      def bores
        @drive.segments.map(&:last)
      end

      def resistance
        Hydraulics::Flow.resistance_mpa_s_ml(bores, @way.fluid)
      end

      def kinetic
        Hydraulics::Flow.kinetic_mpa_s2_ml2(bores, @way.fluid)
      end

      def through_formula
        return "ΔP = R Q + k Q²" if bores.all? { |each|
          Hydraulics::Flow.reynolds(@drive.through_ml_s, each, @way.fluid) <= Hydraulics::Flow::TURBULENT
        }
        "ΔP = R Q + k Q²; friction after Blasius where Re is over #{n(Hydraulics::Flow::TURBULENT)}"
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
        return [] if leg.slope.zero?
        fluid = carriage.fluid
        bubble = leg.bubble(fluid)
        [
          item(place, "Eötvös number", "Eo = ρ g d² / σ; under #{Hydraulics::Bubble::ARREST} a slug does not rise",
            "#{n(fluid.density_kg_m3)} × #{n(GRAVITY_M_S2)} × (#{n(leg.bore_mm)} mm)² / #{n(fluid.tension_n_m)}",
            bubble.eotvos, ""),
          item(place, "Rise of a slug by itself", rise_formula(bubble),
            "√(#{n(GRAVITY_M_S2)} × #{n(leg.bore_mm)} mm); sine of the slope #{n(leg.slope)}", carriage.drift_mm_s,
            "mm/s"),
          slug(carriage, place),
          *enough(carriage, place)
        ]
      end

      def rise_formula(bubble)
        return "u = Fr √(g d), Viana et al. 2003; sloping after Weber et al. 1986" unless bubble.uncertain?
        "the slower of Viana et al. 2003 and Bretherton 1961; uncertain under Eo #{n(Hydraulics::Bubble::SURE)}"
      end

      # How much takes it past the leg, and how much is planned.
      def enough(carriage, place)
        return [] unless carriage.needed_ml.finite? && carriage.planned_ml.finite?
        [item(place, "Fluid that takes the slug this far", "goes × mL a go; back in between by drift and by suction",
          "#{n(carriage.back_mm)} mm back a go; #{n(carriage.planned_ml)} mL are planned", carriage.needed_ml, "mL")]
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
