# frozen_string_literal: true

# Settling told from sinking: x(t) = a + b (1 − e^(−t/τ)) + c t, docs/physics.md 7.
RSpec.describe Sandbag::Feel::HoldSeries do
  times = [0, 10, 20, 40, 60].map(&:to_f)

  def travels(times, settles: 0.8, tau: 12.0, rate: 0.0)
    times.map { |time| 30 + settles * (1 - Math.exp(-time / tau)) + rate * time }
  end

  it "finds no sinking in a lever that settles 0.8 mm in a quarter of a minute" do
    hold = described_class.new(times, travels(times))
    expect(hold.rate_mm_s).to be_within(0.001).of(0.0)
    expect(hold.settled_mm).to be_within(0.05).of(0.8)
    expect(hold.id).to eq "holds"
  end

  it "finds 0.05 mm/s: 3 mm a minute, and the millilitres that go with it" do
    hold = described_class.new(times, travels(times, rate: 0.05))
    expect(hold.rate_mm_s).to be_within(0.004).of(0.05)
    expect(hold.id).to eq "sinks"
    expect(hold.leak_ml_min(twin_disc)).to be_within(0.02).of(hold.rate_mm_s * 60 / twin_disc.travel_of_volume_mm(1.0))
  end

  it "fails at 2 mm of creep in a minute, however it comes about" do
    expect(described_class.new(times, travels(times, settles: 2.2)).id).to eq "sinks"
  end

  it "counts every settling time that the readings bear against a hold: a slow one may be a slow leak" do
    short = described_class.new(times, travels(times, settles: 1.2, tau: 25.0, rate: 0.012))
    expect([short.rate_mm_s < 0.02, short.id]).to eq [true, "cant_tell"]
    long = [*times, 90.0, 120.0]
    expect(described_class.new(long, travels(long, settles: 1.2, tau: 25.0, rate: 0.012)).id).to eq "holds"
  end

  it "never says that a lever holds which sinks faster than the limit, read by a ruler" do
    by_ruler = Random.new(7)
    said = Array.new(200) do
      rate = by_ruler.rand(0.021..0.04)
      read = travels(times, settles: by_ruler.rand(0.0..1.5), tau: by_ruler.rand(4.0..25.0), rate: rate)
      described_class.new(times, read.map { |travel| travel + by_ruler.rand(-0.1..0.1) }).id
    end
    expect(said.count("holds")).to be <= 5
  end

  it "cannot tell where the readings are rougher than what they are about" do
    rough = travels(times, rate: 0.014).zip([0.3, -0.3, 0.3, -0.3, 0.3]).map(&:sum)
    expect(described_class.new(times, rough).id).to eq "cant_tell"
  end

  it "finds the rate of any lever that settles and sinks, and says more of it the longer it is read" do
    long = (0..12).map { |step| step * 10.0 }
    for_all(settles: 0.0..1.5, tau: 4.0..25.0, rate: 0.0..0.1) do |settles:, tau:, rate:|
      hold = described_class.new(long, travels(long, settles: settles, tau: tau, rate: rate))
      expect(hold.rate_mm_s).to be_within(0.003).of(rate)
      short = described_class.new(long.first(5), travels(long.first(5), settles: settles, tau: tau, rate: rate))
      expect(hold.error_mm_s).to be < short.error_mm_s
    end
  end

  it "refuses too few readings, time that goes back, and travels without their times" do
    expect(refusal_at { described_class.new([0, 10, 20], [1, 2, 3]) }).to eq ["times"]
    expect(refusal_at { described_class.new([0, 20, 10, 30], [1, 2, 3, 4]) }).to eq ["times"]
    expect(refusal_at { described_class.new([0, 10, 20, 30], [1, 2, 3]) }).to eq ["travels"]
    expect(refusal_at { described_class.new([0, 1e-9, 2e-9, 30], [1, 2, 3, 4]) }).to eq ["times"]
    expect(refusal_at { described_class.new([0, 1, 2, 3], [1, 2, 3, 4]) }).to eq ["times"]
  end

  describe "in a job" do
    let(:job) { JobInMemory.new(sheet(twin_disc_plain)).bled }

    it "stands for the hold test, and a lever that sinks is not done" do
      job.add("feel", "hold_series", {"times" => times, "travels" => travels(times)})
      expect(job.state.feel).to be_held
      job.add("feel", "hold_series", {"times" => times, "travels" => travels(times, rate: 0.06)})
      expect(job.state.feel).not_to be_held
      hold = job.state.feel.hold
      expect(said(hold[:why])).to match(/The lever sinks 0\.06\d mm.*mL a minute/)
      expect(hold[:points_to]).to start_with "Leak watch next"
      expect(problems { job.add("bleed", "stroke") }.first.message).to include "did not hold"
      expect(refusal_at { job.add("feel", "hold_series", {"times" => [0], "travels" => [1]}) }).to eq ["data/times"]
    end
  end
end

RSpec.describe Sandbag::Feel::Pump do
  let(:brake) { Sandbag::Circuit::Kind.find("brake_hand") }

  {
    [[30, 29.5, 29, 29, 29], nil] => "steady", [[38, 34, 32, 31, 31], nil] => "gains",
    [[38, 34, 32, 31, 31], 37] => "air", [[38, 34, 32, 31, 31], 31.5] => "clearance"
  }.each do |(pulls, rest), pattern|
    it "reads #{pulls.first} to #{pulls.last} mm#{" and #{rest} after the rest" if rest} as #{pattern}" do
      expect(described_class.new(pulls, rest, brake).id).to eq pattern
    end
  end

  it "allows a bicycle 5 mm, and refuses two pulls" do
    bike = Sandbag::Circuit::Kind.find("brake_bike")
    expect([brake, bike].map { |kind| described_class.new([30, 28, 26], nil, kind).id }).to eq %w[gains steady]
    expect(refusal_at { described_class.new([30, 28], nil, brake) }).to eq ["travels"]
  end
end
