# frozen_string_literal: true

module Sandbag
  module Feel
    # Readings that overcome the return spring, as volumes at the master, each with its weight 1 / (σx² + (dx/dF σF)²)
    # in mL⁻² (docs/physics.md 7).
    class WeighedReadings
      attr_reader :circuit, :readings, :pressures_mpa, :forces_n, :volumes_ml, :weights, :mm_per_ml, :plain

      # @param circuit [Hydraulics::Circuit]; readings [Array<Reading>]
      def initialize(circuit, readings)
        @circuit = circuit
        @readings = readings.select { |reading| circuit.pressure_mpa(reading.force_n).positive? }.freeze
        @forces_n = @readings.map(&:force_n).freeze
        @pressures_mpa = @forces_n.map { |force| circuit.pressure_mpa(force) }.freeze
        @mm_per_ml = circuit.travel_of_volume_mm(1.0)
        @volumes_ml = @readings.map { |reading| reading.travel_mm / @mm_per_ml }.freeze
        @plain = PlainFit.new(circuit, @readings)
        @weights = @readings.map { |reading| weight(reading) }.freeze
        freeze
      end

      def size
        readings.size
      end

      # @param reading [Reading] one of these, or one that may be taken
      # @return [Float] mL⁻²
      def weight(reading)
        slope = plain.curve.slope_mm_n(reading.force_n)
        mm_per_ml**2 / (reading.travel_error_mm**2 + (slope * reading.force_error_n)**2)
      end
    end
  end
end
