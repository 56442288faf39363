# frozen_string_literal: true

RSpec.describe Sandbag::Circuit::PartFields do
  def values(part, kind, entered = {}, known = {})
    described_class.of(part, kind).resolve(entered, known).transform_values(&:value)
  end

  def entered(value)
    {"value" => value, "source" => "measured"}
  end

  it "has every field of the table that such a part has on such a circuit, in the order of the table" do
    Sandbag::Circuit::Kind.all.product(Sandbag::Circuit::Field.all.map(&:part).uniq).each do |kind, part|
      rows = Sandbag::Tables.rows("circuit_fields").select { |row| row["part"] == part && kind.suits?(row) }
      expect(values(part, kind.id).keys).to eq(rows.map { |row| row["field"] })
    end
  end

  it "stands at one default on every kind of circuit where its row has one" do
    row = Sandbag::Tables.rows("circuit_fields").find { |each| each["default"].is_a?(Numeric) }
    field = Sandbag::Circuit::Field.new(row)
    expect([field.by, field.default(nil)&.value]).to eq [nil, row["default"].to_f]
  end

  it "stands at the trade's default of the kind of circuit" do
    expect(values("master", "brake_kart")["bore"]).to eq 19.05
    expect(values("master", "brake_hand")["bore"]).to eq 16.0
  end

  it "lets a default follow what was entered beside it" do
    expect(values("line", "brake_hand")["expansion"]).to eq 0.070
    expect(values("line", "brake_hand", {"kind" => entered("braided")})["expansion"]).to eq 0.020
    expect(values("line", "brake_bike")["expansion"]).to eq 0.012
    expect(values("line", "brake_hand", {}, {"kind" => "steel"})["expansion"]).to eq 0.002
  end

  it "knows how a caliper flexes by its build and its pistons" do
    flex = ->(kind, **given) { values("caliper", kind, given.to_h { |k, v| [k.to_s, entered(v)] })["stiffness"] }
    expect(flex.call("brake_bike", pistons: [22.0] * 4)).to eq 0.004
    expect(flex.call("brake_hand", build: "sliding", pistons: [27.0])).to eq 0.030
    expect(flex.call("brake_hand", pistons: [34.0, 34.0])).to eq 0.012
    expect(flex.call("brake_hand", pistons: [34.0] * 4)).to eq 0.020
  end

  it "puts what was entered before what the template knew, and that before the trade's default" do
    both = described_class.of("line", "brake_hand").resolve({"length" => entered(800.0)},
      {"length" => 700.0, "bore" => 2.5})
    expect(both.slice("length", "bore", "bolt").transform_values { |each| [each.value, each.source] })
      .to eq("length" => [800.0, "measured"], "bore" => [2.5, "default"], "bolt" => [10.0, "default"])
  end

  it "passes over a field that no longer exists, so that an old record can be read" do
    old = values("lever", "brake_hand", {"colour" => entered("red")}, {"shade" => 1})
    expect(old).to eq values("lever", "brake_hand")
  end

  it "refuses, with what there is, a field that such a part has not" do
    found = problems { described_class.of("lever", "brake_hand").fetch("colour") }.first
    expect(found).to have_attributes(pointer: "colour", message: "a lever has no colour",
      accepted: a_string_including("push_offset"))
  end
end
