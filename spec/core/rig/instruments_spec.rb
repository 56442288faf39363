# frozen_string_literal: true

require "date"

RSpec.describe Sandbag::Rig::Circuit do
  let(:sheet_14) { sheet(twin_disc_plain).change("master", "bore", 14, "part_marking") }

  def rig(seed, on: sheet_14)
    described_class.new(on, today: Date.new(2026, 3, 14), seed: seed)
  end

  def read(rig, instrument, place, turn = 0)
    Sandbag::Rig::Instrument.new(instrument, seed: "#{place}/#{turn}").read(rig.truth(instrument, place))
  end

  it "wears most in the middle and more across than along, and no bore is smaller than new" do
    for_all(number: 0.0..999.0) do |number:|
      worn = rig(number.to_s)
      along, across =
        %w[a b].map { |direction| (1..3).map { |level| worn.truth("bore_gauge", "bore.#{level}.#{direction}") } }
      expect(along.max).to eq along[1]
      expect(across.zip(along)).to all(satisfy { |wide, narrow| wide >= narrow })
      expect(along.min).to be >= 14.0
    end
  end

  it "has a piston no larger than a new one" do
    for_all(number: 0.0..999.0) { |number:| expect(rig(number.to_s).truth("micrometer", "piston.1.a")).to be <= 13.984 }
  end

  it "has circuits that pass, circuits that do not, and circuits at the limit" do
    verdicts =
      Array.new(60) do |number|
        worst = rig("machine #{number}").truth("bore_gauge", "bore.2.b")
        Sandbag::Measure::Judgement.new(
          "bore",
          "Largest bore",
          worst,
          14.055,
          0.005,
          most: true,
          source: "default"
        ).verdict
      end
    expect(verdicts.tally.keys).to match_array %w[reuse too_close renew]
  end

  it "runs with the very truth that its pen and its gauge read" do
    found = rig("a")
    expect(found.running.water_percent).to be_within(1e-9).of(found.truth("moisture_pen", nil))
    expect(found.running.air_ml).to be_between(0, Sandbag::Rig::Circuit::AIR_ML)
    expect(found.running.frame).to eq rig("a").running.frame
    expect(rig("b").running.air_ml).not_to eq found.running.air_ml
  end

  it "reads to the step of its display and claims no more than it can" do
    expect(read(rig("a"), "bore_gauge", "bore.1.a")).to match(
      value: be_between(14, 14.1),
      unit: "mm",
      uncertainty: 0.005,
      instrument: "bore gauge",
      simulated: true
    )
    steps = Array.new(50) { |turn| read(rig("a"), "caliper", "bore.1.a", turn)[:value] * 100 }
    expect(steps).to all(satisfy { |hundredths| (hundredths - hundredths.round).abs < 1e-6 })
  end

  it "scatters about the truth within what it claims" do
    truth = rig("a").truth("bore_gauge", "bore.2.a")
    readings = Array.new(200) { |turn| read(rig("a"), "bore_gauge", "bore.2.a", turn)[:value] }
    expect(readings.count { |value| (value - truth).abs <= 0.005 }).to be > 190
    expect(readings.sum / readings.size).to be_within(0.0005).of(truth)
  end

  it "refuses a place where no gauge is held" do
    expect { rig("a").truth("bore_gauge", "bore.9.z") }.to raise_error(Sandbag::Refusal, /not held to/)
    expect { rig("a").truth("bore_gauge", nil) }.to raise_error(Sandbag::Refusal, /not held to/)
  end

  it "takes a circuit nobody has dated for an old one" do
    undated = described_class.new(sheet(clutch_plain), today: Date.new(2026, 3, 14), seed: "x")
    expect(undated.water_percent).to be > 1.0
  end
end
