# frozen_string_literal: true

require "matrix"

module Sandbag
  module Feel
    # Dead volume, stiffness and air let fall below zero, with what may be off beside them, each held by its own error
    # (docs/physics.md 7): weighted least squares in a few steps to the pressures as the readings would have them.
    # Readings of no lever at all lead nowhere: nothing can be told of them, and there is no inverse.
    class FreeFit
      # Steps at most; they settle in two.
      STEPS = 3
      # What is known of a ruler's error is worth so many readings that would tell it. [estimate]
      KNOWN_DEGREES = 20
      # A step under this share of every number's standard error changes nothing.
      SETTLED = 1e-6

      # @attr numbers [Array<Float>] v0, C, V_air, then what may be off; inverse [Matrix, nil] of the normal matrix;
      #   degrees [Integer] of freedom; scale [Float] how far the readings scatter against what their errors say;
      #   give_seen [Vector, nil] how much of each number the most give of seals and pads would look like
      attr_reader :numbers, :inverse, :degrees, :scale, :give_seen

      # @param weighed [WeighedReadings]
      # @param from [Array<Float>] v0, C, V_air to begin with
      # @param doubt [Doubt]; baseline [Baseline, nil]
      def initialize(weighed, from, doubt:, baseline: nil)
        @weighed = weighed
        @doubt = doubt
        @baseline = baseline
        @known_degrees = weighed.readings.all?(&:known_error?) ? KNOWN_DEGREES : 0
        @degrees = weighed.size - LeverFit::PARAMETERS + @known_degrees + (baseline ? baseline.degrees + 2 : 0)
        @numbers = from + [0.0] * doubt.errors.size
        @known = known
        @known_at = (baseline ? baseline.coefficients : [0.0, 0.0]) + [0.0] * (@numbers.size - 2)
        STEPS.times { step or break }
        @scale, @give_seen = spread, give_as_seen if inverse
        freeze
      end

      # @return [Matrix, nil] of v0, C and V_air
      def covariance
        inverse && scale * inverse.minor(0, LeverFit::PARAMETERS, 0, LeverFit::PARAMETERS)
      end

      # @return [Float] mL, the most that seals and pads may give at a pull
      def give_ml(force_n)
        @doubt.give_ml(@weighed.circuit.pressure_mpa(force_n))
      end

      # @return [Array<Float>] what a small change of each number moves the volume by
      def row(force_n, curve = self.curve)
        pressure = pressure_mpa(force_n)
        slope = curve.slope_ml_mpa(pressure)
        Curve.row(pressure) + @doubt.slopes(force_n).map { |each| slope * each }
      end

      private

      # @return [Array<Float>, nil] nil when there is no next step, or none is wanted
      def step
        now = curve
        @rows = @weighed.forces_n.map { |force| row(force, now) }
        equations = NormalEquations.new(normal)
        return @inverse = nil if equations.singular?
        @inverse = Matrix.rows(equations.inverse, false)
        pull = NormalEquations.right(@rows, residuals, @weighed.weights).zip(held_back).map { |read, back| read - back }
        further = equations.solve(pull)
        @numbers = @numbers.zip(further).map(&:sum)
        settled?(further) ? nil : @numbers
      end

      def settled?(further)
        further.each_with_index.all? { |each, index| each**2 <= SETTLED**2 * @inverse[index, index] }
      end

      # Of the readings by their weights, and of what was known before.
      def normal
        NormalEquations.normal(@rows, @weighed.weights).zip(@known).map { |read, known| read.zip(known).map(&:sum) }
      end

      def give_as_seen
        give = @weighed.forces_n.map { |force| give_ml(force) }
        inverse * Vector.elements(NormalEquations.right(@rows, give, @weighed.weights))
      end

      # What is known before any reading, as a share of the normal matrix: what may be off by its own error, and dead
      # volume and stiffness by the baseline.
      def known
        known = Array.new(@numbers.size) { [0.0] * @numbers.size }
        @doubt.errors.each.with_index(LeverFit::PARAMETERS) { |error, place| known[place][place] = 1 / error**2 }
        block = @baseline&.covariance&.inverse
        block&.each_with_index { |each, row, column| known[row][column] = each }
        known
      end

      # How far each number is from where it was known to be.
      def apart
        @numbers.zip(@known_at).map { |now, before| now - before }
      end

      # How hard each is drawn back there.
      def held_back
        apart = self.apart
        @known.map { |row| row.zip(apart).sum { |weight, off| weight * off } }
      end

      def curve
        Curve.new(@weighed.circuit, @numbers.first(LeverFit::PARAMETERS))
      end

      # As it is with what may be off.
      def pressure_mpa(force_n)
        off = @doubt.slopes(force_n).zip(@numbers.drop(LeverFit::PARAMETERS)).sum { |slope, share| slope * share }
        [@weighed.circuit.pressure_mpa(force_n) + off, 0.0].max
      end

      def residuals
        now = curve
        @weighed.forces_n.zip(@weighed.volumes_ml).map { |force, volume| volume - now.volume_ml(pressure_mpa(force)) }
      end

      # 1 when the readings scatter as their errors say.
      def spread
        scattered = residuals.zip(@weighed.weights).sum { |off, weight| weight * off**2 }
        scattered += apart.zip(held_back).sum { |off, back| off * back }
        scattered += @baseline.degrees * @baseline.scale if @baseline
        scattered += @known_degrees
        scattered / degrees
      end
    end
  end
end
