# frozen_string_literal: true

module Sandbag
  module Feel
    # A steady pull read over time: settling, which stops, told from sinking, which does not (docs/physics.md 7):
    #
    #   x(t) = a + b (1 − e^(−t/τ)) + c t
    #
    # For each τ of a grid the other three are least squares, none of b and c below zero; the τ that leaves least is
    # taken. c is the rate of sinking, mm/s at the finger. Its interval is profiled over τ: it holds whatever c any
    # settling time allows that the readings bear.
    class HoldSeries
      # Settling times tried, s: hose and seals are done in a minute.
      TIMES_S = (0..24).map { |step| 2.0 * (30.0**(step / 24.0)) }.freeze
      # Faster than this is sinking, mm/s. docs/physics.md 7
      LIMIT_MM_S = 0.02
      # A ruler on a lever reads to this, mm. [default]
      READ_TO_MM = 0.15
      LEAST = 4
      # A shorter pull, or readings closer together, cannot tell settling from sinking. [default]
      LEAST_S = 20.0
      APART_S = 0.5
      PARAMETERS = 4
      MINUTE_S = 60.0

      attr_reader :rate_mm_s, :error_mm_s, :settled_mm, :settles_s

      # @param times_s, travels_mm [Array<Float>] read one after the other
      # Refuses fewer than four readings, as many of the one as not of the other, times that do not rise or stand closer
      # together than half a second, and less than 20 s.
      def initialize(times_s, travels_mm)
        HoldSeries.check(times_s, travels_mm)
        @times = times_s.map { |time| time - times_s.first }
        @travels = travels_mm
        solve
        freeze
      end

      # @param entry [Job::Entry] hold_series
      def self.of(entry)
        new(*entry.data.values_at("times", "travels"))
      end

      def self.check(times_s, travels_mm)
        unless times_s.size == travels_mm.size
          raise Refusal.at("travels", "#{travels_mm.size} travels for #{times_s.size} times", "one for each")
        end
        raise Refusal.at("times", "too few to tell settling from sinking", "#{LEAST} or more") if times_s.size < LEAST
        unless times_s.each_cons(2).all? { |one, next_one| next_one - one >= APART_S }
          raise Refusal.at("times", "time goes back, or stands still", "each #{APART_S} s or more after the one before")
        end
        return if times_s.last - times_s.first >= LEAST_S
        raise Refusal.at("times", "too short a pull to tell settling from sinking", "#{LEAST_S.round} s or more")
      end

      # @return [Float] mm from the first reading to a minute after it, as fitted
      def creep_mm
        settled_mm * (1 - Math.exp(-HoldCheck::SECONDS / settles_s)) + rate_mm_s * HoldCheck::SECONDS
      end

      # @return [Array<Float>] mm/s, what 95 % lies within
      attr_reader :interval_mm_s

      # @return [String] holds, sinks, or cant_tell: the interval does not clear the limit
      def id
        low, high = interval_mm_s
        return "sinks" if low > LIMIT_MM_S || creep_mm > HoldCheck::CREEP_LIMIT_MM
        (high < LIMIT_MM_S) ? "holds" : "cant_tell"
      end

      # @param circuit [Hydraulics::Circuit]
      # @return [Float] mL/min that go past a seal or out
      def leak_ml_min(circuit)
        rate_mm_s * MINUTE_S / circuit.travel_of_volume_mm(1.0)
      end

      private

      def solve
        fits = TIMES_S.map { |time| fit(time) }
        best = fits.min_by { |found| found[:left] }
        _, @settled_mm, @rate_mm_s = best[:coefficients]
        @settles_s = best[:time]
        @error_mm_s = error(best, best)
        @interval_mm_s = profile(fits, best).freeze
      end

      # For each settling time, as much of c as the readings bear at 95 %.
      def profile(fits, best)
        most = quantile(best)**2 * variance(best)
        borne = fits.select { |found| found[:left] - best[:left] <= most }
        bounds = borne.flat_map do |found|
          half = error(found, best) * Math.sqrt((most - (found[:left] - best[:left])) / variance(best))
          [found[:coefficients][2] - half, found[:coefficients][2] + half]
        end
        [[bounds.min, 0.0].max, bounds.max]
      end

      def fit(time)
        rows = @times.map { |at| [1.0, 1 - Math.exp(-at / time), at] }
        coefficients = LeastSquares.non_negative(rows, @travels)
        left = LeastSquares.residuals(rows, @travels, coefficients).sum { |each| each**2 }
        {time: time, rows: rows, coefficients: coefficients, left: left}
      end

      # Standard error of c at one settling time. Where nothing settled, b cannot give way to more of c.
      def error(found, best)
        rows = found[:coefficients][1].zero? ? found[:rows].map { |one, _, at| [one, at] } : found[:rows]
        covariance = LeastSquares.covariance(rows)
        covariance ? Math.sqrt(variance(best) * covariance[rows.first.size - 1, rows.first.size - 1]) : Float::INFINITY
      end

      # By what the readings scatter, and no less than a ruler can be read.
      def variance(best)
        [scatter(best), RULER].max
      end

      # What scatters no more than the ruler that is known is as sure as the ruler.
      def quantile(best)
        (scatter(best) > RULER) ? Student.quantile(degrees) : Student::NORMAL
      end
      RULER = (READ_TO_MM / 2)**2

      def scatter(best)
        best[:left] / degrees
      end

      def degrees
        [@times.size - PARAMETERS, 1].max
      end
    end
  end
end
