# frozen_string_literal: true

RSpec.describe Sandbag::Airway::HeightProfile do
  def profile(template)
    sheet = Sandbag::Circuit::Template.sheet(template)
    end_part = sheet.parts.find { |part| %w[caliper slave].include?(part["part"]) }
    described_class.new(sheet, end_part)
  end

  it "names the places that are at each point, and the hose or pipe between one and the next" do
    way = Sandbag::Airway::MethodTable.new(Sandbag::Circuit::Template.filled("road_front_split")).to_h[:ways].first
    expect(way[:points].to_h { |point| point.values_at(:label, :places) }).to include(
      "Master outlet" => ["joint.master"],
      "Hose to the splitter, lower end" => %w[joint.trunk joint.hose_left.upper joint.hose_right.upper]
    )
    expect(way[:points].last[:places]).to include("far_end.caliper_left", "joint.caliper_left")
    expect(way[:lines]).to eq %w[line.trunk line.hose_left]
  end

  it "ends at the far end, and has joints and high spots between it and the master" do
    Sandbag::Tables.rows("circuit_templates").each do |row|
      kinds = profile(row["id"]).outward.map(&:kind)
      expect(kinds.first).to eq("master"), row["id"]
      expect(kinds.last).to eq("far_end"), row["id"]
      expect(kinds[1...-1] - %w[joint high_spot]).to be_empty, row["id"]
    end
  end

  it "has a joint where one hose ends and the next begins" do
    joined = Sandbag::Tables.rows("circuit_templates").count { |row| profile(row["id"]).points.any? { |p| p.kind == "joint" } }
    expect(joined).to be > 0
  end
end
