# frozen_string_literal: true

require "date"

RSpec.describe Sandbag::Fluid::BoilingPoint do
  let(:dot4) { Sandbag::Tables.find("fluids", "dot4") }

  # docs/physics.md 5
  {0 => 230, 1 => 196.5, 2 => 175.1, 3 => 161.5, 3.7 => 155}.each do |water, boils|
    it("boils at #{boils} °C with #{water} % of water") do
      expect(described_class.c(dot4, water)).to be_within(0.05).of(boils)
    end
  end

  it "is drawn from dry to the most water that is ever estimated, by quarters of a percent" do
    curve = described_class.curve(dot4)
    expect(curve.map { |point| point[:water] }).to eq (0..24).map { |quarter| quarter / 4.0 }
    expect(curve.first[:boils_c]).to be_within(0.05).of(230)
  end

  it "only falls as water comes in" do
    for_all(water: 0.0..6.0, more: 0.01..1.0) do |water:, more:|
      expect(described_class.c(dot4, water + more)).to be < described_class.c(dot4, water)
    end
  end

  it "refuses less than no water" do
    expect { described_class.c(dot4, -0.1) }.to raise_error(Sandbag::Refusal)
  end
end

RSpec.describe Sandbag::Choose::FluidCheck do
  let(:today) { Date.new(2026, 3, 14) }

  def check(changed_on: "2024-03-14", kind: "braided", reading: nil, **fluid)
    now =
      sheet(clutch_plain).change("hose", "kind", kind, "measured").change(
        "fluid",
        "changed_on",
        changed_on,
        "service_info"
      )
    now =
      {stamped: "dot4", **fluid}.reduce(now) do |each, (name, value)|
        each.change("fluid", name.to_s, value, "measured")
      end
    described_class.new(now, today: today, tested: tested(now, reading))
  end

  def tested(now, reading)
    return unless reading
    fluid = Sandbag::Tables.find("fluids", now.value("fluid", "stamped"))
    Sandbag::Fluid::WaterTest.new(fluid, reading.is_a?(Hash) ? reading : {"water" => reading})
  end

  it "estimates water by age and hose, with a band of half either way" do
    # two years at 0.8, and 1.5 through rubber
    expect(check.water).to include(percent: be_within(0.01).of(1.6), low: be_within(0.01).of(0.8),
      high: be_within(0.01).of(2.4), source: "estimate")
    expect(check(kind: "rubber").water[:percent]).to be_within(0.01).of(3.0)
  end

  it "doubles in damp storage and stops at 6 %" do
    expect(check(storage: "damp").water[:percent]).to be_within(0.01).of(3.2)
    expect(
      check(kind: "rubber", storage: "damp", changed_on: "2018-01-01").water.values_at(:low, :percent, :high)
    ).to eq [3.0, 6.0, 9.0]
  end

  it "believes a reading over the estimate" do
    read = check(reading: 0.9)
    expect(read.water).to eq(percent: 0.9, low: 0.9, high: 0.9, source: "measured")
    expect(read.verdict["id"]).to eq "good"
  end

  {
    0.99 => "good",
    1.0 => "book",
    1.99 => "book",
    2.0 => "visit",
    2.99 => "visit",
    3.0 => "release"
  }.each do |water, verdict|
    it("calls #{water} % #{verdict}") { expect(check(reading: water).verdict["id"]).to eq verdict }
  end

  # DOT 4: wet limit 155 °C
  {206 => "good", 205 => "good", 204.9 => "book", 180 => "book", 179.9 => "visit", 155 => "visit",
   154.9 => "release"}.each do |celsius, verdict|
    it("calls a sample that boils at #{celsius} °C #{verdict}") do
      expect(check(reading: {"celsius" => celsius}).verdict["id"]).to eq verdict
    end
  end

  it "works the water out of a boiling point, by the curve of the class, and shows the temperature as it was read" do
    # physics 5: DOT 4 with 2 % boils at 175.1 °C
    boiled = check(reading: {"celsius" => 175.1})
    expect(boiled.water[:percent]).to be_within(0.01).of(2.0)
    expect(boiled.to_h).to include(by: "boil_tester", boils_c: 175.1)
    expect(check(reading: {"celsius" => 231}).water[:percent]).to eq 0
    expect(check(reading: {"celsius" => 100}).water[:percent]).to eq 6
  end

  it "warns of free water instead of a curve where the fluid takes none up" do
    mineral = check(stamped: "mineral").to_h
    expect(mineral).to include(takes_water: false, free_water: a_string_including("100 °C"))
    expect(mineral.keys & %i[curve boils_c water verdict]).to be_empty
  end

  it "knows nothing of water when nobody knows the age" do
    expect(check(changed_on: "unknown").water).to be_nil
    expect(check(changed_on: "unknown").to_h[:due]).to include(overdue: true, why: a_string_including("overdue"))
  end

  it "is due by interval, by age or by a reading, whichever comes first" do
    # 24 months after the change is today; 0.4 % to go at 0.8 % a year is half a year on
    expect(check.to_h[:due]).to include(by: "interval", on: "2026-03-14", overdue: true)
    young = check(changed_on: "2025-12-01", reading: 1.9).to_h[:due]
    expect(young).to include(by: "reading", on: "2026-04-28", overdue: false)
    expect(young[:others].first).to include(by: "interval", on: "2027-12-01")
    expect(check(changed_on: "2025-12-01", kind: "rubber", storage: "damp").to_h[:due]).to include(by: "age")
  end

  it "keeps the shop's shorter interval" do
    due = Sandbag::Fluid::ChangeDue.new(sheet(clutch_plain), today: today, most_months: 12)
    expect(due.interval_months).to eq 12
  end

  it "goes by the shorter of what the shop keeps and what the machine's use bears" do
    {
      [nil, nil] => nil, [nil, "daily"] => nil, [18, "daily"] => 18, [18, "race"] => 12, [nil, "hire"] => 12,
      [6, "hard"] => 6, [18, "no such use"] => 18
    }.each { |given, months| expect(Sandbag::Fluid::ChangeDue.most_months(*given)).to eq(months), given.inspect }
  end
end

RSpec.describe Sandbag::Choose::FluidChoice do
  def judged(stamped, abs: false)
    described_class.judged(stamped, abs: abs).to_h { |fluid| fluid.values_at(:id, :allowed) }
  end

  it "allows the class on the cap and the higher ones of its family" do
    expect(judged("dot4")).to eq(
      "dot3" => false,
      "dot4" => true,
      "iso6" => true,
      "dot51" => true,
      "iso7" => true,
      "dot5" => false,
      "mineral" => false
    )
    expect(judged("dot5").select { |_, allowed| allowed }.keys).to eq ["dot5"]
    expect(judged("mineral").select { |_, allowed| allowed }.keys).to eq ["mineral"]
  end

  it "spells 5 and 5.1 out, and silicone with ABS" do
    expect(described_class.notes("dot51", "unknown", abs: false).join).to include("5.1 is glycol, 5 is silicone")
    expect(described_class.notes("dot5", "unknown", abs: true).join).to include("ABS")
    expect(described_class.refusal("dot5", "dot4", abs: true)).to include("ABS")
    expect(described_class.notes("dot4", "unknown", abs: true)).to be_empty
  end

  it "calls another family in the circuit what it is: new rubber and a whole flush" do
    expect(described_class.notes("dot4", "mineral", abs: false).join).to include("every seal and hose").and include(
            "flush"
          )
    expect(described_class.notes("dot4", "dot3", abs: false).join).to include("lowest class")
  end
end
