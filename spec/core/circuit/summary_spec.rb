# frozen_string_literal: true

RSpec.describe Sandbag::Circuit::Summary do
  def summary(sheet)
    described_class.new(sheet).to_h
  end

  it "moves nothing but the free play under a pull that the return spring outweighs" do
    stiff = changed(twin_disc_plain, "master", preload: 190)
    circuit = Sandbag::Circuit::Assembly.build(stiff)
    light = described_class.new(stiff).to_h[:loads].find { |load| load[:force_n] < circuit.finger_force_n(0) }
    expect(light).to include(pressure_mpa: 0.0, stroke_mm: 0.0, travel_mm: circuit.lever.free_play_mm)
    expect(circuit.stroke_under_mm(circuit.finger_force_n(0))).to be_within(1e-9).of(circuit.stroke_mm(0))
  end

  it "says where hoses part: a stacked banjo at the master, a splitter further out" do
    expect(summary(sheet(twin_disc_plain))[:junctions])
      .to eq [{at: "master", kind: "stacked banjo", hoses: 2, washers: 3}]
    parted = summary(Sandbag::Circuit::Template.filled("road_front_split"))[:junctions]
    expect(parted.map { |each| each.values_at(:kind, :hoses) }).to eq [["splitter", 3]]
    expect(summary(Sandbag::Circuit::Template.filled("road_rear"))[:junctions]).to be_empty
  end

  it "says how much air stays in a cavity whose port is not at the top" do
    tilted = changed(twin_disc_plain, "left_caliper", port_angle: 40, cavity_radius: 17, cavity_depth: 20)
    pocket = Sandbag::Hydraulics::PortPocket.volume_ml(17, 20, 40)
    expect(summary(tilted)[:pockets]).to eq [{part: "left_caliper", angle_deg: 40, air_ml: pocket}]
    expect(pocket).to be > 0
    expect(summary(sheet(twin_disc_plain))[:pockets]).to be_empty
  end

  it "traps more air the further the port has turned away from the top" do
    for_all(angle: 1.0..80.0, more: 1.0..9.0) do |angle:, more:|
      volumes = [angle, angle + more].map { |each| Sandbag::Hydraulics::PortPocket.volume_ml(17, 20, each) }
      expect(volumes).to eq volumes.sort
    end
  end
end
