# frozen_string_literal: true

module Sandbag
  module Feel
    # Dead volume, stiffness and trapped air from readings at the finger (docs/physics.md 7):
    #
    #   v = v0 + C p + V_air p / (p + p_atm),   v = A_m x / (1000 R),   all three ≥ 0
    #
    # The standard error of V_air is from the covariance with all three free, residual variance over n − 3.
    class LeverFit
      PARAMETERS = 3
      # Below this pressure air and dead volume part; without enough readings there the air cannot be told.
      LOW_MPA = 0.5
      LOW_READINGS = 3
      # A residual over this many typical ones is marked; the typical one is the median of the others' sizes.
      OUTLIER = 3.0
      # Readings repeat to about this at best; residuals below it are never outliers. [default]
      READABLE_MM = 0.5

      # @attr outliers [Array<Reading>] readings to look at again; never dropped here
      attr_reader :readings, :dead_volume_ml, :stiffness_ml_mpa, :air_ml, :air_error_ml, :residuals_mm, :outliers

      # @return [Boolean] whether there are readings enough to solve for three unknowns
      def self.possible?(circuit, readings)
        pressed = readings.map { |reading| circuit.pressure_mpa(reading.force_n) }.select(&:positive?)
        pressed.uniq.size > PARAMETERS
      end

      # @param circuit [Hydraulics::Circuit]
      # @param readings [Array<Reading>] at least four different forces above the return spring's
      # Refuses fewer.
      def initialize(circuit, readings)
        unless LeverFit.possible?(circuit, readings)
          raise Refusal.at("readings", "too few readings to part air from dead travel",
            "at least #{PARAMETERS + 1} different forces over #{Said.n(circuit.finger_force_n(0).ceil)}")
        end
        @circuit = circuit
        @readings = readings.select { |reading| circuit.pressure_mpa(reading.force_n).positive? }.freeze
        solve
        freeze
      end

      # Readings that overcome the return spring but stay under LOW_MPA.
      def low_readings
        pressures.count { |pressure| pressure < LOW_MPA }
      end

      # @return [Float] mm at the finger that the fitted circuit travels at a force
      def travel_mm(force_n)
        pressure = @circuit.pressure_mpa(force_n)
        coefficients = [dead_volume_ml, stiffness_ml_mpa, air_ml]
        @circuit.travel_of_volume_mm(row(pressure).zip(coefficients).sum { |a, b| a * b })
      end

      # @return [Float] mm of travel that a volume of air costs at a pressure
      def air_cost_mm(pressure_mpa, air_ml)
        @circuit.travel_of_volume_mm(Hydraulics::VolumeBudget.air_taken_ml(air_ml, pressure_mpa))
      end

      private

      def pressures
        readings.map { |reading| @circuit.pressure_mpa(reading.force_n) }
      end

      def row(pressure)
        [1.0, pressure, Hydraulics::VolumeBudget.air_taken_ml(1.0, pressure)]
      end

      def solve
        rows = pressures.map { |pressure| row(pressure) }
        mm_per_ml = @circuit.travel_of_volume_mm(1.0)
        volumes = readings.map { |reading| reading.travel_mm / mm_per_ml }
        coefficients = LeastSquares.non_negative(rows, volumes)
        @dead_volume_ml, @stiffness_ml_mpa, @air_ml = coefficients
        left = LeastSquares.residuals(rows, volumes, coefficients)
        @residuals_mm = left.map { |each| each * mm_per_ml }.freeze
        @outliers = readings.zip(residuals_mm).select { |_, residual| residual.abs > furthest_mm }.map(&:first).freeze
        @air_error_ml = air_error(rows, left)
      end

      # nil when the forces are too alike to tell the three apart
      def air_error(rows, left)
        covariance = LeastSquares.covariance(rows)
        variance = left.sum { |each| each**2 } / (rows.size - PARAMETERS)
        covariance && Math.sqrt(variance * covariance[2, 2])
      end

      # What is no outlier yet, mm.
      def furthest_mm
        @furthest_mm ||= [OUTLIER * residuals_mm.map(&:abs).sort[residuals_mm.size / 2], READABLE_MM].max
      end
    end
  end
end
