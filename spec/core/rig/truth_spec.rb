# frozen_string_literal: true

require "date"

RSpec.describe Sandbag::Rig do
  let(:rig) do
    Sandbag::Rig::Circuit.new(
      changed(clutch_plain, "fluid", changed_on: "2024-03-14", stamped: "dot4"),
      today: Date.new(2026, 3, 14),
      seed: "scree"
    )
  end

  it "holds a truth that fits the age: half to one and a half of the estimate" do
    for_all(number: 0.0..9999.0) do |number:|
      water =
        Sandbag::Rig::Circuit.new(
          changed(clutch_plain, "fluid", changed_on: "2024-03-14"),
          today: Date.new(2026, 3, 14),
          seed: number.to_s
        ).water_percent
      expect(water).to be_between(0.79, 2.41)
    end
  end

  it "reads the same for the same seed, and scatters about the truth for others" do
    read = ->(seed) { Sandbag::Rig::Instrument.new("moisture_pen", seed: seed).read(rig.water_percent)[:value] }
    expect(read["a"]).to eq read["a"]
    readings = Array.new(200) { |turn| read["turn #{turn}"] }
    expect(readings.uniq.size).to be > 3
    expect(readings.sum / readings.size).to be_within(0.05).of(rig.water_percent)
  end

  it "has no stand-in for what nobody makes" do
    expect { Sandbag::Rig::Instrument.new("crystal_ball", seed: "a") }.to raise_error(Sandbag::Refusal, /no stand-in/)
  end
end
