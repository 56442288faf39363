# frozen_string_literal: true

module Sandbag
  module Feel
    # Dead volume, stiffness and trapped air from readings at the finger (docs/physics.md 7), each reading weighted by
    # its error, with what cannot be seen carried as doubt. Shown are the three numbers at zero or above; the interval
    # is of the air as it would come out were it let fall below zero (FreeFit), since an estimate that is cut off at
    # zero says less than it knows.
    class LeverFit
      PARAMETERS = 3
      # Below this pressure air and dead volume part; without enough readings there the air cannot be told.
      LOW_MPA = 0.5
      LOW_READINGS = 3

      # air_error_ml: standard error of the air; low_ml, high_ml: what 95 % lies within
      # @attr outliers [Array<Reading>] readings to look at again; never dropped here
      attr_reader :circuit, :dead_volume_ml, :stiffness_ml_mpa, :air_ml, :air_error_ml, :low_ml, :high_ml,
        :residuals_mm, :covariance

      # @return [Boolean] whether there are readings enough to solve for three unknowns
      def self.possible?(circuit, readings)
        pressed = readings.map { |reading| circuit.pressure_mpa(reading.force_n) }.select(&:positive?)
        pressed.uniq.size > PARAMETERS
      end

      # @param circuit [Hydraulics::Circuit]
      # @param readings [Array<Reading>] at least four different forces above the return spring's
      # @param doubt [Doubt]; baseline [Baseline, nil] what the same lever was when it was last good, held against it
      # Refuses fewer.
      def initialize(circuit, readings, doubt: Doubt.new(circuit), baseline: nil)
        unless LeverFit.possible?(circuit, readings)
          raise Refusal.at("readings", "too few readings to part air from dead travel",
            "at least #{PARAMETERS + 1} different forces over #{Said.n(circuit.finger_force_n(0).ceil)}")
        end
        @circuit = circuit
        @weighed = WeighedReadings.new(circuit, readings)
        @baseline = baseline
        show
        @free = FreeFit.new(@weighed, coefficients, doubt: doubt, baseline: baseline)
        bound if @free.inverse
        freeze
      end

      # @return [Array<Reading>] those that overcome the return spring
      def readings
        @weighed.readings
      end

      def outliers
        @weighed.plain.outliers
      end

      # @return [Array<Float>] v0, C, V_air let fall below zero, then what may be off
      def free
        @free.numbers
      end

      def degrees
        @free.degrees
      end

      def scale
        @free.scale
      end

      # Readings that overcome the return spring but stay under LOW_MPA.
      def low_readings
        @weighed.pressures_mpa.count { |pressure| pressure < LOW_MPA }
      end

      # @return [Hash] what a later lever is held against, see Baseline
      def to_h
        return {} unless covariance
        {
          dead_volume_ml: free[0], stiffness_ml_mpa: free[1], air_ml: air_ml, air_error_ml: air_error_ml,
          covariance: covariance.to_a, scale: scale, degrees: degrees, mm_per_ml: @weighed.mm_per_ml,
          expected_ml_mpa: circuit.budget.stiffness_ml_mpa
        }
      end

      # @return [Integer] light readings without which the air cannot be told
      def low_wanted
        @baseline ? LOW_READINGS - 1 : LOW_READINGS
      end

      # @return [Float] mm at the finger that the fitted circuit travels at a force
      def travel_mm(force_n)
        @curve.travel_mm(force_n)
      end

      # @return [Array<Float>] v0, C, V_air
      def coefficients
        [dead_volume_ml, stiffness_ml_mpa, air_ml]
      end

      # @return [Float] mm of travel that a volume of air costs at a pressure
      def air_cost_mm(pressure_mpa, air_ml)
        circuit.travel_of_volume_mm(Hydraulics::VolumeBudget.air_taken_ml(air_ml, pressure_mpa))
      end

      # @return [Float] times the standard error that 95 % lies within
      def trust
        Student.quantile(degrees)
      end

      # @param force_n [Float]
      # @return [Float, nil] mL, standard error of the air were one more reading taken; what it is now, where readings
      #   of no lever at all leave nothing to work it out from
      def air_error_with(force_n)
        @free.inverse ? OneMore.new(@weighed, @free).air_error_ml(force_n) : air_error_ml
      end

      private

      # Nothing below zero.
      def show
        rows = @weighed.pressures_mpa.map { |pressure| Curve.row(pressure) }
        roots = @weighed.weights.map { |weight| Math.sqrt(weight) }
        scaled = rows.zip(roots).map { |row, root| row.map { |each| each * root } }
        volumes = @weighed.volumes_ml.zip(roots).map { |volume, root| volume * root }
        @dead_volume_ml, @stiffness_ml_mpa, @air_ml = LeastSquares.non_negative(scaled, volumes)
        @curve = Curve.new(circuit, coefficients)
        @residuals_mm = LeastSquares.residuals(rows, @weighed.volumes_ml, coefficients)
          .map { |each| each * @weighed.mm_per_ml }.freeze
      end

      # What 95 % lies within. The give of seals and pads looks like air. It is as likely to be none as to be the most
      # that is usual, so that the middle is lower by half of that, and the error is wider by its spread.
      def bound
        @covariance = @free.covariance
        give = @free.give_seen[2]
        @air_error_ml = Math.sqrt(@covariance[2, 2] + Even.error(give)**2)
        middle = free[2] - give / 2
        @low_ml, @high_ml = middle - trust * air_error_ml, middle + trust * air_error_ml
      end
    end
  end
end
