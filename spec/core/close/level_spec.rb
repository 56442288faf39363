# frozen_string_literal: true

# docs/physics.md 9, docs/trade.md 9.1: how high a reservoir is filled.
RSpec.describe Sandbag::Close::Level do
  def level(plain, worn: {}, below: nil, **reservoir)
    found = reservoir.empty? ? sheet(plain) : changed(plain, "reservoir", **reservoir)
    described_class.new(found, Sandbag::Circuit::Assembly.build(found), worn: worn, below_mm: below)
  end

  # Two opposed calipers of four pistons each: 2 × 34 and 2 × 30 mm a caliper.
  let(:area) { level(twin_disc_plain).instance_variable_get(:@circuit).calipers.first.swept_area_mm2 }

  it "is at the upper mark with new pads" do
    expect(level(twin_disc_plain).highest_below_mm).to eq 0
    expect(level(twin_disc_plain).pushback_ml).to eq 0
  end

  it "leaves room for what new pads push back: piston area times worn depth, by hand" do
    found = level(twin_disc_plain, worn: {"left_caliper" => 1.5, "right_caliper" => 1.0}, area: 1000, to_min: 20)
    expect(found.pushback_ml).to be_within(1e-9).of(area * 2.5 / 1000)
    expect(found.highest_below_mm).to be_within(1e-9).of(area * 2.5 / 1000)
  end

  it "says of a level that was read what to draw off, or to fill" do
    worn = {"left_caliper" => 1.0}
    wide = {area: 2000, to_min: 20}
    least = area / 2000
    expect(level(twin_disc_plain, worn: worn, below: least, **wide).fault).to be_nil
    expect(said(level(twin_disc_plain, worn: worn, below: least - 1, **wide).fault)).to include("too full", "2.0 mL")
    expect(level(twin_disc_plain, worn: worn, below: 11, **wide).fault).to start_with "below MIN"
    expect(level(twin_disc_plain, below: -1).fault).to start_with "too full"
  end

  it "says that the pads are due by their own thickness, and not by what a small reservoir holds" do
    small = {area: 1000, to_min: 5}
    thin = level(twin_disc_plain, worn: {"left_caliper" => 2.0}, below: 5, **small)
    expect(thin.pushback_ml).to be > 5
    expect(thin).not_to be_pads_due
    expect(thin.highest_below_mm).to eq thin.lowest_below_mm
    expect(thin.fault).to be_nil
    [[3.4, false], [3.5, true]].each do |worn, due|
      found = level(twin_disc_plain, worn: {"left_caliper" => worn}, below: 5)
      expect(found.pads_due?).to be due
    end
    expect(level(twin_disc_plain, worn: {"left_caliper" => 3.5}, below: 5).fault)
      .to start_with "the pads are due: left caliper is worn"
  end

  it "goes by the wear of the machine's record where nobody measured it in this job" do
    found = changed(twin_disc_plain, "left_caliper", pad_wear: 1.0)
    recorded = described_class.new(found, Sandbag::Circuit::Assembly.build(found))
    expect(recorded.pushback_ml).to be_within(1e-9).of(area * 1.0 / 1000)
  end

  it "goes by the marking: window, none, bladder; a clutch 3 mm below its mark" do
    {"window" => "To the mark in the window", "bladder" => "Full to the rim"}.each do |id, says|
      found = level(twin_disc_plain, marking: id, below: 99)
      expect(found.to_h).to include(case: id, marked: false, says: a_string_starting_with(says))
      expect(found.fault).to be_nil
    end
    expect(level(bicycle_plain).to_h).to include(case: "bladder")
    clutch = level(clutch_plain, below: 0)
    expect(clutch.highest_below_mm).to eq 3
    expect(clutch.fault).to start_with "too full"
  end

  it "reads a reservoir without a mark in mm below its rim, to half a millimetre" do
    found = level(twin_disc_plain, marking: "none")
    expect(found.to_h).to include(case: "none", marked: false, rim_mm: [5, 6],
      says: a_string_starting_with("5 to 6 mm"))
    faults = [4.4, 4.5, 5.5, 6.5, 6.6].to_h do |below|
      [below, level(twin_disc_plain, marking: "none", below: below).fault&.then { |each| said(each) }]
    end
    expect(faults).to eq(4.4 => "too full: draw off to 5 mm below the rim", 4.5 => nil, 5.5 => nil, 6.5 => nil,
      6.6 => "too low: fill to 6 mm below the rim")
  end

  it "falls with wear: more worn, lower" do
    levels = [0, 0.5, 1, 2, 3].map do |worn|
      level(twin_disc_plain, worn: {"left_caliper" => worn}, to_min: 20).highest_below_mm
    end
    expect(levels).to eq levels.sort
    expect(levels.uniq.size).to eq 5
  end
end
