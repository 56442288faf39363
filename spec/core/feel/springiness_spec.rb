# frozen_string_literal: true

# docs/physics.md 7: what the travel between a light and a firm pull says of air.
RSpec.describe Sandbag::Feel::Springiness do
  # Travel as the circuit itself has it, with so much air.
  def of(air_ml, error_mm: 0.1)
    circuit = twin_disc
    light, firm = [described_class.light_n(circuit), circuit.kind.firm_n].map do |force_n|
      circuit.travel_mm(circuit.pressure_mpa(force_n), air_ml: air_ml)
    end
    described_class.new(circuit, light_mm: light, firm_mm: firm, error_mm: error_mm, reference_mpa: 2.5)
  end

  it "cannot tell a little air from none, and is springy with much" do
    expect([0.0, 0.1, 4.0].map { |air_ml| of(air_ml).id }).to eq %w[cant_tell cant_tell springy]
  end

  it "is clear of air where the lever hardly moves between the two pulls" do
    hard = described_class.new(twin_disc, light_mm: 16.0, firm_mm: 16.5, error_mm: 0.1, reference_mpa: 2.5)
    expect(hard.id).to eq "clear"
    expect(hard.cost_interval_mm.last).to be < Sandbag::Feel::Verdict::PASS_MM
  end

  it "has the air that there is within what it says" do
    [0.0, 0.5, 2.0].each do |air_ml|
      low, high = of(air_ml).interval_ml
      expect(air_ml).to be_between(low - 1e-6, high + 1e-6)
    end
  end
end

RSpec.describe Sandbag::Feel::Reading do
  it "is read to what its ruler or gauge shows, and its force to a share" do
    errors = lambda do |**read|
      reading = described_class.new(force_n: 100.0, **read)
      [reading.travel_error_mm, reading.force_error_n]
    end
    expect(errors.call).to eq [0.15, 1.5]
    expect(errors.call(gauge: true)).to eq [0.05, 1.5]
    expect(errors.call(gauge: true, step_mm: 5)).to eq [0.05, 1.5]
    expect(errors.call(hung: true)).to eq [0.15, 2.0]
    expect(errors.call(step_mm: 1).first).to be_within(1e-9).of(1 / Math.sqrt(12))
  end
end
