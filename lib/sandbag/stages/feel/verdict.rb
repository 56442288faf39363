# frozen_string_literal: true

module Sandbag
  module Feel
    # Whether a lever may go, from the travel that its air alone costs at the reference force (docs/physics.md 7).
    # Never hides the error: the whole of its 95 % interval is counted against a pass.
    class Verdict
      PASS_MM = 1.5
      AGAIN_MM = 3.0
      # Stiffness over this many times the expected points to hose, caliper or tapered pads.
      SOFT = 1.5

      attr_reader :fit

      # @param fit [LeverFit]
      # @param circuit [Hydraulics::Circuit]
      # @param reference_mpa [Float] pressure at the reference force
      def initialize(fit, circuit, reference_mpa)
        @fit = fit
        @circuit = circuit
        @reference_mpa = reference_mpa
        freeze
      end

      # @return [String] pass, marginal, bleed_again or cant_tell
      def id
        return "cant_tell" if fit.low_readings < fit.low_wanted || fit.air_error_ml.nil?
        low, high = cost_interval_mm
        return "pass" if high < pass_mm
        return (low < pass_mm) ? "cant_tell" : "bleed_again" if cost_mm > again_mm
        (low < pass_mm && high > again_mm) ? "cant_tell" : "marginal"
      end

      # Too much air by more than the error.
      def fails?
        !fit.air_error_ml.nil? && cost_interval_mm.first > again_mm
      end

      def cost_mm
        fit.air_cost_mm(@reference_mpa, fit.air_ml)
      end

      # @return [Float, nil] its standard error
      def cost_error_mm
        fit.air_error_ml && fit.air_cost_mm(@reference_mpa, fit.air_error_ml)
      end

      # @return [Array<Float>] mm, what 95 % lies within
      def cost_interval_mm
        [fit.low_ml, fit.high_ml].map { |air| fit.air_cost_mm(@reference_mpa, [air, 0.0].max) }
      end

      # Fitted stiffness over the circuit's own budget.
      def stiffness_share
        fit.stiffness_ml_mpa / @circuit.budget.stiffness_ml_mpa
      end

      def soft?
        stiffness_share > SOFT
      end

      # @return [String, nil] what a lever points to that is softer than its circuit
      def soft_says
        return unless soft?
        "Softer than this circuit should be by more than #{(100 * (SOFT - 1)).round} %. That points to hose, caliper " \
          "or tapered pads, not air."
      end

      # @return [String] what the control is called, and what one does to it
      def noun
        @circuit.kind.control["noun"]
      end

      def press
        @circuit.kind.control["press"]
      end

      # @return [Array<Float>] finger forces, N, that would let air be told from dead travel; empty when there are
      #   enough
      def forces_to_add
        missing = fit.low_wanted - fit.low_readings
        return [] unless missing.positive?
        LowForces
          .of(@circuit)
          .reject { |force| fit.readings.any? { |reading| (reading.force_n - force).abs < 1 } }
          .first(missing)
      end

      def low_ceiling_n
        LowForces.ceiling_n(@circuit)
      end

      def to_h
        {
          verdict: id,
          why: why,
          air_ml: fit.air_ml,
          air_error_ml: fit.air_error_ml,
          cost_mm: cost_mm,
          cost_error_mm: cost_error_mm,
          air_low_ml: fit.low_ml && [fit.low_ml, 0.0].max,
          air_high_ml: fit.high_ml && [fit.high_ml, 0.0].max,
          pass_mm: pass_mm,
          again_mm: again_mm,
          dead_volume_ml: fit.dead_volume_ml,
          stiffness_ml_mpa: fit.stiffness_ml_mpa,
          expected_stiffness_ml_mpa: @circuit.budget.stiffness_ml_mpa,
          stiffness_share: stiffness_share,
          soft: soft?,
          soft_says: soft_says,
          forces_to_add: forces_to_add,
          outliers: fit.outliers.map(&:id)
        }.compact
      end

      def pass_mm
        PASS_MM * scale
      end

      def again_mm
        AGAIN_MM * scale
      end

      private

      def scale
        @circuit.kind.air_share
      end

      def why
        Reason.of(id, self)
      end
    end
  end
end
