# frozen_string_literal: true

RSpec.describe Sandbag::Hydraulics::Circuit do
  def at(circuit, force, air_ml: 0)
    pressure = circuit.pressure_mpa(force)
    [pressure, circuit.stroke_mm(pressure, air_ml: air_ml), circuit.travel_mm(pressure, air_ml: air_ml)]
  end

  describe "the worked motorcycle front (docs/physics.md 3)" do
    it "has the areas and ratios given" do
      expect(twin_disc.lever.ratio).to eq 5.5
      expect(twin_disc.clamp_area_mm2).to be_within(0.005).of(3229.56)
      expect(twin_disc.volume_ratio).to be_within(0.005).of(22.78)
      expect(twin_disc.force_ratio).to be_within(0.005).of(11.39)
      expect(twin_disc.budget.gap_ml).to be_within(0.00005).of(0.5167)
    end

    {
      50 => [0.8200, 2.919, 17.06],
      100 => [1.6930, 3.235, 18.79],
      150 => [2.5659, 3.551, 20.53]
    }.each do |force, (pressure, stroke, travel)|
      it "at #{force} N holds #{pressure} MPa with #{stroke} mm of stroke and #{travel} mm of lever" do
        found = at(twin_disc, force)
        expect(found[0]).to be_within(0.00005).of(pressure)
        expect(found[1]).to be_within(0.0005).of(stroke)
        expect(found[2]).to be_within(0.005).of(travel)
      end
    end

    {20 => 30.47, 50 => 34.32, 100 => 37.09, 150 => 39.19}.each do |force, travel|
      it "with 1.0 mL of air travels #{travel} mm at #{force} N" do
        expect(at(twin_disc, force, air_ml: 1.0)[2]).to be_within(0.005).of(travel)
      end
    end

    it "stops at 8.0 m/s² with 1.7722 MPa and 104.5 N" do
      pressure = twin_disc.vehicle.pressure_mpa(8.0, twin_disc.clamp_area_mm2)
      expect(pressure).to be_within(0.00005).of(1.7722)
      expect(twin_disc.finger_force_n(pressure)).to be_within(0.05).of(104.5)
    end
  end

  describe "the worked bicycle (docs/physics.md 3)" do
    {20 => [1.2987, 16.69], 60 => [4.0489, 21.74]}.each do |force, (pressure, travel)|
      it "at #{force} N holds #{pressure} MPa with #{travel} mm of lever" do
        found = at(circuit(bicycle_plain), force)
        expect(found[0]).to be_within(0.00005).of(pressure)
        expect(found[2]).to be_within(0.005).of(travel)
      end
    end
  end

  it "turns force to pressure and back" do
    for_all(force: 4.0..400.0) do |force:|
      expect(twin_disc.finger_force_n(twin_disc.pressure_mpa(force))).to be_within(1e-9).of(force)
    end
  end

  it "has no pressure under the return spring" do
    expect(twin_disc.pressure_mpa(3.0)).to eq 0.0
    expect(twin_disc.pressure_mpa(0.0)).to eq 0.0
  end

  it "never shortens the pull by more air" do
    for_all(force: 0.0..300.0, air: 0.0..5.0, more: 0.0..5.0) do |force:, air:, more:|
      less = at(twin_disc, force, air_ml: air)[2]
      expect(at(twin_disc, force, air_ml: air + more)[2]).to be >= less
    end
  end

  it "bore up: effort up, travel down" do
    for_all(bore: 12.0..22.0, more: 0.1..5.0) do |bore:, more:|
      small, large = [bore, bore + more].map { |size| twin_disc.with(master: twin_disc.master.with(bore_mm: size)) }
      expect(large.finger_force_n(1.5)).to be > small.finger_force_n(1.5)
      expect(large.travel_mm(1.5)).to be < small.travel_mm(1.5)
    end
  end

  it "push offset up: lever ratio down" do
    for_all(offset: 10.0..30.0, more: 0.1..10.0) do |offset:, more:|
      short, long = [offset, offset + more].map { |size| twin_disc.lever.with(push_offset_mm: size) }
      expect(long.ratio).to be < short.ratio
    end
  end

  it "two calipers need twice the volume and give twice the clamp area of one" do
    one = twin_disc.with(calipers: twin_disc.calipers.first(1))
    expect(twin_disc.clamp_area_mm2).to eq 2 * one.clamp_area_mm2
    expect(twin_disc.budget.gap_ml).to eq 2 * one.budget.gap_ml
    expect(twin_disc.budget.actuator_ml_mpa).to eq 2 * one.budget.actuator_ml_mpa
  end

  it "sliding and opposed with the same clamp area need the same volume" do
    for_all(piston: 20.0..45.0, clearance: 0.02..0.5) do |piston:, clearance:|
      common = {clearance_mm: clearance, stiffness_ml_mpa: 0.02}
      opposed = Sandbag::Hydraulics::Caliper.new(build: "opposed", pistons_mm: [piston, piston], **common)
      sliding = Sandbag::Hydraulics::Caliper.new(build: "sliding", pistons_mm: [piston], **common)
      expect(sliding.clamp_area_mm2).to be_within(1e-9).of(opposed.clamp_area_mm2)
      expect(sliding.gap_ml).to be_within(1e-12).of(opposed.gap_ml)
    end
  end

  it "draws its curve from the force that overcomes the spring up to the one asked for" do
    points = Sandbag::Hydraulics::LeverCurve.points(twin_disc, up_to_n: 150)
    expect(points.first[:pressure_mpa]).to be_within(1e-12).of(0)
    expect(points.last[:force_n]).to be_within(1e-9).of(150)
    expect(points.map { |point| point[:travel_mm] }).to eq(points.map { |point| point[:travel_mm] }.sort)
  end
end

RSpec.describe Sandbag::Hydraulics::Caliper do
  def caliper(build, pistons)
    described_class.new(build: build, pistons_mm: pistons, clearance_mm: 0.08, stiffness_ml_mpa: 0.02)
  end

  it "refuses no piston, an odd number of opposed ones, and an unknown build" do
    expect(refusal_at { caliper("sliding", []) }).to eq ["pistons"]
    expect(refusal_at { caliper("opposed", [34]) }).to eq ["pistons"]
    expect(refusal_at { caliper("floating", [34]) }).to eq ["build"]
  end
end
