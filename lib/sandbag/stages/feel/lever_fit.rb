# frozen_string_literal: true

require "matrix"

module Sandbag
  module Feel
    # Dead volume, stiffness and trapped air from readings at the finger (docs/physics.md 7), each reading weighted by
    # its error, with what cannot be seen carried as doubt. Shown are the three numbers at zero or above; the interval
    # is of the air as it would come out were it let fall below zero, since an estimate that is cut off at zero says
    # less than it knows.
    class LeverFit
      PARAMETERS = 3
      # Below this pressure air and dead volume part; without enough readings there the air cannot be told.
      LOW_MPA = 0.5
      LOW_READINGS = 3
      # Steps to the pressures as the readings would have them, at most; they settle in two.
      STEPS = 3
      # A step under this share of every number's standard error changes nothing.
      SETTLED = 1e-6

      # air_error_ml: standard error of the air; low_ml, high_ml: what 95 % lies within; degrees: of freedom
      # @attr outliers [Array<Reading>] readings to look at again; never dropped here
      attr_reader :circuit, :readings, :dead_volume_ml, :stiffness_ml_mpa, :air_ml, :air_error_ml, :low_ml, :high_ml,
        :degrees, :residuals_mm, :outliers, :covariance, :free, :scale

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
        @doubt = doubt
        @readings = readings.select { |reading| circuit.pressure_mpa(reading.force_n).positive? }.freeze
        @pressures = @readings.map { |reading| circuit.pressure_mpa(reading.force_n) }.freeze
        @plain = PlainFit.new(circuit, @readings)
        @mm_per_ml = circuit.travel_of_volume_mm(1.0)
        @volumes_ml = @readings.map { |reading| reading.travel_mm / @mm_per_ml }.freeze
        @weights = weights
        @baseline = baseline
        solve
        freeze
      end

      # Readings that overcome the return spring but stay under LOW_MPA.
      def low_readings
        pressures.count { |pressure| pressure < LOW_MPA }
      end

      # @return [Hash] what a later lever is held against, see Baseline
      def to_h
        return {} unless covariance
        {
          dead_volume_ml: free[0], stiffness_ml_mpa: free[1], air_ml: air_ml, air_error_ml: air_error_ml,
          covariance: covariance.to_a, scale: scale, degrees: degrees, mm_per_ml: @mm_per_ml,
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

      # The standard error of the air were one more reading taken, nothing else changed; what it is now, where readings
      # of no lever at all leave nothing to work it out from.
      # @param force_n [Float]
      # @return [Float] mL
      def air_error_with(force_n)
        return air_error_ml unless @inverse
        weight = weight_of(Reading.new(force_n: force_n, gauge: readings.all?(&:gauge)))
        row = Vector.elements(free_row(force_n))
        reach = @inverse * row
        variance = @inverse[2, 2] - weight * reach[2]**2 / (1 + weight * row.inner_product(reach))
        # readings that hardly tell the numbers apart leave it to rounding
        Math.sqrt(@scale * [variance, 0.0].max)
      end

      private

      attr_reader :pressures, :volumes_ml

      def weights
        readings.map { |reading| weight_of(reading) }
      end

      # 1 / (σx² + (dx/dF σF)²), in mL⁻²
      def weight_of(reading)
        slope = @plain.curve.slope_mm_n(reading.force_n)
        @mm_per_ml**2 / (reading.travel_error_mm**2 + (slope * reading.force_error_n)**2)
      end

      def solve
        shown
        free_fit
        return unless @inverse
        @scale = spread
        @covariance = @scale * @inverse.minor(0, PARAMETERS, 0, PARAMETERS)
        @air_error_ml = Math.sqrt(@covariance[2, 2])
        @low_ml = free[2] - trust * air_error_ml - give_seen_ml
        @high_ml = free[2] + trust * air_error_ml
      end

      # Nothing below zero.
      def shown
        rows = pressures.map { |pressure| Curve.row(pressure) }
        scaled = rows.zip(@weights).map { |row, weight| row.map { |each| each * Math.sqrt(weight) } }
        volumes = volumes_ml.zip(@weights).map { |volume, weight| volume * Math.sqrt(weight) }
        @dead_volume_ml, @stiffness_ml_mpa, @air_ml = LeastSquares.non_negative(scaled, volumes)
        @curve = Curve.new(circuit, coefficients)
        @residuals_mm = LeastSquares.residuals(rows, volumes_ml, coefficients).map { |each| each * @mm_per_ml }.freeze
        @outliers = @plain.outliers
      end

      # v0, C and V_air free, with what may be off beside them, each held by its own error. Readings of no lever at all
      # lead nowhere: nothing can be told of them, and there is no inverse.
      def free_fit
        @degrees = readings.size - PARAMETERS + (@baseline ? @baseline.degrees + 2 : 0)
        @free = coefficients + [0.0] * @doubt.errors.size
        @known = known
        @known_at = (@baseline ? @baseline.coefficients : [0.0, 0.0]) + [0.0] * (@free.size - 2)
        STEPS.times { step or break }
      end

      # @return [Array<Float>, nil] nil when there is no next step, or none is wanted
      def step
        curve = free_curve
        @rows = readings.map { |reading| free_row(reading.force_n, curve) }
        equations = NormalEquations.new(normal)
        return @inverse = nil if equations.singular?
        @inverse = Matrix.rows(equations.inverse, false)
        pull = NormalEquations.right(@rows, residuals, @weights).zip(held_back).map { |read, back| read - back }
        further = equations.solve(pull)
        @free = @free.zip(further).map(&:sum)
        settled?(further) ? nil : @free
      end

      def settled?(further)
        further.each_with_index.all? { |each, index| each**2 <= SETTLED**2 * @inverse[index, index] }
      end

      # Of the readings by their weights, and of what was known before.
      def normal
        NormalEquations.normal(@rows, @weights).zip(@known).map { |read, known| read.zip(known).map(&:sum) }
      end

      # What is known before any reading, as a share of the normal matrix: what may be off by its own error, and dead
      # volume and stiffness by the baseline.
      def known
        known = Array.new(@free.size) { [0.0] * @free.size }
        @doubt.errors.each.with_index(PARAMETERS) { |error, place| known[place][place] = 1 / error**2 }
        block = @baseline&.covariance&.inverse
        block&.each_with_index { |each, row, column| known[row][column] = each }
        known
      end

      # How far each number is from where it was known to be.
      def apart
        @free.zip(@known_at).map { |now, before| now - before }
      end

      # How hard each is drawn back there.
      def held_back
        apart = self.apart
        @known.map { |row| row.zip(apart).sum { |weight, off| weight * off } }
      end

      # @return [Array<Float>] what a small change of each number moves the volume by
      def free_row(force_n, curve = free_curve)
        pressure = free_pressure(force_n)
        slope = curve.slope_ml_mpa(pressure)
        Curve.row(pressure) + @doubt.slopes(force_n).map { |each| slope * each }
      end

      def free_curve
        Curve.new(circuit, @free.first(PARAMETERS))
      end

      # As it is with what may be off.
      def free_pressure(force_n)
        off = @doubt.slopes(force_n).zip(@free.drop(PARAMETERS)).sum { |slope, share| slope * share }
        [circuit.pressure_mpa(force_n) + off, 0.0].max
      end

      def residuals
        curve = free_curve
        readings.zip(volumes_ml).map { |reading, volume| volume - curve.volume_ml(free_pressure(reading.force_n)) }
      end

      # How far the readings scatter against what their errors say: 1 when they do as said.
      def spread
        scattered = residuals.zip(@weights).sum { |off, weight| weight * off**2 }
        scattered += apart.zip(held_back).sum { |off, back| off * back }
        scattered += @baseline.degrees * @baseline.scale if @baseline
        scattered / degrees
      end

      # Air that the give of seals and pads would look like.
      def give_seen_ml
        give = pressures.map { |pressure| @doubt.give_ml(pressure) }
        (@inverse * Vector.elements(NormalEquations.right(@rows, give, @weights)))[2]
      end
    end
  end
end
