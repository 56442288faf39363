# frozen_string_literal: true

RSpec.describe Sandbag::Feel::Baseline do
  let(:front) { twin_disc }
  let(:reference) { Sandbag::Circuit::Reference.pressure_mpa(sheet(twin_disc_plain), front) }

  eight = [5, 8, 12, 20, 35, 60, 90, 105]
  slips = [0.1, -0.12, 0.08, -0.1, 0.14, -0.08, 0.1, -0.12]

  def readings(circuit, forces, slips, air: 0.0)
    forces.zip(slips).map do |force, slip|
      travel = circuit.travel_mm(circuit.pressure_mpa(force), air_ml: air)
      Sandbag::Feel::Reading.new(id: force.to_s, force_n: force.to_f, travel_mm: travel + slip)
    end
  end

  def kept(fit)
    JSON.parse(JSON.generate(fit.to_h))
  end

  let(:last_good) { kept(Sandbag::Feel::LeverFit.new(front, readings(front, eight, slips))) }
  let(:baseline) { described_class.of(last_good, front, "2026-03-14T09:00:00Z") }

  def memory(taken, baseline)
    Sandbag::Feel::Memory.new(front, taken, reference, baseline, Sandbag::Feel::Doubt.new(front))
  end

  it "wants three light readings, and one less where there is a baseline" do
    taken = readings(front, eight, slips)
    fits = [nil, baseline].map { |each| Sandbag::Feel::LeverFit.new(front, taken, baseline: each) }
    expect(fits.map(&:low_wanted)).to eq [3, 2]
  end

  it "lets four quick pulls say what they could not by themselves" do
    four = readings(front, [6, 12, 45, 105], [0.08, -0.1, 0.06, -0.04])
    alone, held = [nil, baseline].map { |each| memory(four, each).fit }
    expect(held.trust * held.air_error_ml).to be < 0.4 * alone.trust * alone.air_error_ml
    verdicts = [alone, held].map { |fit| Sandbag::Feel::Verdict.new(fit, front, reference).id }
    expect(verdicts).to eq %w[cant_tell pass]
    expect(said(memory(four, baseline).to_h[:says])).to match(/\AHeld against the last good lever: ± 0\.\d+ mL instead/)
  end

  it "is dropped, and says so, where the readings are of another lever" do
    soft = front.with(lines: front.lines.map { |line| line.with(expansion_ml_m_mpa: 0.2) })
    taken = readings(soft, eight, slips)
    found = memory(taken, baseline)
    expect(found).not_to be_helps
    expect(found.to_h).to include(used: false, says: a_string_including("differ too much from the last good lever"))
    expect(found.fit.air_ml).to eq memory(taken, nil).fit.air_ml
  end

  it "is none of another cylinder" do
    other = front.with(master: front.master.with(bore_mm: 16))
    expect(described_class.of(last_good, other, "2026-03-14T09:00:00Z")).to be_nil
  end

  it "never makes a pass of a curve that fails by itself" do
    for_all(air: 0.15..1.5, shift: -0.2..0.2) do |air:, shift:|
      taken = readings(front, eight, slips.map { |slip| slip + shift }, air: air)
      own = Sandbag::Feel::Verdict.new(memory(taken, nil).fit, front, reference)
      held = Sandbag::Feel::Verdict.new(memory(taken, baseline).fit, front, reference)
      expect(held.id).not_to eq "pass" if own.fails?
    end
  end

  it "has a larger error the more its readings scatter" do
    for_all(more: 1.5..6.0) do |more:|
      calm, rough = [1, more].map do |factor|
        Sandbag::Feel::LeverFit.new(front, readings(front, eight, slips.map { |slip| slip * factor }))
      end
      expect(rough.air_error_ml).to be > calm.air_error_ml
    end
  end

  it "knows Student's quantiles, and what lies beyond the table" do
    expect([1, 5, 9, 30].map { |degrees| Sandbag::Feel::Student.quantile(degrees) }).to eq [12.706, 2.571, 2.262, 2.042]
    expect(Sandbag::Feel::Student.quantile(60)).to be_within(0.002).of(2.000)
  end

  it "asks on where a pull would say most, and has enough when the verdict stands" do
    sheet = sheet(twin_disc_plain)
    report = ->(taken) { Sandbag::Feel::LeverReport.new(sheet, front, taken.map { |each| [each, false] }) }
    few = report.call(readings(front, [5, 8, 12, 60], slips))
    expect(few.next_force).to be_between(3, 110)
    expect(few.fit.air_error_with(few.next_force)).to be < few.fit.air_error_ml
    many = readings(front, [5, 6, 8, 10, 12, 16, 20, 28, 40, 60, 80, 105], slips + slips)
    expect(report.call(many).verdict.id).to eq "pass"
    expect(report.call(many).next_force).to be_nil
  end

  it "goes by a preload that was measured, and doubts it no more" do
    job = JobInMemory.new(sheet(twin_disc_plain)).bled
    job.read_lever(air_ml: 0.5)
    doubted = job.state.feel.report.fit
    pull = front.finger_force_n(0)
    job.add("feel", "preload", {"force" => pull})
    known = job.state.feel
    expect(known).to be_preload_known
    expect(known.job.sheet.value("master", "preload")).to be_within(0.01).of(front.master.preload_n)
    expect(known.report.fit.air_error_ml).to be < doubted.air_error_ml
  end

  it "says what changed since before, and since it was last good" do
    before = Sandbag::Feel::LeverFit.new(front, readings(front, eight, slips, air: 1.0))
    now = Sandbag::Feel::LeverFit.new(front, readings(front, eight, slips))
    rows = Sandbag::Feel::Changes.new(before, now, last_good).to_a.to_h { |row| [row[:id], row] }
    expect(rows["air"]).to include(says: "Air came out.", before: be_within(0.1).of(1.0))
    expect(rows["stiffness"]).not_to have_key(:says)
    soft = front.with(lines: front.lines.map { |line| line.with(expansion_ml_m_mpa: 0.1) })
    softer = Sandbag::Feel::LeverFit.new(front, readings(soft, eight, slips))
    said = Sandbag::Feel::Changes.new(nil, softer, last_good).to_a.last[:says]
    expect(said).to eq "Softer than it was: hose, caliper or tapered pads."
    expect(Sandbag::Feel::Changes.new(nil, now, nil).to_a).to eq []
  end

  it "takes a gauge's pull as readings of a gauge, each of which can be set aside" do
    job = JobInMemory.new(sheet(twin_disc_plain)).bled
    rig = Sandbag::Rig::Circuit.new(sheet(twin_disc_plain), today: Date.new(2026, 3, 14), seed: "front")
    curve = Sandbag::Feel::GaugeCurve.new(Sandbag::Rig::LeverPull.new(rig.running, top_n: 110, seed: "front").csv)
    forces, travels = %i[force_n travel_mm].map { |name| curve.readings.map { |reading| reading[name] } }
    id = job.add("feel", "curve", {"forces" => forces, "travels" => travels, "friction" => curve.friction_n})
    report = job.state.feel.report
    expect(report.to_h[:readings].map { |reading| reading[:id] }).to include("#{id}.1")
    expect(report.verdict.id).not_to eq "cant_tell"
    job.add("feel", "set_aside", {"entry" => "#{id}.2", "reason" => "a slip"})
    expect(job.state.feel.report.to_h[:readings].count { |reading| reading[:set_aside] }).to eq 1
    expect(refusal_at { job.add("feel", "curve", {"forces" => [1, 2], "travels" => [1]}) }).to eq ["data/travels"]
  end
end
