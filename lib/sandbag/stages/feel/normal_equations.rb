# frozen_string_literal: true

module Sandbag
  module Feel
    # The normal equations of least squares, N x = r, with N symmetric and positive: scaled to ones on its diagonal, so
    # that columns in other units weigh the same, and parted by Cholesky into L Lᵀ. Written out here because the systems
    # are small, of three to five columns, and solved by the hundred: every time a hold may settle in is one.
    class NormalEquations
      # Columns this nearly dependent cannot be told apart: the determinant of N, scaled.
      SINGULAR = 1e-12

      # @param rows [Array<Array<Float>>] of the design matrix, one for each reading; weights [Array<Float>] of each
      # @return [Array<Array<Float>>] XᵀWX
      def self.normal(rows, weights = nil)
        heavy = weights ? rows.zip(weights).map { |row, weight| row.map { |each| weight * each } } : rows
        columns = rows.transpose
        heavy.transpose.map { |one| columns.map { |other| one.zip(other).sum { |a, b| a * b } } }
      end

      # @param values [Array<Float>] one for each reading
      # @return [Array<Float>] XᵀWv
      def self.right(rows, values, weights = nil)
        heavy = weights ? values.zip(weights).map { |value, weight| value * weight } : values
        rows.transpose.map { |column| column.zip(heavy).sum { |a, b| a * b } }
      end

      # @param rows [Array<Array<Float>>] of N
      def initialize(rows)
        @rows = rows
        @scale = rows.each_index.map { |index| 1 / Math.sqrt(rows[index][index]) }
        @lower = parted
        freeze
      end

      # The columns cannot be told apart.
      def singular?
        @lower.nil?
      end

      # @param right [Array<Float>]
      # @return [Array<Float>] x
      def solve(right)
        size = right.size
        found = right.each_with_index.map { |each, index| each * @scale[index] }
        size.times do |row|
          row.times { |column| found[row] -= @lower[row][column] * found[column] }
          found[row] /= @lower[row][row]
        end
        (size - 1).downto(0) do |row|
          (row + 1).upto(size - 1) { |column| found[row] -= @lower[column][row] * found[column] }
          found[row] /= @lower[row][row]
        end
        found.each_with_index.map { |each, index| each * @scale[index] }
      end

      # @return [Array<Array<Float>>] N⁻¹
      def inverse
        @rows.each_index.map { |one| solve(@rows.each_index.map { |other| (one == other) ? 1.0 : 0.0 }) }
      end

      private

      # @return [Array<Array<Float>>, nil] L; nil where the determinant comes to nothing
      def parted
        lower = @rows.map { |row| [0.0] * row.size }
        determinant = @rows.each_index.reduce(1.0) do |product, row|
          row.times { |column| lower[row][column] = left(lower, row, column) / lower[column][column] }
          pivot = left(lower, row, row)
          break 0.0 unless product * pivot >= SINGULAR
          lower[row][row] = Math.sqrt(pivot)
          product * pivot
        end
        lower if determinant.positive?
      end

      # What the columns before have not taken.
      def left(lower, row, column)
        left = @rows[row][column] * @scale[row] * @scale[column]
        column.times { |before| left -= lower[row][before] * lower[column][before] }
        left
      end
    end
  end
end
