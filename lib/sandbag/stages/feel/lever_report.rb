# frozen_string_literal: true

module Sandbag
  module Feel
    # A set of lever readings with all that can be said of them: fit, curves, verdict.
    class LeverReport
      attr_reader :fit, :verdict, :memory

      # @param marked [Array<Array(Reading, Boolean)>] readings, each with whether it is set aside
      # @param baseline [Baseline, nil] what the lever was when it was last good
      # @param preload_known [Boolean] the return spring's preload was measured
      # @param hung [Hung, nil] what the shop can hang on the lever; nil where any force can be read
      def initialize(sheet, circuit, marked, baseline: nil, preload_known: false, hung: nil)
        @circuit = circuit
        @hung = hung
        @marked = marked
        @reference_mpa = Circuit::Reference.pressure_mpa(sheet, circuit)
        @used = marked.reject { |_, aside| aside }.map(&:first)
        @memory = Memory.new(circuit, @used, @reference_mpa, baseline, Doubt.new(circuit, preload_known: preload_known))
        @fit = @memory.fit
        @verdict = Verdict.new(@fit, circuit, @reference_mpa) if @fit
        freeze
      end

      # Something was read.
      def begun?
        @marked.any?
      end

      # What to read next, in words; nil when there is a verdict.
      def wanted
        return if verdict
        forces = suggested_forces.first(4)
        return "hang more weights: those given make too few different pulls" if forces.empty?
        said = forces.each_with_index.map { |force, index| Said.n(force, bare: index < forces.size - 1) }
        "#{forces.size} more, try #{said.join(", ")}"
      end

      # The pull that would say most, while there is something to gain.
      # @return [Float, nil] N
      def next_force
        return suggested_forces.first if fit.nil? || fit.air_error_ml.nil? || fit.low_readings < fit.low_wanted
        NextReading.new(fit, verdict, reference_n, @hung&.forces_n || []).force_n
      end

      # @return [Array<Hash>] force_n and travel_mm expected without air, up to the reference force or the firmest pull
      def curve
        Hydraulics::LeverCurve.points(@circuit, up_to_n: top_n)
      end

      def to_h
        expected = curve
        {
          readings: readings_view,
          reference_n: reference_n,
          expected: expected,
          fitted: (fitted(expected) if fit),
          verdict: verdict&.to_h,
          wanted: wanted,
          suggested_n: suggested_forces,
          next_n: next_force,
          memory: memory.to_h,
          fit: (fit.to_h if fit&.covariance),
          take_up_n: @circuit.finger_force_n(0),
          low_n: LowForces.ceiling_n(@circuit)
        }.compact
      end

      private

      # Shares of the reference force read after the light ones.
      FIRM_SHARES = [0.4, 0.7, 1.0].freeze
      # A force this near to one already read, N, is not asked for again; nor one as near by its share, where the light
      # pulls of a bicycle stand a newton apart.
      SAME_N = 1.5
      SAME_SHARE = 0.15

      def suggested_forces
        return @hung.first.map { |pull| pull[:force_n] }.reject { |force| read?(force) } if @hung
        wanted = LowForces.of(@circuit).first(4) + FIRM_SHARES.map { |share| (share * reference_n).round.to_f }
        wanted.uniq.reject { |force| read?(force) }
      end

      def read?(force)
        @used.any? { |reading| (reading.force_n - force).abs < same_n(force) }
      end

      def same_n(force)
        [SAME_N, SAME_SHARE * force].min
      end

      def reference_n
        @circuit.finger_force_n(@reference_mpa)
      end

      def top_n
        [reference_n, *@used.map(&:force_n)].max
      end

      def fitted(expected)
        expected.map { |point| point.merge(travel_mm: fit.travel_mm(point[:force_n])) }
      end

      def readings_view
        places = {}.compare_by_identity
        fit&.readings&.each_with_index { |reading, index| places[reading] = index }
        outliers = Set.new.compare_by_identity.merge(fit&.outliers || [])
        @marked.map do |reading, aside|
          place = places[reading]
          {id: reading.id, pull: reading.pull, force_n: reading.force_n, travel_mm: reading.travel_mm, set_aside: aside,
           too_light: !@circuit.pressure_mpa(reading.force_n).positive?, residual_mm: place && fit.residuals_mm[place],
           outlier: outliers.include?(reading)}.compact
        end
      end
    end
  end
end
