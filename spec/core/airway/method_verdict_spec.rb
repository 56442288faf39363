# frozen_string_literal: true

RSpec.describe Sandbag::Airway::MethodVerdict do
  # Every bleeding method on the first way of every template with a loop.
  let(:verdicts) do
    Sandbag::Tables.rows("circuit_templates").flat_map do |row|
      sheet = Sandbag::Circuit::Template.sheet(row["id"])
      line = sheet.parts.find { |part| part["part"] == "line" }
      looped = sheet.change(line["id"], "high_spot", sheet.value("master", "height") + 150, "measured")
      way = Sandbag::Airway::Way.all(looped).first
      Sandbag::Tables.rows("bleed_methods").select { |method| sheet.suits?(method) }
        .map { |method| described_class.new(way, method) }
    end
  end

  it "asks for no change where air is carried out already" do
    clean = verdicts.select(&:clean?)
    expect(clean).not_to be_empty
    expect(clean.map { |each| [each.id, each.changes, each.together?] }.uniq).to eq [["suitable", [], false]]
  end

  it "wants two changes together only where no single one is enough" do
    kinds = verdicts.reject(&:clean?).group_by(&:id)
    expect(kinds.fetch("workable").map { |each| each.changes.any? }.uniq).to eq [true]
    expect(kinds.fetch("leaves_air", []).map { |each| [each.changes, each.together?] }.uniq - [[[], false]]).to eq []
    pairs = kinds.fetch("workable").select(&:together?)
    expect(pairs.map { |each| each.changes.size }.uniq - [2]).to eq []
  end
end
