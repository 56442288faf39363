# frozen_string_literal: true

RSpec.describe Sandbag::Airway::FlushVolume do
  it "through 750 mm of 3.2 mm hose, a 1.5 mL cylinder and an 8 mL caliper is 31.50 mL (docs/physics.md 5)" do
    hose = Sandbag::Hydraulics::Line.new(length_mm: 750, bore_mm: 3.2, expansion_ml_m_mpa: 0.02)
    expect(hose.fluid_ml).to be_within(0.0005).of(6.032)
    expect(described_class.ml(hose.fluid_ml + 1.5, 8, 0.95)).to be_within(0.005).of(31.50)
  end

  it "needs no less fluid for a purer flush" do
    for_all(purity: 0.0..0.99, purer: 0.0..0.009) do |purity:, purer:|
      expect(described_class.ml(6, 8, purity + purer)).to be >= described_class.ml(6, 8, purity)
    end
  end

  it "refuses a purity that cannot be reached" do
    [1.0, 1.2, -0.1].each { |purity| expect(refusal_at { described_class.ml(6, 8, purity) }).to eq ["purity"] }
  end
end

RSpec.describe Sandbag::Airway::Plan do
  subject(:plan) { described_class.new(sheet(twin_disc_plain), opened: false) }

  # The cylinder has 14 mm; the lever comes to its grip after 72 mm, 1 of them free, and moves the piston 1 mm for 5.5.
  it "moves A_m (s_full − s_port) with every stroke, s_full by what the lever can make (docs/physics.md 6)" do
    expect(plan.stroke_ml).to be_within(1e-9).of(Math::PI * 19**2 / 4 * ((72 - 1) / 5.5 - 0.8) / 1000)
    far = described_class.new(sheet(twin_disc_plain).change("lever", "gap_to_grip", 90, "measured"), opened: false)
    expect(far.stroke_ml).to be_within(1e-9).of(Math::PI * 19**2 / 4 * (14 - 0.8) / 1000)
  end

  it "takes the furthest point of a full circuit first, and enough strokes to pass its volume" do
    expect(plan.points.map(&:id)).to eq %w[right_caliper left_caliper]
    plan.points.each do |point|
      expect(point.strokes * plan.stroke_ml).to be >= point.flush_ml
      expect((point.strokes - 1) * plan.stroke_ml).to be < point.flush_ml
    end
  end

  it "starts an opened circuit at the master and works outwards" do
    opened = described_class.new(sheet(twin_disc_plain), opened: true)
    expect(opened.points.map(&:id)).to eq %w[master_outlet left_caliper right_caliper]
  end

  it "counts a shared line once" do
    plain =
      plain_sheet(
        "brake_hand",
        part("trunk", "line", from: "master", length: 1000),
        part("a", "line", from: "trunk", length: 500),
        part("b", "line", from: "trunk", length: 300),
        part("caliper_a", "caliper", from: "a"),
        part("caliper_b", "caliper", from: "b")
      )
    first, second = described_class.new(sheet(plain), opened: false).points
    expect(first.id).to eq "caliper_a"
    tank = 8 * Math.log(20)
    expect(second.flush_ml - tank).to be_within(1e-9).of(Sandbag::Hydraulics::Geometry.volume_ml(3.2, 300))
  end

  it "takes both nipples of a caliper, the further one with the old column" do
    two = described_class.new(changed(twin_disc_plain, "left_caliper", nipples: 2), opened: false)
    expect(two.points.map(&:id)).to eq %w[right_caliper left_caliper.1 left_caliper.2]
    expect(two.points[1].flush_ml).to be > two.points[2].flush_ml
  end

  it "tops up when 0.6 of the usable fluid has gone, rounded down, and never after no stroke at all" do
    expect(plan.to_h[:strokes_per_top_up]).to eq (0.6 * 28 / plan.stroke_ml).floor
    tiny = described_class.new(changed(twin_disc_plain, "reservoir", usable: 1), opened: false)
    expect(tiny.to_h).to include(strokes_per_top_up: 1, strokes_to_uncover: 0)
  end
end
