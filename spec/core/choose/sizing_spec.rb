# frozen_string_literal: true

RSpec.describe Sandbag::Choose::Sizing do
  def rows(plain, sizes)
    described_class.new(sheet(plain), sizes: sizes).to_h[:rows].to_h do |row|
      [[row[:bore_mm], row[:push_offset_mm]], row]
    end
  end

  {
    [16, 18] => [67.5, 27.1],
    [17.46, 18] => [79.9, 23.7],
    [19, 18] => [94.1, 20.9],
    [20.64, 20] => [122.8, 16.9],
    [19, 20] => [104.5, 18.9]
  }.each do |size, (force, travel)|
    it "#{size.join("×")} asks #{force} N and #{travel} mm for 8.0 m/s² (docs/physics.md 3)" do
      row = rows(twin_disc_plain, [size]).fetch(size.map(&:to_f))
      expect(row[:force_n]).to be_within(0.05).of(force)
      expect(row[:travel_mm]).to be_within(0.05).of(travel)
    end
  end

  describe "as the gap to the grip narrows" do
    let(:sizes) { Sandbag::Choose::Sizing.usual(sheet(twin_disc_plain).kind) }

    def passed(gap, safe)
      rows(changed(twin_disc_plain, "lever", gap_to_grip: gap, safe_gap: safe).to_h, sizes)
        .select { |_, row| row[:rejected].empty? }
        .keys
    end

    it "never passes a cylinder that a wider gap rejects" do
      for_all(wide: 15.0..90.0, less: 0.0..40.0, safe: 10.0..30.0) do |wide:, less:, safe:|
        narrow = [wide - less, 15.0].max
        expect(passed(narrow.round(1), safe.round(1)) - passed(wide.round(1), safe.round(1))).to be_empty
      end
    end

    it "passes none where the lever stands at the safe gap or nearer, and says why" do
      [15, 19.9, 20].each do |gap|
        all = rows(changed(twin_disc_plain, "lever", gap_to_grip: gap, safe_gap: 20).to_h, sizes)
        expect(all.values.map { |row| row[:rejected] }).to all(include(a_string_matching(/gap|grip/)))
        expect(all.values.flat_map { |row| row.values.grep(Float) }).to all(be_finite)
      end
    end
  end

  {27 => [80.3, 2.663], 29 => [70.0, 2.317], 30 => [65.6, 2.169], 33.3 => [53.8, 1.768]}.each do |bore, (force, lift)|
    it "a clutch with a #{bore} mm slave asks #{force} N and lifts #{lift} mm (docs/physics.md 4)" do
      row = rows(clutch_plain(slave_bore: bore), []).values.first
      expect(row[:force_n]).to be_within(0.05).of(force)
      expect(row[:lift_mm]).to be_within(0.0005).of(lift)
    end
  end

  it "puts the fitted cylinder first, then usable ones nearest the wish, then rejected ones" do
    sizes = [[8, 18], [19, 18], [20.64, 20], [14, 20]]
    found = described_class.new(sheet(twin_disc_plain), sizes: sizes).to_h[:rows]
    expect(found.first).to include(fitted: true, bore_mm: 19.0, push_offset_mm: 20.0, effort_change_percent: 0.0)
    usable, rejected = found.drop(1).partition { |row| row[:rejected].empty? }
    expect(usable + rejected).to eq found.drop(1)
    expect(usable.map { |row| row[:distance] }).to eq usable.map { |row| row[:distance] }.sort
    expect(rejected).not_to be_empty
  end

  it "rejects with the reason: bottoms out, gap, effort, short lift, no reserve" do
    expect(rows(twin_disc_plain, [[8, 20]])[[8.0, 20.0]][:rejected].join).to include("bottoms out")
    expect(
      rows(changed(twin_disc_plain, "lever", gap_to_grip: 38).to_h, [[19, 18]])[[19.0, 18.0]][:rejected].join
    ).to include("safe gap")
    expect(rows(twin_disc_plain, [[30, 20]])[[30.0, 20.0]][:rejected].join).to include("effort over the limit")
    expect(rows(clutch_plain, [[11, 20]])[[11.0, 20.0]][:rejected].join).to include("clutch lift short")
    tight = changed(twin_disc_plain, "lever", gap_to_grip: 42).to_h
    expect(rows(tight, [[19, 18]])[[19.0, 18.0]][:rejected].join).to include("no reserve")
  end

  it "warns when knock-back and air would take over four fifths" do
    tight = changed(twin_disc_plain, "lever", gap_to_grip: 60).to_h
    row = rows(tight, [[19, 18]])[[19.0, 18.0]]
    expect(row[:rejected]).to be_empty
    expect(row[:warnings].join).to include("little reserve")
  end

  it "says what the hand will make of it, and when the rider must agree" do
    found = rows(twin_disc_plain, [[19.05, 20], [19, 18], [16, 18]])
    expect(found[[19.05, 20.0]]).to include(felt: "no noticeable change", agreement_needed: false)
    expect(found[[19.0, 18.0]][:felt]).to eq "noticeable"
    expect(found[[16.0, 18.0]][:agreement_needed]).to be true
  end

  it "trades effort for travel: what one gains the other loses" do
    for_all(bore: 12.0..24.0) do |bore:|
      row = rows(twin_disc_plain, [[bore, 20]])[[bore, 20.0]]
      next if row[:fitted]
      expect(row[:effort_change_percent] * row[:travel_change_percent]).to be <= 0
    end
  end

  it "compares up to 300 candidates and refuses more" do
    sizes = Array.new(301) { |index| [10 + index * 0.05, 20] }
    expect(described_class.new(sheet(twin_disc_plain), sizes: sizes.first(300)).to_h[:rows].size).to be >= 300
    expect(refusal_at { described_class.new(sheet(twin_disc_plain), sizes: sizes) }).to eq ["candidates"]
  end
end

RSpec.describe Sandbag::Choose::ParetoFront do
  it "keeps what nothing else beats in both" do
    points = [[1, 9], [2, 5], [3, 6], [4, 5], [5, 1], [1, 8]]
    expect(described_class.of(points) { |point| point }).to eq [[1, 8], [2, 5], [5, 1]]
  end
end

RSpec.describe Sandbag::Choose::FluidChoice do
  def refusal(fluid, stamped)
    described_class.refusal(fluid, stamped)
  end

  it "lets in the stamped class and higher ones of its family" do
    expect(described_class.allowed("dot4").map { |fluid| fluid["id"] }).to eq %w[dot4 iso6 dot51 iso7]
    expect(described_class.allowed("dot5").map { |fluid| fluid["id"] }).to eq ["dot5"]
    expect(described_class.allowed("mineral").map { |fluid| fluid["id"] }).to eq ["mineral"]
  end

  it "keeps the families apart, 5 from 5.1 above all, and lower classes out" do
    expect(refusal("dot5", "dot51")).to include("silicone").and include("glycol")
    expect(refusal("dot51", "dot5")).to include("glycol")
    expect(refusal("mineral", "dot4")).to include("mineral")
    expect(refusal("dot3", "dot4")).to include("lower class")
  end
end

RSpec.describe Sandbag::Choose::FluidNeed do
  def need(drained)
    described_class.of(
      Sandbag::Airway::Plan.new(sheet(twin_disc_plain), opened: false),
      drained: drained,
      method: Sandbag::Tables.find("bleed_methods", "hold_cycle")
    )
  end

  it "adds reservoir, points and waste, and a fifth to spare" do
    # 42 reservoir, (3.9694 + 6.8361 + 23.9659) right, (6.0319 + 23.9659) left, 20 waste; × 1.2
    expect(need(false)[:total_ml]).to be_within(0.01).of(1.2 * (42 + 34.7714 + 29.9977 + 20))
  end

  it "fills a drained circuit on top" do
    expect(need(true)[:total_ml] - need(false)[:total_ml]).to be_within(1e-9).of(1.2 * 55)
  end

  it "is the sum of its lines" do
    expect(need(true)[:lines].sum { |line| line[:ml] }).to be_within(1e-9).of(need(true)[:total_ml])
  end

  it "sums the fluid of a candidate with its own bore, and takes what was entered as it is" do
    summed = sheet(twin_disc_plain).set("fluid", "volume", nil, "measured")
    candidate = ->(circuit) { Sandbag::Choose::Candidate.new(circuit, bore_mm: 16, push_offset_mm: 20).circuit }
    fitted = Sandbag::Circuit::Assembly.build(summed)
    expect(fitted.fluid_ml - candidate[fitted].fluid_ml).to be_within(1e-9).of(
      Math::PI / 4 * (19**2 - 16**2) * 14 / 1000
    )
    expect(candidate[twin_disc].fluid_ml).to eq 55.0
  end
end
