# frozen_string_literal: true

# docs/physics.md 7: what the way from a light pull to a firm one says of air, with a hand's doubt.
RSpec.describe Sandbag::Feel::Springiness do
  let(:circuit) { Sandbag::Circuit::Assembly.build(sheet(twin_disc_plain)) }
  let(:light) { described_class.light_n(circuit) }

  # As the circuit goes with so much air in it.
  def read(air, error: 0.15)
    light, firm = [described_class.light_n(circuit), circuit.kind.firm_n].map do |force|
      circuit.travel_mm(circuit.pressure_mpa(force), air_ml: air)
    end
    described_class.new(circuit, light_mm: light, firm_mm: firm, error_mm: error, reference_mpa: 2.5)
  end

  it "reads the air of a circuit that is as its record says, inside what it is sure of" do
    [0.0, 0.5, 1.0, 3.0].each do |air|
      low, high = read(air).interval_ml
      expect(air).to be_between(low, high)
    end
  end

  it "is sure of less than a hand knows: more air, a wider answer; a finer ruler, a narrower one" do
    widths = [0.15, 0.5, 1.5].map { |error| read(0.5, error: error).interval_ml.then { |low, high| high - low } }
    expect(widths).to eq widths.sort
    expect(widths.uniq.size).to eq 3
  end

  it "can't tell a good lever by hand, and says what would" do
    expect(read(0.0).id).to eq "cant_tell"
    expect(Sandbag::Said.plain(read(0.0).to_h[:why])).to include("By hand it cannot be told closer", "bottles")
  end

  it "says of much air that it is there" do
    expect(read(8.0).id).to eq "springy"
  end

  it "is clear of air where the lever hardly moves between the two pulls" do
    hard = described_class.new(circuit, light_mm: 16.0, firm_mm: 16.5, error_mm: 0.1, reference_mpa: 2.5)
    expect(hard.id).to eq "clear"
    expect(hard.cost_interval_mm.last).to be < Sandbag::Feel::Verdict::PASS_MM
  end

  it "moves with force and stiffness by hand: the light pull 40 % firmer, by the formula" do
    pressures = [light, circuit.kind.firm_n].map { |force| circuit.pressure_mpa(force) }
    taken = pressures.map { |pressure| pressure / (pressure + 0.101325) }
    travel = 10.0
    volume = travel / circuit.travel_of_volume_mm(1.0)
    by_hand = (volume - circuit.budget.stiffness_ml_mpa * (pressures[1] - pressures[0])) / (taken[1] - taken[0])
    found = described_class.new(circuit, light_mm: 10.0, firm_mm: 20.0, error_mm: 0.15, reference_mpa: 2.5)
    low, high = found.interval_ml
    expect(by_hand).to be_between(low, high)
    expect(high - by_hand).to be > 0.3 * by_hand
  end
end
