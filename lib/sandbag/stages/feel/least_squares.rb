# frozen_string_literal: true

require "matrix"

module Sandbag
  module Feel
    # Linear least squares with every coefficient at zero or above, for the few columns a lever reading has.
    module LeastSquares
      # The non-negative solution that leaves the least residual. Where the free solution has nothing below zero it is
      # that one. Else, with n columns, the 2ⁿ sets of columns that may be positive are tried in turn: exact, and
      # certain to end, where n is small.
      # @param rows [Array<Array<Float>>] one row of the design matrix for each reading
      # @param values [Array<Float>] what was read
      # @return [Array<Float>] coefficients, each ≥ 0
      def self.non_negative(rows, values)
        columns = (0...rows.first.size).to_a
        free = candidate(rows, values, columns)
        return free if free
        (0..columns.size).flat_map { |size| columns.combination(size).to_a }
          .filter_map { |active| candidate(rows, values, active) }
          .min_by { |coefficients| residuals(rows, values, coefficients).sum { |each| each**2 } }
      end

      # The solution with nothing held.
      # @return [Array<Float>, nil] coefficients; nil when the rows cannot tell the columns apart
      def self.free(rows, values)
        equations = NormalEquations.new(NormalEquations.normal(rows))
        equations.solve(NormalEquations.right(rows, values)) unless equations.singular?
      end

      # @return [Array<Float>] read minus fitted
      def self.residuals(rows, values, coefficients)
        rows.zip(values).map { |row, value| value - row.zip(coefficients).sum { |a, b| a * b } }
      end

      # Covariance of the coefficients per unit variance of a reading, (XᵀX)⁻¹, all columns free.
      # @return [Matrix, nil] nil when the rows cannot tell the columns apart
      def self.covariance(rows)
        equations = NormalEquations.new(NormalEquations.normal(rows))
        Matrix.rows(equations.inverse, false) unless equations.singular?
      end

      def self.candidate(rows, values, active)
        coefficients = Array.new(rows.first.size, 0.0)
        return coefficients if active.empty?
        solved = free(rows.map { |row| row.values_at(*active) }, values)
        return if solved.nil? || solved.any?(&:negative?)
        active.zip(solved) { |index, value| coefficients[index] = value }
        coefficients
      end
      private_class_method :candidate
    end
  end
end
