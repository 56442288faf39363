# frozen_string_literal: true

# Sums of the fitting by hand: docs/physics.md 9.
RSpec.describe Sandbag::Fit do
  describe Sandbag::Fit::ReservoirTilt do
    def square(**given)
      described_class.new(area_mm2: 900, shape: "square", **given)
    end

    def round(**given)
      described_class.new(area_mm2: Math::PI * 15**2, shape: "round", **given)
    end

    it "uncovers a port at the edge at tan α = h / half the width, round or square" do
      expect(square.limit_deg(8.0)).to be_within(1e-9).of(Math.atan(8 / 15.0) * 180 / Math::PI)
      expect(round.limit_deg(8.0)).to be_within(1e-9).of(Math.atan(8 / 15.0) * 180 / Math::PI)
    end

    it "bears more with the port in the middle: tan α = 4 h / b square, 3π h / 2 b round" do
      expect(square(port_offset_mm: 0).limit_deg(5.0)).to be_within(1e-9).of(Math.atan(4 * 5 / 15.0) * 180 / Math::PI)
      expect(round(port_offset_mm: 0).limit_deg(5.0)).to be_within(1e-9).of(
        Math.atan(3 * Math::PI * 5 / (2 * 15.0)) * 180 / Math::PI
      )
    end

    it "keeps the fluid's volume: a wedge cut by hand holds as much" do
      # square of 30, port 6 from the middle: wedge 21 long, 30 wide, its depth 21 tan α; volume 30 · 21² tan α / 2
      tangent = Math.tan(square(port_offset_mm: 6).limit_deg(7.0) * Math::PI / 180)
      expect(30 * 21**2 * tangent / 2).to be_within(1e-6).of(900 * 7.0)
    end

    it "covers the port at less fluid only at less tilt, and never better with the port further out" do
      for_all(
        height: 0.5..30.0,
        more: 0.0..10.0,
        offset: 0.0..14.0,
        further: 0.0..1.0
      ) do |height:, more:, offset:, further:|
        %i[square round].each do |shape|
          near = public_send(shape, port_offset_mm: offset)
          expect(near.limit_deg(height + more)).to be >= near.limit_deg(height)
          expect(public_send(shape, port_offset_mm: offset + further).limit_deg(height)).to be <=
            near.limit_deg(height) + 1e-9
        end
      end
    end
  end

  describe Sandbag::Fit::HoseRun do
    def run(length, paths, kind: "braided", outside: 7.5, bend: nil)
      described_class.new(length_mm: length, paths: paths, outside_mm: outside, kind: kind, bend_mm: bend)
    end

    it "needs the longest path and 15 mm; what is over, and when that is too much" do
      laid = run(1000, {"left_lock" => 940.0, "straight" => 900.0, "right_lock" => 952.0})
      expect([laid.needs_mm, laid.slack_mm, laid.longest, laid.verdict]).to eq [967, 33, "right_lock", "fine"]
      expect(run(960, {"left_lock" => 952.0}).verdict).to eq "short"
      expect(run(1028, {"left_lock" => 952.0}).verdict).to eq "long"
      expect(run(1000, {})).to have_attributes(verdict: nil, slack_mm: nil)
    end

    it "bends no tighter than 8 outside diameters braided, 10 rubber" do
      expect(run(1000, {}, bend: 60).bend_fine?).to be true
      expect(run(1000, {}, bend: 59.9).bend_fine?).to be false
      expect(run(1000, {}, kind: "rubber", outside: 10.5).least_bend_mm).to eq 105
      expect(run(1000, {}).bend_fine?).to be_nil
    end

    it "never has more slack on a longer path" do
      for_all(path: 100.0..2000.0, longer: 0.0..500.0) do |path:, longer:|
        expect(run(1500, {"straight" => path + longer}).slack_mm).to be <= run(1500, {"straight" => path}).slack_mm
      end
    end
  end

  describe Sandbag::Fit::FreePlay do
    def lever(finger, offset)
      Sandbag::Hydraulics::Lever.new(finger_to_pivot_mm: finger, push_offset_mm: offset, free_play_mm: 0,
        gap_to_grip_mm: 60, safe_gap_mm: 10, efficiency: 0.9)
    end

    it "converts by the ratio, both ways, on a bar lever and on a kart pedal" do
      expect(described_class.tip_mm(lever(110, 20), 0.4)).to be_within(1e-9).of(2.2)
      expect(described_class.piston_mm(lever(110, 20), 2.2)).to be_within(1e-9).of(0.4)
      expect(described_class.tip_mm(lever(180, 45), 1.5)).to be_within(1e-9).of(6.0)
      expect(described_class.piston_mm(lever(180, 45), 6.0)).to be_within(1e-9).of(1.5)
    end

    it "has one range for every construction of a master, on every kind of circuit" do
      Sandbag::Tables.rows("circuit_templates").each do |row|
        found = described_class.row_of(Sandbag::Circuit::Template.sheet(row["id"]))
        expect(found).not_to be_nil, row["id"]
      end
      clutch = described_class.row_of(Sandbag::Circuit::Template.sheet("road_clutch"))
      expect(clutch["id"]).to eq "clutch"
    end
  end

  describe Sandbag::Fit::Washers do
    def stacks(sheet, tray: Sandbag::Cylinder::Tray.new([], {}))
      described_class.new(Sandbag::Job::Entries.new, Sandbag::Circuit::Places.of(sheet).joints, tray).stacks
    end

    it "wants hose ends + 1 at a joint: 2 for one, 3 for two stacked, 4 for three" do
      expect(stacks(sheet(twin_disc_plain)).map { |each| [each.hoses, each.wanted] }).to eq [[2, 3], [1, 2], [1, 2]]
      three = sheet(plain_sheet("brake_hand", *%w[a b c].flat_map do |id|
        [part("hose_#{id}", "line", from: "master"), part("caliper_#{id}", "caliper", from: "hose_#{id}")]
      end))
      expect(stacks(three).first.wanted).to eq 4
    end

    it "wants 4 at a slave that bleeds through a banjo of its own" do
      slave = ->(circuit) { stacks(circuit).reject { |stack| stack.at == "master" }.sum(&:wanted) }
      clutch = sheet(clutch_plain)
      expect(slave[clutch]).to eq 2
      expect(slave[clutch.set("slave", "bleed_banjo", "yes", "measured")]).to eq 4
    end

    it "knows how many came out of the master, and of no other joint" do
      out = Struct.new(:crush_washer) { def out(part) = (part == "crush_washer") ? crush_washer : 0 }
      counted = lambda do |washers|
        stacks(sheet(twin_disc_plain), tray: out.new(washers)).to_h { |stack| [stack.at, stack.out] }
      end
      expect(counted[3].compact).to eq("master" => 3)
      expect(counted[0].compact).to be_empty
    end

    it "wants square-section seals where the banjo takes those, and no metal washer" do
      line = sheet(twin_disc_plain).parts_of("line").first["id"]
      sealed = sheet(twin_disc_plain).change(line, "seals", "square_seals", "measured")
      expect(stacks(sealed).first.kind).to eq "square-section seals"
    end
  end

  describe "a hose in words" do
    def said(length, path)
      run = Sandbag::Fit::HoseRun.new(length_mm: length, paths: {"left" => path}, outside_mm: 10, kind: "rubber")
      Sandbag::Said.plain(run.says)
    end

    it "is in whole millimetres: what it needs, and what it has to spare or is short of" do
      expect(said(900, 860.4)).to eq "Needs 875 mm, 25 mm to spare"
      expect(said(870, 860.4)).to eq "5 mm too short. Needs 875 mm. Use a longer hose."
      expect(said(960, 860.4)).to eq "Needs 875 mm, 85 mm to spare: look for a place where it can catch."
    end
  end
end
