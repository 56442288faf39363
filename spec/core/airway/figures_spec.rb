# frozen_string_literal: true

RSpec.describe Sandbag::Airway::Figures do
  let(:circuit) do
    plain = Sandbag::Circuit::Template.sheet("road_front_single").set("fluid", "stamped", "dot4", "part_marking")
    line = plain.parts_of("line").first["id"]
    plain.change(line, "bore", 4.8, "measured").change(line, "high_spot", 1150, "measured")
  end

  def items(method)
    row = Sandbag::Tables.find("bleed_methods", method)
    Sandbag::Airway::MethodTable.new(circuit).figures(row).group_by(&:label)
  end

  it "open every number to its formula and the values in it" do
    found = items("hold_cycle")
    speed = found["Mean speed"].first
    flow = found["Flow by this way of bleeding"].first.value
    expect(speed.value).to be_within(1e-9).of(1000 * flow / (Math::PI * 4.8**2 / 4))
    expect(found["Eötvös number"].first.value).to be_within(1e-3).of(1050 * 9.80665 * 0.0048**2 / 0.035)
    # upright 9.08 mm/s, Fr 0.0419; the hose climbs 150 mm in 475 and falls 500 in 475: as steep as can be
    rises = found["Rise of a slug by itself"].map(&:value)
    slope = 150.0 / 475
    expect(rises.first).to be_within(0.02).of(9.085 * (slope + 1.37 * 0.04187**(-1.0 / 3) * slope * (1 - slope)))
    expect(rises.last).to be_within(0.01).of(9.08)
    up, down = found["Slug with the flow"].map(&:value)
    expect(up - down).to be_within(1e-9).of(rises.sum)
    expect(found.values.flatten.map(&:formula)).to all(match(/\S/))
    expect(found.values.flatten.map(&:filled)).to all(match(/\d/))
  end

  it "say nothing of a rise in a level line" do
    plain = Sandbag::Circuit::Template.filled("kart_rear")
    level = plain.change(plain.parts_of("line").first["id"], "end_height", plain.value("master", "height"), "measured")
    row = Sandbag::Tables.find("bleed_methods", "hold_cycle")
    labels = Sandbag::Airway::MethodTable.new(level).figures(row).map(&:label)
    expect(labels).to include("Mean speed")
    expect(labels).not_to include("Eötvös number")
  end

  it "say what the way would let through, by the pressure, the resistance and the kinetic head in series" do
    found = items("hand_vacuum")
    resistance = found["Resistance of the way"].first
    expect(resistance.filled).to include("Front hose 950 × 4.8").and include("Nipple 20 × 2").and include("20 °C")
    through = found["Flow the way would let through"].first
    # 670 mm from the outlet to the nipple, 40 up to the level, 100 down to the jar
    pressure = 0.05 + 1050 * 9.80665 * 0.81 * 1e-6
    kinetic = 1050 * ((Math::PI * 4.8**2 / 4)**-2 + (Math::PI * 2.0**2 / 4)**-2) * 1e-6
    expect(found["Kinetic head"].first.value).to be_within(1e-9).of(kinetic)
    expect(resistance.value * through.value + kinetic * through.value**2).to be_within(1e-9).of(pressure)
  end

  it "put a valve and a syringe's hose into the series" do
    expect(items("check_valve")["Resistance of the way"].first.filled).to include "One-way valve 8 × 1.5"
    expect(items("caliper_in_hand")["Resistance of the way"].first.filled).to include "Syringe hose 300 × 3"
  end

  it "are none of flow where nothing flows" do
    expect(items("prime_outlet").keys).not_to include "Resistance of the way"
  end
end
