# frozen_string_literal: true

module Sandbag
  module Feel
    # Readings held against what the same lever was when it was last good, where the two agree. What fails by itself is
    # not helped to a pass.
    class Memory
      # @return [LeverFit, nil] with the baseline where it helps; nil while there are too few readings
      attr_reader :fit

      # @param readings [Array<Reading>]; reference_mpa [Float] of the verdict; baseline [Baseline, nil]; doubt [Doubt]
      def initialize(circuit, readings, reference_mpa, baseline, doubt)
        @baseline = baseline
        @own = LeverFit.new(circuit, readings, doubt: doubt) if LeverFit.possible?(circuit, readings)
        @dropped = dropped(circuit, reference_mpa)
        @fit = (baseline && @own && !@dropped) ? LeverFit.new(circuit, readings, doubt: doubt,
          baseline: baseline) : @own
        freeze
      end

      # The baseline stands behind the fit.
      def helps?
        !@baseline.nil? && !@own.nil? && @dropped.nil?
      end

      # @return [Hash, nil] at, used, and what it did to the error, in words; nil where there is no last good lever
      def to_h
        return unless @baseline
        {at: @baseline.at, used: helps?, says: says}.compact
      end

      private

      # @return [String, nil] why the baseline is left out
      def dropped(circuit, reference_mpa)
        return unless @baseline && @own
        return "it fails by itself" if Verdict.new(@own, circuit, reference_mpa).fails?
        "these readings differ too much from the last good lever" if @baseline.contradicts?(@own)
      end

      def says
        return unless @own
        return "Not held against the last good lever: #{@dropped}." if @dropped
        return "Held against the last good lever." unless @own.air_error_ml
        "Held against the last good lever: ± #{Said.ml(half(fit), 3)} instead of ± #{Said.ml(half(@own), 3)}."
      end

      # Half of what 95 % lies within.
      def half(fit)
        fit.trust * fit.air_error_ml
      end
    end
  end
end
