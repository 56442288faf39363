# frozen_string_literal: true

require "date"

RSpec.describe Sandbag::Circuit::Template do
  Sandbag::Tables.rows("circuit_templates").each do |row|
    it "#{row["id"]} is a whole circuit, all of it default, that its own cylinder can work" do
      sheet = described_class.sheet(row["id"])
      sources = sheet.parts.flat_map { |part| sheet.values(part).values.map(&:source) }
      expect(sources.uniq).to eq ["default"]
      fitted = Sandbag::Choose::Sizing.new(sheet).to_h[:rows].first
      expect(fitted[:rejected]).to be_empty
      expect(Sandbag::Circuit::Heights.new(sheet).high_spots).to be_empty
      expect(Sandbag::Airway::Plan.new(sheet, opened: false).points).not_to be_empty
    end
  end

  it "knows a template for everything every kind of machine offers" do
    offered = Sandbag::Tables.rows("machine_kinds").flat_map { |kind| kind["templates"] }
    expect(offered.uniq).to match_array(Sandbag::Tables.rows("circuit_templates").map { |row| row["id"] })
  end

  it "keeps what the template knew until something is entered, and comes back to it" do
    sheet = described_class.sheet("road_front_twin")
    expect(sheet.value("master", "bore")).to eq 19.0
    entered = sheet.change("master", "bore", "5/8", "part_marking")
    expect(entered.value("master", "bore")).to eq 15.875
    expect(entered.change("master", "bore", "", nil).value("master", "bore")).to eq 19.0
  end

  it "refuses a template nobody knows" do
    expect(refusal_at { described_class.sheet("hovercraft") }).to eq ["template"]
  end
end

RSpec.describe Sandbag::Circuit::Heights do
  def spots(**changes)
    sheet =
      changes.reduce(sheet(twin_disc_plain)) do |now, (part, values)|
        values.reduce(now) { |each, (field, value)| each.change(part.to_s, field.to_s, value, "measured") }
      end
    described_class.new(sheet).high_spots
  end

  it "finds where a line climbs above both its ends" do
    expect(spots(left_hose: {high_spot: 1150}).map { |spot| spot.values_at(:line, :height_mm) }).to eq [
      ["left_hose", 1150.0]
    ]
  end

  it "finds no high spot where the line only falls, nor within a hand's breadth of level" do
    expect(spots(left_hose: {high_spot: 700})).to be_empty
    expect(spots(left_hose: {high_spot: 1004})).to be_empty
  end

  it "finds a splitter that stands above what it feeds and what feeds it, once for both branches" do
    plain =
      plain_sheet(
        "brake_hand",
        part("master", "master", height: 600),
        part("trunk", "line", from: "master", end_height: 900),
        part("a", "line", from: "trunk"),
        part("b", "line", from: "trunk"),
        part("caliper_a", "caliper", from: "a"),
        part("caliper_b", "caliper", from: "b")
      )
    expect(described_class.new(sheet(plain)).high_spots.map { |spot| spot[:line] }).to eq ["trunk"]
  end
end

RSpec.describe Sandbag::Hydraulics::PortPocket do
  {15 => 0.017, 30 => 0.130, 60 => 0.884, 90 => 2.262}.each do |angle, volume|
    it "keeps #{volume} mL in a 12 × 10 mm cavity with its port #{angle}° off the top (docs/physics.md 6)" do
      expect(described_class.volume_ml(12, 10, angle)).to be_within(0.0005).of(volume)
    end
  end

  it "keeps nothing at the top, the whole cavity at the bottom, and never less for a worse angle" do
    expect(described_class.volume_ml(12, 10, 0)).to eq 0.0
    expect(described_class.volume_ml(12, 10, 180)).to be_within(1e-9).of(Math::PI * 12**2 * 10 / 1000)
    for_all(angle: 0.0..170.0, more: 0.0..10.0) do |angle:, more:|
      expect(described_class.volume_ml(12, 10, angle + more)).to be >= described_class.volume_ml(12, 10, angle)
    end
  end
end

RSpec.describe Sandbag::Circuit::NearMiss do
  Sandbag::Tables.rows("near_misses").each do |row|
    row["sizes"].each do |bore|
      it "asks which when #{bore} mm was only measured" do
        asked = described_class.questions(changed(twin_disc_plain, "master", bore: bore))
        expect(asked.map { |question| question[:options] }).to eq [row["sizes"].sort]
        expect(asked.first[:question]).to include(row["inch"])
      end
    end
  end

  it "asks nothing of a size that stands alone, or that the part or the book says" do
    expect(described_class.questions(changed(twin_disc_plain, "master", bore: 20.64))).to be_empty
    %w[part_marking service_info].each do |source|
      expect(described_class.questions(sheet(twin_disc_plain).change("master", "bore", 16, source))).to be_empty
    end
  end
end

RSpec.describe Sandbag::Fluid::Age do
  today = Date.new(2026, 11, 25)

  {
    "2026-06-01" => "fresh",
    "2025-06-01" => "straw",
    "2024-05-18" => "amber",
    "2023-01-01" => "tea",
    "2019-01-01" => "coffee",
    "unknown" => "unknown"
  }.each do |changed_on, look|
    it "looks #{look} when changed on #{changed_on}" do
      expect(described_class.look(described_class.years(changed_on, today))).to eq look
    end
  end

  it "is never younger than new" do
    expect(described_class.years("2027-01-01", today)).to eq 0.0
  end
end
