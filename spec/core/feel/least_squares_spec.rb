# frozen_string_literal: true

RSpec.describe Sandbag::Feel::LeastSquares do
  # Columns 1, x, x² at five places: an invented domain, so that the solver is tested apart from levers.
  def design(places = [0.0, 1.0, 2.0, 3.0, 4.0])
    places.map { |x| [1.0, x, x**2] }
  end

  def values(a, b, c, places = [0.0, 1.0, 2.0, 3.0, 4.0])
    places.map { |x| a + b * x + c * x**2 }
  end

  it "finds the coefficients of exact values" do
    expect(
      described_class
        .non_negative(design, values(2, 3, 0.5))
        .zip([2, 3, 0.5])
        .map { |found, given| (found - given).abs }
        .max
    ).to be < 1e-9
  end

  it "puts a coefficient that would be negative at zero, not near it" do
    found = described_class.non_negative(design, values(2, 3, -0.4))
    expect(found[2]).to eq 0.0
    expect(found).to all(be >= 0)
  end

  it "answers all zero when nothing positive helps" do
    expect(described_class.non_negative(design, [-1.0, -2.0, -3.0, -4.0, -5.0])).to eq [0.0, 0.0, 0.0]
  end

  it "gives back any non-negative coefficients, zeros among them" do
    for_all(a: 0.0..5.0, b: 0.0..5.0, c: 0.0..5.0) do |a:, b:, c:|
      [[a, b, c], [0.0, b, c], [a, 0.0, c], [a, b, 0.0], [0.0, 0.0, c]].each do |given|
        found = described_class.non_negative(design, values(*given))
        found.zip(given) { |each, wanted| expect(each).to be_within(1e-7).of(wanted) }
      end
    end
  end

  it "keeps the scale of the columns out of the answer" do
    scaled = design.map { |one, x, square| [one, x * 1e6, square * 1e-6] }
    found = described_class.non_negative(scaled, values(2, 3, 0.5))
    expect(found[1]).to be_within(1e-12).of(3e-6)
    expect(found[2]).to be_within(1e-1).of(0.5e6)
  end

  it "has no covariance for columns that are the same thing twice" do
    expect(described_class.covariance([[1.0, 2.0], [1.0, 2.0], [1.0, 2.0]])).to be_nil
    expect(described_class.covariance(design)).not_to be_nil
  end

  it "has the covariance of a mean: one over the number of readings" do
    expect(described_class.covariance(Array.new(8) { [1.0] })[0, 0]).to be_within(1e-15).of(1.0 / 8)
  end
end
