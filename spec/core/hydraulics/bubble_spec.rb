# frozen_string_literal: true

# Flow through a line and the air in it, to the digits of docs/physics.md 6.
RSpec.describe Sandbag::Hydraulics::Bubble do
  flow = Sandbag::Hydraulics::Flow
  fluid = Sandbag::Fluid::FlowingFluid

  def segment(length, bore)
    Sandbag::Hydraulics::Flow::Segment.new(length, bore)
  end

  it "is arrested below 3.38 mm in glycol, 2.74 in silicone, 3.46 in mineral oil" do
    {"glycol" => 3.38, "silicone" => 2.74, "mineral" => 3.46}.each do |family, bore|
      expect(described_class.new(bore - 0.01, fluid.of(family))).to be_arrested
      expect(described_class.new(bore + 0.01, fluid.of(family)).drift_mm_s).to be > 0
    end
    expect(described_class.new(3.2, fluid.of("glycol")).drift_mm_s).to eq 0
  end

  it "drifts by the universal correlation above that" do
    {4.0 => 2.46, 4.8 => 9.08, 6.0 => 31.9, 8.0 => 70.1}.each do |bore, speed|
      expect(described_class.new(bore, fluid.of("glycol")).drift_mm_s).to be_within(0.05).of(speed)
    end
    expect(described_class.new(4.8, fluid.of("silicone")).drift_mm_s).to be_within(0.005).of(8.38)
    expect(described_class.new(4.8, fluid.of("mineral")).drift_mm_s).to be_within(0.005).of(5.28)
  end

  it "rises by Stokes while it is small" do
    expect(described_class.small_rise_mm_s(1.0, fluid.of("glycol"))).to be_within(0.05).of(36.2)
    expect(described_class.small_rise_mm_s(0.3, fluid.of("glycol"))).to be_within(0.005).of(3.26)
  end

  it "is pushed by 0.882 mL/s of gravity flow over 0.70 m, by 7.00 with 50 kPa of vacuum" do
    glycol = fluid.of("glycol")
    line = [segment(1200, 3.2), segment(20, 2.0)]
    gravity = flow.ml_s(flow.head_mpa(700, glycol), line, glycol)
    expect(gravity).to be_within(0.0005).of(0.882)
    expect(flow.speed_mm_s(gravity, 3.2)).to be_within(0.5).of(110)
    expect(flow.ml_s(flow.head_mpa(700, glycol) + 0.05, line, glycol)).to be_within(0.005).of(7.00)
  end

  it "knows how thick the cold makes a fluid: 8.0 at −20 °C, 2.6 at 0, half at 40" do
    {-20 => 8.0, 0 => 2.6, 20 => 1.0, 40 => 0.5}.each do |celsius, factor|
      expect(fluid.of("mineral", celsius: celsius).viscosity_pa_s / 0.020).to be_within(1e-9).of(factor)
    end
    # half way between two points, by their logarithms
    expect(fluid.of("glycol", celsius: 10).viscosity_pa_s / 0.0158).to be_within(1e-9).of(Math.sqrt(2.6))
  end

  it "never flows slower through a wider nipple, nor faster when it is colder" do
    for_all(
      bore: 0.8..4.0,
      wider: 0.0..2.0,
      celsius: -20.0..40.0,
      colder: 0.0..20.0
    ) do |bore:, wider:, celsius:, colder:|
      warm, cold = fluid.of("glycol", celsius: celsius), fluid.of("glycol", celsius: celsius - colder)
      through = ->(width, at) { flow.ml_s(0.05, [segment(1000, 3.2), segment(20, width)], at) }
      expect(through[bore + wider, warm]).to be >= through[bore, warm]
      expect(through[bore, cold]).to be <= through[bore, warm] * (1 + 1e-12)
    end
  end

  it "refuses a fluid without figures" do
    expect(refusal_at { fluid.of("water") }).to eq ["fluid"]
  end
end
