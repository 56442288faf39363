# frozen_string_literal: true

RSpec.describe Sandbag::Rig::LeverPull do
  let(:found) { sheet(twin_disc_plain) }
  let(:circuit) { Sandbag::Circuit::Assembly.build(found) }
  let(:top_n) { 1.1 * Sandbag::Circuit::Reference.force_n(found, circuit) }

  def rig(air_ml)
    air = air_ml.zero? ? [] : [Sandbag::Rig::Slug.new(ml: air_ml, path: 0, at_mm: 400.0)]
    Sandbag::Rig::Simulation.new(found, air: air)
  end

  def fit(csv)
    readings = Sandbag::Feel::GaugeCurve.new(csv).readings.map { |each| Sandbag::Feel::Reading.new(**each, gauge: true) }
    Sandbag::Feel::LeverFit.new(circuit, readings)
  end

  it "reads off the running circuit what hydraulics says of it" do
    pulled = described_class.new(rig(0.3), top_n: top_n, seed: "1").read
    pressed = pulled.first(described_class::ROWS).select { |force, _| force > circuit.finger_force_n(0) + 1e-6 }
    expect(pressed.size).to be > 100
    pressed.each do |force, travel|
      expect(travel).to be_within(1e-6).of(circuit.travel_mm(circuit.pressure_mpa(force), air_ml: 0.3))
    end
    expect(pulled).to eq pulled.reverse
    expect(pulled.map(&:first).max).to be >= top_n
  end

  it "is rubbed against going in and held going out, by what rubs" do
    rubs = Sandbag::Rig::Simulation.new(found, faults: Sandbag::Rig::Faults.new(rubs_n: 4.0))
    rows = described_class.new(rubs, top_n: top_n, seed: "1").read
    gone_in, back = rows.each_slice(rows.size / 2).map { |each| each.select { |force, _| force > 20 }.to_h(&:reverse) }
    both = gone_in.keys & back.keys
    expect(both.size).to be > 50
    expect(both.map { |travel| gone_in[travel] - back[travel] }).to all(be_within(1e-6).of(8.0))
  end

  it "gives early as it is told: pressure, travel and volume agree" do
    faults = Sandbag::Rig::Faults.new(give: 0.5, softer: 1.2, spring: 0.8)
    soft = Sandbag::Rig::Simulation.new(found, faults: faults)
    gap = circuit.budget.gap_ml
    [0.02, 0.1, 0.5, 2.0].each do |pressure|
      volume = gap + 1.2 * circuit.budget.stiffness_ml_mpa * pressure + 0.5 * gap * (1 - Math.exp(-10 * pressure))
      soft.act("do" => "lever", "to" => circuit.lever.travel_mm(circuit.master.stroke_for_mm(volume)), "s" => 1)
      expect(soft.pressure_mpa).to be_within(1e-6).of(pressure)
      sprung = circuit.finger_force_n(pressure) - 0.2 * circuit.finger_force_n(0)
      expect(soft.force_n).to be_within(1e-4).of(sprung)
    end
  end

  it "leaves the circuit as it was" do
    now = rig(0.3)
    before = now.frame
    described_class.new(now, top_n: top_n, seed: "1").csv
    expect(now.frame).to eq before
  end

  it "is read of an empty line as well: by Feel, or refused since no pressure is built" do
    Sandbag::Tables.rows("circuit_templates").each do |row|
      lesson = Sandbag::Rig::Lesson.free(row["id"], "dry")
      next if lesson.sheet.clutch?
      assembled = Sandbag::Circuit::Assembly.build(lesson.sheet)
      csv = described_class.new(lesson.start, top_n: 100, seed: row["id"]).csv
      readings = Sandbag::Feel::GaugeCurve.new(csv).readings
        .map { |each| [Sandbag::Feel::Reading.new(**each, gauge: true), false] }
      expect(Sandbag::Feel::LeverReport.new(lesson.sheet, assembled, readings).to_h).to have_key :expected
    rescue Sandbag::Refusal => refusal
      expect(refusal.problems.map(&:message)).to eq ["line 2: the lever only pushes its spring: no pressure is built"]
    end
  end

  it "scatters as a gauge does, the same for the same seed" do
    of = ->(seed) { described_class.new(rig(0.3), top_n: top_n, seed: seed).csv }
    expect(of.call("1")).to eq of.call("1")
    expect(of.call("1")).not_to eq of.call("2")
  end

  # Most of a pull's rows are read before the pads meet: they are no readings of pressure. Two thousand circuits:
  # bench/rig_lever.rb.
  it "lets Feel tell the air, however long the lever only pushes its spring" do
    offs =
      [0.0, 0.1, 0.5].product((1..20).to_a).map do |air_ml, seed|
        found = fit(described_class.new(rig(air_ml), top_n: top_n, seed: seed.to_s).csv)
        [found.free[2] - air_ml, found.air_error_ml]
      end
    expect(offs.map { |off, _| off.abs }).to all(be < 0.05)
    expect(offs.count { |off, error| off.abs <= 2 * error }).to be >= 0.85 * offs.size
    expect(offs.sum { |off, error| off / error } / offs.size).to be_within(0.5).of(0)
  end
end
