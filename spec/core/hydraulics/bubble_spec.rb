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
      expect(described_class.new(bore, fluid.of("glycol")).by_correlation_mm_s).to be_within(0.05).of(speed)
    end
    expect(described_class.new(4.8, fluid.of("glycol")).drift_mm_s).to be_within(0.005).of(9.08)
    expect(described_class.new(4.8, fluid.of("silicone")).drift_mm_s).to be_within(0.005).of(8.38)
    expect(described_class.new(4.8, fluid.of("mineral")).drift_mm_s).to be_within(0.005).of(5.28)
  end

  # Eo/4 − 0.8425 = 1.25 Ca^(2/9) + 2.24 Ca^(1/3): at 4.0 mm Eo is 4.707, Ca 2.37e-4, and σ Ca / μ is 0.526 mm/s
  it "drifts by Bretherton's film just above arrest, where that is slower, and is uncertain there" do
    {3.40 => 0.0, 4.0 => 0.526, 4.5 => 5.77}.each do |bore, speed|
      expect(described_class.new(bore, fluid.of("glycol"))).to have_attributes(uncertain?: true,
        drift_mm_s: be_within(0.005).of(speed))
    end
    ca = 0.000526 * 0.0158 / 0.035
    expect(1.25 * ca**(2.0 / 9) + 2.24 * ca**(1.0 / 3)).to be_within(0.002).of(4.707 / 4 - 3.37 / 4)
    expect(described_class.new(4.6, fluid.of("glycol"))).not_to be_uncertain
  end

  it "drifts by its slope: not where it is level, fastest at a slant, as ever where it is upright" do
    at = ->(slope) { described_class.new(4.8, fluid.of("glycol"), slope: slope).drift_mm_s }
    upright = at[1.0]
    expect(at[0.0]).to eq 0
    expect(at[0.01] / upright).to be_within(0.001).of(0.01 + 1.37 * 0.04187**(-1.0 / 3) * 0.0099)
    expect(at[0.5] / upright).to be_within(0.01).of(0.5 + 1.37 * 0.04187**(-1.0 / 3) * 0.25)
    expect(at[0.7] / upright).to eq 1.5
  end

  it "rises by Stokes while it is small" do
    expect(described_class.small_rise_mm_s(1.0, fluid.of("glycol"))).to be_within(0.05).of(36.2)
    expect(described_class.small_rise_mm_s(0.3, fluid.of("glycol"))).to be_within(0.005).of(3.26)
  end

  it "is pushed by 0.882 mL/s of gravity flow over 0.70 m, by 7.00 with 50 kPa of vacuum, by friction alone" do
    glycol = fluid.of("glycol")
    line = [segment(1200, 3.2), segment(20, 2.0)]
    resistance = flow.resistance_mpa_s_ml(line, glycol)
    gravity = flow.head_mpa(700, glycol) / resistance
    expect(gravity).to be_within(0.0005).of(0.882)
    expect(flow.speed_mm_s(gravity, 3.2)).to be_within(0.5).of(110)
    expect((flow.head_mpa(700, glycol) + 0.05) / resistance).to be_within(0.005).of(7.00)
  end

  # 8 mm: friction alone would let 50 mL/s through; in the nipple of 2 mm that is 16 m/s.
  it "is slowed by the kinetic head where it is quick" do
    glycol = fluid.of("glycol")
    wide = [segment(1200, 8.0), segment(20, 2.0)]
    expect(0.05 / flow.resistance_mpa_s_ml(wide, glycol)).to be_within(0.05).of(50.3)
    found = flow.ml_s(0.05, wide, glycol)
    speeds = [8.0, 2.0].map { |bore| found * 1e-6 / (Math::PI * (bore / 1000)**2 / 4) }
    lost = speeds.sum { |speed| 1050 * speed**2 } * 1e-6
    expect(flow.resistance_mpa_s_ml(wide, glycol) * found + lost).to be_within(1e-9).of(0.05)
    expect(found).to be_within(0.05).of(17.5)
  end

  # Warm glycol through 6 mm, as a wide line without a nipple.
  it "is slowed by turbulence above a Reynolds number of 2300" do
    thin = fluid.of("glycol", celsius: 40)
    line = [segment(1000, 6.0)]
    found = flow.ml_s(0.06, line, thin)
    number = flow.reynolds(found, line.first, thin)
    speed = found * 1e-6 / (Math::PI * 0.006**2 / 4)
    expect(number).to be > 2300
    blasius = 0.316 * number**-0.25 * 1.0 / 0.006 * 1050 * speed**2 / 2
    expect((blasius + 1050 * speed**2) * 1e-6).to be_within(1e-6).of(0.06)
    expect(found).to be < 0.06 / flow.resistance_mpa_s_ml(line, thin)
  end

  it "knows how thick the cold makes a fluid: 8.0 at −20 °C, 2.6 at 0, half at 40" do
    {-20 => 8.0, 0 => 2.6, 20 => 1.0, 40 => 0.5}.each do |celsius, factor|
      expect(fluid.of("mineral", celsius: celsius).viscosity_pa_s / 0.020).to be_within(1e-9).of(factor)
    end
    expect(fluid.of("silicone", celsius: -20).viscosity_pa_s / 0.043).to be_within(1e-9).of(2.5)
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
