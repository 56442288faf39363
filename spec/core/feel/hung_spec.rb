# frozen_string_literal: true

# A bottle of water is a force gauge: what hangs, as a pull at the finger point.
RSpec.describe Sandbag::Feel::Hung do
  let(:circuit) { Sandbag::Circuit::Assembly.build(sheet(twin_disc_plain)) }
  let(:lever) { circuit.lever }
  let(:masses) { [0.5, 0.5, 1.5, 2.0, 5.0] }

  it "pulls its weight at the finger point, less where it hangs nearer the pivot or not square" do
    expect(described_class.force_n({"kg" => 1.5}, lever)).to be_within(1e-9).of(14.709975)
    expect(described_class.force_n({"kg" => 1.5, "hook" => 55}, lever)).to be_within(1e-9).of(14.709975 / 2)
    expect(described_class.force_n({"kg" => 1.5, "angle" => 60}, lever)).to be_within(1e-9).of(14.709975 / 2)
  end

  it "proposes three light pulls and a firm one out of what there is, of the fewest pieces" do
    found = described_class.new(masses, circuit, 90.0).first
    expect(found.size).to eq 4
    expect(found.map { |load| load[:kg] }).to eq found.map { |load| load[:kg] }.sort
    expect(found.first(3).map { |load| load[:force_n] }).to all(be < Sandbag::Feel::LowForces.ceiling_n(circuit))
    expect(found.last[:force_n]).to be_within(15).of(90)
    expect(found.map { |load| load[:pieces_kg].size }).to all(be <= 3)
    expect(described_class.new([1.5, 0.5, 1.0], circuit, 90.0).load(1.5 * 9.80665)[:pieces_kg]).to eq [1.5]
  end

  it "has no pull that is too light to move the piston" do
    expect(described_class.new([0.01], circuit, 90.0).forces_n).to be_empty
  end

  it "is read in a job in kilograms or in litres of water, and its pulls are asked for" do
    job = JobInMemory.new(sheet(twin_disc_plain)).bled
    job.add("feel", "means", {"by" => "hung"})
    job.add("feel", "weights", {"masses" => "0.5 L 0.5 L 1.5 L 2 kg 5 kg"})
    job.add("feel", "ruler", {"step" => "0.5"})
    12.times do
      card = job.view("feel")[:now].first
      break unless card[:id] == "hung"
      force = described_class.force_n({"kg" => card[:field][:entry][:data][:kg]}, lever)
      travel = circuit.travel_mm(circuit.pressure_mpa(force), air_ml: 0.0)
      job.add("feel", "hung", {"kg" => card[:field][:entry][:data][:kg], "travel" => (travel / 0.5).round * 0.5})
    end
    expect(job.state.feel.verdict).to eq "pass"
  end

  it "says that it takes more to hang, where too few pulls can be made of it" do
    job = JobInMemory.new(sheet(twin_disc_plain)).bled
    job.add("feel", "weights", {"masses" => "1.5 kg"})
    job.add("feel", "hung", {"kg" => 1.5, "travel" => 20})
    expect(job.state.feel.waits_for).to include "hang more weights"
  end

  it "knows a ruler's error by its step, so that more readings help" do
    errors = {nil => 0.15, 0.1 => 0.15, 0.5 => 0.15, 1.0 => 1 / Math.sqrt(12)}
    errors.each do |step, error|
      expect(Sandbag::Feel::Reading.new(step_mm: step).travel_error_mm).to be_within(1e-9).of(error)
    end
    expect(Sandbag::Feel::Reading.new(hung: true, force_n: 50.0).force_error_n).to eq 1.0
    expect(Sandbag::Feel::Reading.new(force_n: 50.0).force_error_n).to eq 0.75
  end
end
