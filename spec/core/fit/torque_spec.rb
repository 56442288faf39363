# frozen_string_literal: true

RSpec.describe Sandbag::Fastening::TorqueRange do
  units = Sandbag::Units

  # docs/trade.md 6.2: range in N·m, and the same as the trade writes it, lb·ft or lb·in.
  rows = {
    "banjo_m10_steel" => [20, 30, "15-22 lb-ft"], "banjo_m10_alloy" => [12, 18, "9-13 lb-ft"],
    "banjo_m6" => [5, 8, "44-71 in-lb"], "clamp_m6" => [8, 10, "71-88 in-lb"], "clamp_m5" => [4, 6, "35-53 in-lb"],
    "pivot_bolt" => [1, 2, "9-18 in-lb"], "pivot_nut" => [5, 7, "44-62 in-lb"], "lid_screw" => [1, 2, "9-18 in-lb"],
    "switch_screw" => [1, 1.5, "9-13 in-lb"], "res_bracket" => [6, 9, "53-80 in-lb"],
    "nipple_m6" => [4, 6, "35-53 in-lb"], "nipple_m8" => [5, 8, "44-71 in-lb"], "nipple_m10" => [7, 10, "62-88 in-lb"],
    "port_screw" => [0.5, 2, "4-18 in-lb"], "mount_m6" => [9, 12, "80-106 in-lb"],
    "mount_m8" => [18, 25, "13-18 lb-ft"],
    "rod_nut_m6" => [8, 10, "71-88 in-lb"], "rod_nut_m8" => [15, 19, "11-14 lb-ft"],
    "slave_m6" => [8, 12, "71-106 in-lb"], "stand_switch" => [8, 10, "71-88 in-lb"],
    "tube_nut_m10" => [12, 16, "9-12 lb-ft"], "comp_nut" => [5, 8, "44-71 in-lb"],
    "stop_screw_m3" => [0.8, 1.2, "7-11 in-lb"], "stop_screw_m4" => [2, 2.5, "18-22 in-lb"],
    "grub_m4" => [0.5, 1, "4-9 in-lb"]
  }

  rows.each do |id, (from, to, imperial)|
    it "judges #{id} the same in N·m, lb·ft and lb·in" do
      range = described_class.default(Sandbag::Tables.find("torques", id))
      expect([range.from, range.to]).to eq [from, to]
      low, high, unit = imperial.match(/(\d+)-(\d+) (.*)/).captures
      # the trade rounds to whole pounds: within one of them
      one = units.parse("1 #{unit}", :torque)
      expect(units.parse("#{low} #{unit}", :torque)).to be_within(one).of(from)
      expect(units.parse("#{high} #{unit}", :torque)).to be_within(one).of(to)
      middle = (from + to) / 2.0
      {"N·m" => middle, "lb-ft" => middle / units.parse("1 lb-ft", :torque),
       "in-lb" => middle / units.parse("1 in-lb", :torque)}.each do |name, figure|
        expect(range.judge(units.parse("#{format("%.6f", figure)} #{name}", :torque))).to eq "in"
      end
      expect([range.judge(from - 0.01), range.judge(to + 0.01)]).to eq %w[under over]
    end
  end

  it "has no default for caliper bolts and axle: no figure, no tick" do
    %w[caliper_bolt wheel_axle].each do |id|
      expect(described_class.default(Sandbag::Tables.find("torques", id))).to be_nil
    end
  end

  it "allows no estimate on carbon, an alloy banjo bolt or a caliper" do
    without = Sandbag::Tables.rows("torques").reject { |row| row["turns"] }.map { |row| row["id"] }
    expect(without).to include("clamp_carbon", "banjo_m10_alloy", "caliper_bolt", "wheel_axle")
  end

  it "takes a single service figure within a tenth, and two as they are" do
    one = described_class.service([25.0])
    expect([one.from, one.to, one.aim]).to match [be_within(1e-9).of(22.5), be_within(1e-9).of(27.5), 25]
    expect(described_class.service([26.0, 23.0])).to have_attributes(
      from: 23,
      to: 26,
      aim: 24.5,
      source: "service_info"
    )
  end

  it "refuses a wrench whose scale the figure is not in" do
    range = described_class.default(Sandbag::Tables.find("torques", "banjo_m10_steel"))
    expect(range.unfit(25)).to be_nil
    expect(Sandbag::Said.plain(range.unfit(24.9))).to include("25 N·m is over the end")
    expect(range.unfit(125)).to be_nil
    expect(Sandbag::Said.plain(range.unfit(126))).to include("under a fifth")
  end

  it "refuses a range that ends before it starts, or is no number" do
    expect(refusal_at { described_class.new(from: 9, to: 8, source: "default") }).to eq ["to"]
    expect(refusal_at { described_class.new(from: Float::NAN, to: 8, source: "default") }).to eq ["from"]
  end

  it "converts there and back to the last digit, and a stricter range never passes more" do
    for_all(torque: 0.2..250.0, less: 0.0..5.0) do |torque:, less:|
      %w[lb-ft in-lb].each do |unit|
        factor = units.parse("1 #{unit}", :torque)
        expect(torque / factor * factor).to be_within(1e-9).of(torque)
      end
      wide = described_class.new(from: 10, to: 30, source: "default")
      strict = described_class.new(from: 10 + less, to: 30 - less, source: "default")
      expect(wide.judge(torque)).to eq "in" if strict.judge(torque) == "in"
    end
  end
end
