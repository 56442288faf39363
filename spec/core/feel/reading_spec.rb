# frozen_string_literal: true

RSpec.describe Sandbag::Feel::Reading do
  def reading(**more)
    described_class.new(force_n: 100.0, travel_mm: 12.0, **more)
  end

  it "is known to 0.15 mm by a ruler, to 0.05 by a gauge, and to its step over √12 where that is coarser" do
    expect(reading.travel_error_mm).to eq 0.15
    expect(reading(gauge: true).travel_error_mm).to eq 0.05
    expect(reading(gauge: true, step_mm: 1.0).travel_error_mm).to eq 0.05
    expect(reading(step_mm: 0.5).travel_error_mm).to eq 0.15
    expect(reading(step_mm: 1.0).travel_error_mm).to be_within(1e-4).of(0.2887)
  end

  it "is known to 1.5 % of a force that is read, and to 2 % of one that hangs" do
    expect(reading.force_error_n).to be_within(1e-9).of(1.5)
    expect(reading(hung: true).force_error_n).to be_within(1e-9).of(2.0)
  end

  it "has a known error where the step of the ruler was said, and no gauge read it" do
    expect([reading, reading(step_mm: 0.5), reading(step_mm: 0.5, gauge: true)].map(&:known_error?))
      .to eq [false, true, false]
  end
end
