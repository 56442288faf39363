# frozen_string_literal: true

RSpec.describe Sandbag::Airway::Schools do
  def ranked(template, **given)
    sheet = Sandbag::Circuit::Template.sheet(template)
    Sandbag::Airway::MethodTable.new(sheet, **given).to_h[:methods].map { |row| row[:id] }
  end

  let(:every) { Sandbag::Tables.rows("tools").map { |row| row["id"] } }

  it "put a way that the shop would rather take before the others that carry, and never before the verdict" do
    expect(ranked("road_clutch", shelf: every).first).to eq "hand_vacuum"
    pumping = {"clutch_pumping" => "pump"}
    expect(ranked("road_clutch", shelf: every, schools: pumping).first(2)).to match_array %w[hold_cycle pump_crack]
    avoided = ranked("road_clutch", shelf: every, schools: {"vacuum" => "avoided", "clutch_pumping" => "pump"})
    expect(avoided.index("hand_vacuum")).to be > avoided.index("jar_open")
    expect(ranked("road_front_single", shelf: every, schools: {"caliper_off" => "caliper_off"}).first)
      .to eq "caliper_in_hand"
  end

  it "count one for each school that prefers a way, and one against it for each that avoids it" do
    set = {"vacuum" => "liked", "clutch_pumping" => "suggest", "direction" => "down"}
    leanings = described_class.leanings(set, Sandbag::Circuit::Template.sheet("road_clutch").kind, dry: false)
    expect(leanings.values_at("hand_vacuum", "power_vacuum", "reverse_syringe", "jar_open")).to eq [2, 1, 0, 0]
  end

  it "put a way that only helps after every whole one that does as well" do
    Sandbag::Tables.rows("circuit_templates").each do |row|
      table = Sandbag::Airway::MethodTable.new(Sandbag::Circuit::Template.sheet(row["id"]), shelf: every).to_h
      table[:methods].group_by { |each| each[:verdict] }.each_value do |alike|
        aids = alike.map { |each| each[:aid] }
        expect(aids.drop_while { |aid| !aid }).to all be(true)
      end
    end
  end

  it "start a dry line by gravity, or by pumping" do
    expect(ranked("road_front_single", shelf: every, line: "dry").first).to eq "gravity_start"
    pumped = ranked("road_front_single", shelf: every, line: "dry", schools: {"dry_line" => "pump"})
    expect(pumped.first(2)).to match_array %w[hold_cycle pump_crack]
  end

  it "come after the tools on the shelf and the hands there are" do
    expect(ranked("road_clutch", shelf: every - ["vacuum_pump"]).first).not_to eq "hand_vacuum"
    sheet = Sandbag::Circuit::Template.sheet("atv_front")
    rows = Sandbag::Airway::MethodTable.new(sheet, shelf: every).to_h[:methods]
    expect(rows.select { |row| row[:short_of_hands] }.map { |row| row[:people] }).to all(be > 1)
  end

  it "let two or three reservoirs through at least" do
    kart = changed(twin_disc_plain, "reservoir", usable: 60)
    totals = [2, 3].map do |count|
      Sandbag::Airway::Plan.new(kart, opened: false, reservoirs: count).points.sum(&:flush_ml)
    end
    expect(totals).to eq [120.0, 180.0]
  end

  it "are read from the shop, and refused where there are none" do
    shop = Sandbag::Shop.new("schools" => {"pads" => "pads_out"})
    expect(shop.schools).to include("pads" => "pads_out", "vacuum" => "even")
    expect(Sandbag::Shop.new(shop.to_h).schools).to eq shop.schools
    expect(refusal_at { Sandbag::Shop.new("schools" => {"pads" => "x"}) }).to eq ["schools/pads"]
    expect(refusal_at { Sandbag::Shop.new("schools" => {"stroke" => "x"}) }).to eq ["schools/stroke"]
  end
end
