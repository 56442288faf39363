# frozen_string_literal: true

require "matrix"

RSpec.describe Sandbag::Feel::NormalEquations do
  # Readings of a line with an offset and a bend, in units far apart.
  def design(shift)
    [0.2, 0.5, 1.1, 1.9, 3.0, 4.7].map { |at| [1.0, 1000 * at, (at + shift) / (at + 0.1)] }
  end

  def equations(rows, weights = nil)
    described_class.new(described_class.normal(rows, weights))
  end

  it "sums each pair of columns over the readings, by their weights" do
    rows = [[1.0, 2.0], [3.0, 4.0]]
    expect(described_class.normal(rows)).to eq [[10.0, 14.0], [14.0, 20.0]]
    expect(described_class.normal(rows, [2.0, 0.5])).to eq [[6.5, 10.0], [10.0, 16.0]]
    expect(described_class.normal(rows, [1.0, 1.0])).to eq described_class.normal(rows)
  end

  it "sums each column with what was read, by their weights" do
    rows = [[1.0, 2.0], [3.0, 4.0]]
    expect(described_class.right(rows, [5.0, 7.0])).to eq [26.0, 38.0]
    expect(described_class.right(rows, [5.0, 7.0], [2.0, 0.5])).to eq [20.5, 34.0]
  end

  it "finds what its right side was made of" do
    for_all(shift: 0.3..2.0, a: -5.0..5.0, b: -0.01..0.01, c: -3.0..3.0) do |shift:, a:, b:, c:|
      normal = described_class.normal(design(shift))
      right = normal.map { |row| row.zip([a, b, c]).sum { |one, other| one * other } }
      described_class.new(normal).solve(right).zip([a, b, c]) do |found, meant|
        expect(found).to be_within(1e-8 * [meant.abs, 1.0].max).of(meant)
      end
    end
  end

  it "has the inverse that the library has" do
    for_all(shift: 0.3..2.0, heavy: 0.1..50.0) do |shift:, heavy:|
      weights = [heavy, 1.0, 1.0, 2.0, 1.0, heavy]
      normal = described_class.normal(design(shift), weights)
      library = Matrix.rows(normal).inverse.to_a
      described_class.new(normal).inverse.flatten.zip(library.flatten) do |own, other|
        expect(own).to be_within(1e-6 * other.abs).of(other)
      end
    end
  end

  it "is singular where a column is nothing, another's multiple, or no number" do
    expect(equations([[1.0, 0.0], [1.0, 0.0]])).to be_singular
    expect(equations([[1.0, 3.0], [2.0, 6.0], [3.0, 9.0]])).to be_singular
    expect(equations([[1.0, Float::INFINITY], [1.0, 2.0]])).to be_singular
    expect(equations([[1.0, Float::NAN], [1.0, 2.0]])).to be_singular
    expect(equations([[1.0, 3.0], [2.0, 6.0], [3.0, 9.1]])).not_to be_singular
  end

  it "does not mind units: columns a million times as large are as well told apart" do
    rows = design(1.0)
    large = rows.map { |one, two, three| [one, 1e6 * two, three] }
    expect(equations(large)).not_to be_singular
    expect(equations(large).inverse[1][1]).to be_within(1e-9).of(equations(rows).inverse[1][1] / 1e12)
  end
end
