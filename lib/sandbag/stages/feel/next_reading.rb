# frozen_string_literal: true

module Sandbag
  module Feel
    # The pull whose reading would make the error of the air smallest, while that can still change the verdict.
    class NextReading
      # After so many the error hardly shrinks any more.
      MOST = 24
      # Shares of the way from the return spring to the reference force that are offered, light ones finely.
      SHARES = [0.03, 0.05, 0.08, 0.12, 0.16, 0.2, 0.26, 0.34, 0.45, 0.6, 0.8, 1.0].freeze

      # @param fit [LeverFit]; verdict [Verdict]; reference_n [Float] N at the finger
      # @param pulls_n [Array<Float>] the only pulls that can be made; empty where any can
      def initialize(fit, verdict, reference_n, pulls_n = [])
        @fit = fit
        @verdict = verdict
        @reference_n = reference_n
        @pulls_n = pulls_n
        freeze
      end

      # @return [Float, nil] N; nil when there is enough
      def force_n
        return if enough?
        offered.min_by { |force| @fit.air_error_with(force) }
      end

      # The verdict stands, or no reading would change it.
      def enough?
        %w[pass bleed_again].include?(@verdict.id) || @fit.readings.size >= MOST
      end

      private

      def offered
        return @pulls_n if @pulls_n.any?
        lightest = @fit.circuit.finger_force_n(0)
        SHARES.map { |share| (lightest + share * (@reference_n - lightest)).round(1) }
      end
    end
  end
end
