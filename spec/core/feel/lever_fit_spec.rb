# frozen_string_literal: true

RSpec.describe Sandbag::Feel::LeverFit do
  let(:front) { twin_disc }

  def readings(forces, travels)
    forces
      .zip(travels)
      .map { |force, travel| Sandbag::Feel::Reading.new(id: force.to_s, force_n: force.to_f, travel_mm: travel) }
  end

  def noise_free(forces, air_ml)
    readings(forces, forces.map { |force| front.travel_mm(front.pressure_mpa(force), air_ml: air_ml) })
  end

  # Each as a ruler of known steps read it.
  def by_ruler(readings)
    readings.map { |reading| reading.dup.tap { |each| each.step_mm = 0.1 } }
  end

  forces = [5, 8, 12, 20, 35, 60, 90, 120]
  worked = [20.407, 24.545, 27.513, 30.468, 32.952, 35.007, 36.629, 37.968]
  noise = [0.2, -0.2, 0.1, -0.1, 0.2, -0.1, 0.1, -0.2]

  it "works out the readings that docs/physics.md 7 gives" do
    noise_free(forces, 1.0).zip(worked) { |reading, travel| expect(reading.travel_mm).to be_within(0.0005).of(travel) }
  end

  it "returns v0 0.7951, C 0.10256 and 1.0000 mL from them" do
    fit = described_class.new(front, noise_free(forces, 1.0))
    expect(fit.dead_volume_ml).to be_within(0.00005).of(0.7951)
    expect(fit.stiffness_ml_mpa).to be_within(0.000005).of(0.10256)
    expect(fit.air_ml).to be_within(0.00005).of(1.0)
  end

  # The digits of physics.md are of readings that are all worth the same.
  describe Sandbag::Feel::PlainFit do
    it "with noise returns 0.7977, 0.09900, 0.9998 with a standard error of 0.0242" do
      noisy = readings(forces, noise_free(forces, 1.0).map(&:travel_mm).zip(noise).map(&:sum))
      fit = described_class.new(front, noisy)
      dead, stiffness, air = fit.coefficients
      expect(dead).to be_within(0.00005).of(0.7977)
      expect(stiffness).to be_within(0.000005).of(0.09900)
      expect(air).to be_within(0.00005).of(0.9998)
      expect(fit.air_error_ml).to be_within(0.00005).of(0.0242)
    end

    it "without the readings under 20 N returns 1.121 ± 0.125" do
      noisy = readings(forces, noise_free(forces, 1.0).map(&:travel_mm).zip(noise).map(&:sum)).drop(3)
      fit = described_class.new(front, noisy)
      expect(fit.coefficients.last).to be_within(0.0005).of(1.121)
      expect(fit.air_error_ml).to be_within(0.0005).of(0.125)
    end
  end

  it "without the readings under 20 N cannot tell, and names the forces to add" do
    noisy = readings(forces, noise_free(forces, 1.0).map(&:travel_mm).zip(noise).map(&:sum)).drop(3)
    verdict = Sandbag::Feel::Verdict.new(described_class.new(front, noisy), front, 1.7722)
    expect(verdict.id).to eq "cant_tell"
    expect(verdict.forces_to_add.size).to eq 2
    expect(said(verdict.to_h[:why])).to include("below 31 N")
  end

  it "gives back the parameters of any noise-free curve" do
    for_all(air: 0.0..3.0, clearance: 0.02..0.3) do |air:, clearance:|
      other = front.with(calipers: front.calipers.map { |caliper| caliper.with(clearance_mm: clearance) })
      exact =
        forces.map do |force|
          Sandbag::Feel::Reading.new(
            id: force,
            force_n: force,
            travel_mm: other.travel_mm(other.pressure_mpa(force), air_ml: air)
          )
        end
      fit = described_class.new(front, exact)
      expect(fit.air_ml).to be_within(1e-6).of(air)
      expect(fit.stiffness_ml_mpa).to be_within(1e-6).of(front.budget.stiffness_ml_mpa)
      expect(fit.travel_mm(100)).to be_within(1e-6).of(other.travel_mm(other.pressure_mpa(100), air_ml: air))
    end
  end

  it "foresees the error that one more reading leaves" do
    for_all(air: 0.1..2.0, force: 6.0..100.0) do |air:, force:|
      now, later = [forces, forces + [force]].map { |pulls|
        described_class.new(front, by_ruler(noise_free(pulls, air)))
      }
      foreseen = now.air_error_with(force)
      expect(foreseen).to be_within(0.03 * foreseen).of(later.air_error_ml)
    end
  end

  it "foresees what the give of seals and pads leaves of the error, where nothing scatters" do
    for_all(air: 0.1..2.0, force: 6.0..100.0) do |air:, force:|
      now, later = [forces, forces + [force]].map { |pulls| described_class.new(front, noise_free(pulls, air)) }
      expect(now.air_error_with(force)).to be_within(1e-4 * later.air_error_ml).of(later.air_error_ml)
    end
  end

  it "counts on half of the give of seals and pads, with its spread" do
    exact = described_class.new(front, noise_free(forces, 0.5))
    expect(exact.low_ml..exact.high_ml).to cover(0.5)
    expect((exact.low_ml + exact.high_ml) / 2).to be_within(1e-4).of(0.5 - Math.sqrt(3) * exact.air_error_ml)
  end

  it "never goes negative, whatever was read" do
    for_all(a: 0.0..40.0, b: 0.0..40.0, c: 0.0..40.0, d: 0.0..40.0, e: 0.0..40.0) do |a:, b:, c:, d:, e:|
      fit = described_class.new(front, readings([6, 12, 30, 70, 120], [a, b, c, d, e]))
      expect([fit.dead_volume_ml, fit.stiffness_ml_mpa, fit.air_ml]).to all(be >= 0)
    end
  end

  it "cannot tell anything of readings of no lever at all" do
    nonsense = readings([6, 12, 30, 70, 120], [0.0, 25.672, 0.0, 17.588, 27.94])
    fit = described_class.new(front, nonsense)
    expect(fit.air_error_ml).to be_nil
    expect(Sandbag::Feel::Verdict.new(fit, front, 1.7722).id).to eq "cant_tell"
    report = Sandbag::Feel::LeverReport.new(sheet(twin_disc_plain), front, nonsense.map { |each| [each, false] })
    expect(report.to_h).to include(:next_n, verdict: a_hash_including(verdict: "cant_tell"))
  end

  it "fits at least as well as any other non-negative answer" do
    noisy = readings(forces, noise_free(forces, 0.2).map(&:travel_mm).zip(noise).map(&:sum))
    fit = described_class.new(front, noisy)
    best = fit.residuals_mm.sum { |each| each**2 }
    for_all(v0: 0.0..2.0, stiffness: 0.0..0.3, air: 0.0..1.0) do |v0:, stiffness:, air:|
      other = noisy.sum do |reading|
        pressure = front.pressure_mpa(reading.force_n)
        volume = v0 + stiffness * pressure + Sandbag::Hydraulics::VolumeBudget.air_taken_ml(air, pressure)
        (reading.travel_mm - front.travel_of_volume_mm(volume))**2
      end
      expect(other).to be >= best - 1e-9
    end
  end

  it "leaves out readings lighter than the return spring" do
    fit = described_class.new(front, noise_free([1, 2] + forces, 0.5))
    expect(fit.readings.map(&:force_n)).to eq forces.map(&:to_f)
  end

  it "refuses fewer than four different forces" do
    expect(refusal_at { described_class.new(front, noise_free([5, 20, 60], 0)) }).to eq ["readings"]
    expect(refusal_at { described_class.new(front, noise_free([5, 5, 20, 20, 60, 60], 0)) }).to eq ["readings"]
  end

  it "marks a reading far off the curve and drops none" do
    exact = noise_free(forces, 0.3)
    wrong =
      exact.dup.tap do |list|
        list[4] = Sandbag::Feel::Reading.new(id: "wrong", force_n: 35.0, travel_mm: list[4].travel_mm + 6)
      end
    fit = described_class.new(front, wrong)
    expect(fit.outliers.map(&:id)).to include("wrong")
    expect(fit.readings.size).to eq forces.size
  end
end

RSpec.describe Sandbag::Feel::Verdict do
  def verdict(plain, air_ml, slips: [0.02, -0.02, 0.01, -0.01, 0.02, -0.01, 0.01, -0.02])
    circuit = circuit(plain)
    reference = Sandbag::Circuit::Reference.pressure_mpa(sheet(plain), circuit)
    light = Sandbag::Feel::LowForces.of(circuit)
    forces = light + [0.4, 0.7, 1.0].map { |share| share * circuit.finger_force_n(reference) }
    readings = forces.zip(slips).map do |force, slip|
      Sandbag::Feel::Reading.new(id: force.to_s, force_n: force,
        travel_mm: circuit.travel_mm(circuit.pressure_mpa(force), air_ml: air_ml) + slip)
    end
    described_class.new(Sandbag::Feel::LeverFit.new(circuit, readings), circuit, reference)
  end

  it "passes under 1.5 mm, is marginal to 3, and says bleed again over" do
    expect(verdict(twin_disc_plain, 0.02).id).to eq "pass"
    expect(verdict(twin_disc_plain, 0.12).id).to eq "marginal"
    expect(verdict(twin_disc_plain, 0.30).id).to eq "bleed_again"
  end

  it "halves the limits on a bicycle" do
    expect(verdict(bicycle_plain, 0.0).to_h).to include(pass_mm: 0.75, again_mm: 1.5)
  end

  it "costs the lever what physics says the air takes" do
    found = verdict(twin_disc_plain, 0.30, slips: [0] * 8)
    circuit = twin_disc
    pressure = Sandbag::Circuit::Reference.pressure_mpa(sheet(twin_disc_plain), circuit)
    expect(found.cost_mm).to be_within(1e-4).of(circuit.travel_mm(pressure, air_ml: 0.30) - circuit.travel_mm(pressure))
  end

  it "does not pass on an estimate whose error could hide a fault" do
    loose = [1.2, -1.4, 1.3, -1.1, 1.5, -1.2, 1.1, -1.3]
    expect(verdict(twin_disc_plain, 0.02, slips: loose).id).not_to eq "pass"
  end

  it "points away from air when the circuit is softer than it should be" do
    soft = changed(twin_disc_plain, "left_hose", expansion: 0.2).to_h
    circuit = circuit(soft)
    readings =
      [6, 10, 16, 22, 40, 70, 110].map do |force|
        Sandbag::Feel::Reading.new(id: force, force_n: force, travel_mm: circuit.travel_mm(circuit.pressure_mpa(force)))
      end
    fit = Sandbag::Feel::LeverFit.new(twin_disc, readings)
    expect(described_class.new(fit, twin_disc, 1.77)).to be_soft
    expect(verdict(twin_disc_plain, 0.0)).not_to be_soft
  end
end

RSpec.describe Sandbag::Feel::ClutchLiftCheck do
  let(:clutch) { circuit(clutch_plain) }

  it "passes with the margin, is marginal without it, and fails short of the lift" do
    expect([2.317, 2.0, 1.9].map { |lift| described_class.new(clutch, lift).id }).to eq %w[pass marginal bleed_again]
  end

  it "says how much air would swallow what is missing" do
    found = described_class.new(clutch, 1.8).to_h
    pressure = clutch.slave.release_pressure_mpa
    taken = Sandbag::Hydraulics::VolumeBudget.air_taken_ml(found[:missing_air_ml], pressure)
    expect(taken).to be_within(1e-9).of((found[:expected_lift_mm] - 1.8) * clutch.slave.area_mm2 / 1000)
    expect(described_class.new(clutch, 2.4).to_h[:missing_air_ml]).to eq 0.0
  end
end

RSpec.describe Sandbag::Feel::HoldCheck do
  it "passes to 2 mm of creep and not beyond" do
    expect(
      [0.0, 2.0, 2.1].map { |creep| described_class.of(creep, Sandbag::Tables.find("controls", "bar_lever"))[:pass] }
    ).to eq [true, true, false]
  end
end
