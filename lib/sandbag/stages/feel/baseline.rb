# frozen_string_literal: true

require "matrix"

module Sandbag
  module Feel
    # What this very lever was when it was last good: dead volume and stiffness with their errors, and how much its
    # readings scattered (docs/physics.md 7). Its air is not taken over: that is what is asked.
    class Baseline
      # How far a sound lever may move from one time to the next, as standard errors: its dead volume as a share of the
      # pad gap, its stiffness as a share of itself. [default]
      GAP_SHARE = 0.05
      STIFFNESS_SHARE = 0.05
      # Two numbers that differ by more than this (χ², 99 %) do not belong to the same lever.
      CONTRADICTS = 9.21
      # Sizes within this share are the same lever.
      SAME = 0.02
      # Scatter of more readings than this is not trusted more.
      MOST_DEGREES = 8

      attr_reader :coefficients, :scale, :degrees, :at

      # @param plain [Hash] as LeverFit#to_h has it, kept with a signed job; at [String] when it was signed
      # @param circuit [Hydraulics::Circuit] as it is now
      # @return [Baseline, nil] nil where it is of another cylinder, lever or hose
      def self.of(plain, circuit, at)
        baseline = new(plain, circuit, at)
        baseline if baseline.same_lever?
      end

      def initialize(plain, circuit, at)
        @plain = plain
        @circuit = circuit
        @at = at
        @coefficients = plain.values_at("dead_volume_ml", "stiffness_ml_mpa").freeze
        @scale = plain["scale"]
        @degrees = [plain["degrees"], MOST_DEGREES].min
        freeze
      end

      def same_lever?
        {"mm_per_ml" => @circuit.travel_of_volume_mm(1.0), "expected_ml_mpa" => @circuit.budget.stiffness_ml_mpa}
          .all? { |name, now| (@plain[name] - now).abs <= SAME * now }
      end

      # @return [Matrix] of dead volume and stiffness, with what may have moved since
      def covariance
        errors = @plain["covariance"].first(2).map { |row| row.first(2) }
        drift = [GAP_SHARE * @circuit.budget.gap_ml, STIFFNESS_SHARE * coefficients.last].map { |each| each**2 }
        Matrix.rows(errors) + Matrix.diagonal(*drift)
      end

      # @param fit [LeverFit] of the readings by themselves
      # @return [Boolean] the readings are of another lever, or of one that moved further than a sound one does
      def contradicts?(fit)
        return true unless fit.covariance
        off = Vector.elements(fit.free.first(2).zip(coefficients).map { |one, other| one - other })
        spread = fit.covariance.minor(0, 2, 0, 2) + covariance
        off.inner_product(spread.inverse * off) > CONTRADICTS
      end
    end
  end
end
