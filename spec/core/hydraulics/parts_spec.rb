# frozen_string_literal: true

RSpec.describe Sandbag::Hydraulics::MasterCylinder do
  let(:lever) do
    Sandbag::Hydraulics::Lever.new(
      finger_to_pivot_mm: 100,
      push_offset_mm: 18,
      free_play_mm: 1,
      gap_to_grip_mm: 70,
      safe_gap_mm: 20,
      efficiency: 0.9
    )
  end

  def master(bore, preload: 0)
    described_class.new(bore_mm: bore, stroke_mm: 13, dead_stroke_mm: 0.8, preload_n: preload)
  end

  it "gives 2.49 MPa for 100 N on a 16 mm bore at 100 over 18 (docs/trade.md 2.1)" do
    expect(lever.ratio).to be_within(0.005).of(5.56)
    expect(master(16).pressure_mpa(100, lever)).to be_within(0.005).of(2.49)
  end

  it "from 14 to 16 mm asks 1.306 of the effort for 0.766 of the travel (docs/trade.md 2.1)" do
    small, large = master(14), master(16)
    expect(large.finger_force_n(2, lever) / small.finger_force_n(2, lever)).to be_within(0.0005).of(1.306)
    travel = ->(cylinder) { cylinder.stroke_for_mm(1.0) - cylinder.dead_stroke_mm }
    expect(travel[large] / travel[small]).to be_within(0.0005).of(0.766)
  end

  it "moves 1.2 mL with 14 mm over 8 mm, 2.0 with 16 over 10 (docs/trade.md 7.6)" do
    expect(
      described_class.new(bore_mm: 14, stroke_mm: 8, dead_stroke_mm: 0, preload_n: 0).swept_ml
    ).to be_within(0.05).of(1.2)
    expect(
      described_class.new(bore_mm: 16, stroke_mm: 10, dead_stroke_mm: 0, preload_n: 0).swept_ml
    ).to be_within(0.05).of(2.0)
  end

  it "delivers over a stroke just what the stroke is said to need" do
    for_all(volume: 0.0..5.0, bore: 8.0..25.0) do |volume:, bore:|
      cylinder = master(bore)
      stroke = cylinder.stroke_for_mm(volume)
      expect((stroke - cylinder.dead_stroke_mm) * cylinder.area_mm2 / 1000).to be_within(1e-9).of(volume)
    end
  end

  it "has the spring to overcome before anything" do
    expect(master(16, preload: 15).finger_force_n(0, lever)).to be_within(1e-9).of(15 / (0.9 * 100 / 18.0))
    expect(master(16, preload: 15).pressure_mpa(2, lever)).to eq 0.0
  end
end

RSpec.describe Sandbag::Hydraulics::Line do
  {3.0 => 7.1, 3.2 => 8.0, 2.0 => 3.1}.each do |bore, volume|
    it "holds #{volume} mL a metre at #{bore} mm (docs/trade.md 2.1)" do
      line = described_class.new(length_mm: 1000, bore_mm: bore, expansion_ml_m_mpa: 0.02)
      expect(line.fluid_ml).to be_within(0.06).of(volume)
    end
  end

  it "swells with its length and nothing else" do
    for_all(length: 1.0..3000.0, bore: 1.0..5.0) do |length:, bore:|
      line = described_class.new(length_mm: length, bore_mm: bore, expansion_ml_m_mpa: 0.07)
      expect(line.swell_ml_mpa).to be_within(1e-12).of(length * 0.07 / 1000)
    end
  end
end

RSpec.describe Sandbag::Hydraulics::Vehicle do
  let(:plain) { {mass_kg: 340, wheel_radius_m: 0.09, disc_radius_m: 0.09, friction: 0.45, drive_ratio: 1.0} }

  it "asks less pressure of a disc that turns faster than what it stops" do
    direct = described_class.new(**plain).pressure_mpa(4, 1800)
    geared = described_class.new(**plain, drive_ratio: 2.4).pressure_mpa(4, 1800)
    expect(direct / geared).to be_within(1e-9).of(2.4)
  end

  it "asks in proportion to deceleration and mass" do
    for_all(deceleration: 0.1..12.0, mass: 50.0..500.0) do |deceleration:, mass:|
      one = described_class.new(**plain, mass_kg: mass).pressure_mpa(1, 1800)
      expect(described_class.new(**plain, mass_kg: mass).pressure_mpa(deceleration, 1800)).to be_within(1e-9).of(
        deceleration * one
      )
    end
  end
end

RSpec.describe Sandbag::Hydraulics::VolumeBudget do
  subject(:budget) do
    described_class.new(
      gap_ml: 0.5,
      hose_ml_mpa: 0.03,
      actuator_ml_mpa: 0.04,
      fluid_ml: 54,
      bulk_modulus_mpa: 1800
    )
  end

  it "adds gap, stiffness and air by hand" do
    # 0.5 + (0.03 + 0.04 + 0.03) 2 + 2 / 2.101325
    expect(budget.volume_ml(2.0, air_ml: 1.0)).to be_within(1e-9).of(0.5 + 0.2 + 2 / 2.101325)
    expect(budget.volume_ml(0.0, air_ml: 1.0)).to eq 0.5
  end

  it "never takes more than all the air" do
    for_all(pressure: 0.0..50.0) do |pressure:|
      expect(described_class.air_taken_ml(1.0, pressure)).to be_between(0, 1)
    end
  end
end
