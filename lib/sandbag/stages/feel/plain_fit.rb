# frozen_string_literal: true

module Sandbag
  module Feel
    # The three numbers of a lever with every reading worth the same: where a weighted fit starts from, and what marks
    # a slip (docs/physics.md 7).
    class PlainFit
      # A residual over this many typical ones is marked; the typical one is the median of the others' sizes.
      OUTLIER = 3.0
      # Readings repeat to about this at best; residuals below it are never outliers. [default]
      READABLE_MM = 0.5

      attr_reader :readings, :coefficients, :residuals_mm, :outliers, :curve

      # @param circuit [Hydraulics::Circuit]; readings [Array<Reading>] that overcome the return spring
      def initialize(circuit, readings)
        @readings = readings
        mm_per_ml = circuit.travel_of_volume_mm(1.0)
        @rows = readings.map { |reading| Curve.row(circuit.pressure_mpa(reading.force_n)) }
        volumes = readings.map { |reading| reading.travel_mm / mm_per_ml }
        @coefficients = LeastSquares.non_negative(@rows, volumes).freeze
        @curve = Curve.new(circuit, coefficients)
        @left = LeastSquares.residuals(@rows, volumes, coefficients)
        @residuals_mm = @left.map { |each| each * mm_per_ml }.freeze
        @outliers = readings.zip(residuals_mm).select { |_, residual| residual.abs > furthest_mm }.map(&:first).freeze
        freeze
      end

      # @return [Float, nil] standard error of the air; nil when the forces are too alike to tell the three apart
      def air_error_ml
        covariance = LeastSquares.covariance(@rows)
        variance = @left.sum { |each| each**2 } / (@rows.size - LeverFit::PARAMETERS)
        covariance && Math.sqrt(variance * covariance[2, 2])
      end

      private

      # What is no outlier yet, mm.
      def furthest_mm
        [OUTLIER * residuals_mm.map(&:abs).sort[residuals_mm.size / 2], READABLE_MM].max
      end
    end
  end
end
