# frozen_string_literal: true

# docs/trade.md 8.1 and 9.3: a lever that nobody can put a gauge on is judged by a hand, a ruler and a clock.
RSpec.describe Sandbag::Feel::ByHand do
  let(:job) { JobInMemory.new(sheet(twin_disc_plain)).bled }

  def feel(kind, data) = job.add("feel", kind, data)

  # A lever without air, read by a ruler; 20 N and 100 N.
  LIGHT, FIRM = 16.0, 19.0

  def squeeze(light: LIGHT, firm: FIRM, gap: 72) = feel("squeeze", {"light" => light, "firm" => firm, "gap" => gap})

  # All that a hand can say of a good lever, but what is left out.
  def judged(without: nil, **odd)
    looks = {"firm_squeeze" => "firm", "return_time" => "quick", "residual_drag" => "free"}.merge(odd)
    looks.each { |test, value| feel("test", {"test" => test, "value" => value}) unless test == without }
    squeeze unless without == "travel"
    feel("pump", {"travels" => [30, 29, 29, 28, 28]}) unless without == "pump"
    feel("hold", {"creep" => 1}) unless without == "hold"
  end

  it "passes a lever that no gauge was put on, and the job is signed" do
    judged
    expect(job.state.feel.judged_by_hand?).to be true
    expect(job.state.feel).to be_done
    job.closed
    expect(job.state).to be_signed
  end

  it "wants each of its six, and says which is next" do
    {"firm_squeeze" => "one firm squeeze", "pump" => "first pull against the fifth", "hold" => "hold for 60 s",
     "return_time" => "return", "residual_drag" => "drag",
     "travel" => "travel at a light pull and at a firm one"}.each do |left, wanted|
      other = JobInMemory.new(sheet(twin_disc_plain)).bled
      %w[firm_squeeze return_time residual_drag].zip(%w[firm quick free]).each do |test, value|
        other.add("feel", "test", {"test" => test, "value" => value}) unless test == left
      end
      other.add("feel", "squeeze", {"light" => LIGHT, "firm" => FIRM, "gap" => 72}) unless left == "travel"
      other.add("feel", "pump", {"travels" => [30, 29, 29, 28, 28]}) unless left == "pump"
      other.add("feel", "hold", {"creep" => 1}) unless left == "hold"
      expect([other.state.feel.hand.wanted, other.state.feel.judged_by_hand?]).to eq [wanted, false]
    end
  end

  it "does not pass what is bad, by name" do
    judged("return_time" => "slow")
    expect(job.state.feel.hand.wanted).to eq "return: Slow, or hangs"
    expect(job.state.feel).not_to be_done
  end

  it "holds travel to a share of the free gap: 20 to 60 per cent" do
    {14.3 => false, 14.5 => true, 43.1 => true, 43.3 => false}.each do |firm, good|
      squeeze(light: firm - 3, firm: firm)
      item = job.state.feel.hand.items.find { |each| each.id == "travel" }
      expect([firm, item.good]).to eq [firm, good]
    end
  end

  it "never overrules readings that say something" do
    judged
    soft = circuit(twin_disc_plain)
    [8, 12, 18, 25, 45, 70, 100].each do |force|
      feel("reading", {"force" => force, "travel" => soft.travel_mm(soft.pressure_mpa(force), air_ml: 1.0).round(1)})
    end
    expect(job.state.feel.verdict).to eq "bleed_again"
    expect(job.state.feel.passed?).to be false
  end

  it "counts nothing that was judged before the last stroke" do
    judged
    job.add("bleed", "stroke")
    expect(job.state.feel.hand.begun?).to be false
    expect(job.state.feel.passed?).to be false
  end

  it "refuses a squeeze that cannot be" do
    expect(refusal_at { feel("squeeze", {"light" => 12, "firm" => 28}) }).to eq ["data/gap"]
    expect(refusal_at { squeeze(light: 30, firm: 28) }).to eq ["data/firm"]
    expect(refusal_at { squeeze(light: 12, firm: 80) }).to eq ["data/firm"]
    clutch = JobInMemory.new(sheet(clutch_plain)).bled
    expect(refusal_at { clutch.add("feel", "squeeze", {"light" => 1, "firm" => 2, "gap" => 50}) }).to eq ["kind"]
  end

  it "releases a clutch in gear and by its bite, and does not ask a concentric slave for its lift" do
    clutch = JobInMemory.new(sheet(clutch_plain)).bled
    clutch.add("feel", "test", {"test" => "in_gear", "value" => "separates"})
    expect(clutch.state.feel.waits_for).to eq "bite point, or its lift at the slave"
    clutch.add("feel", "test", {"test" => "bite_point", "amount" => "61"})
    expect(clutch.state.feel.passed?).to be false
    clutch.add("feel", "test", {"test" => "bite_point", "amount" => "60"})
    expect(clutch.state.feel.passed?).to be true
    ring = JobInMemory.new(changed(clutch_plain, "slave", construction: "slave_concentric")).bled
    expect(ring.state.feel.waits_for).to eq "clutch in gear"
    expect(ring.view("feel")[:now].map { |card| card[:id] }).to eq %w[test.in_gear test.bite_point]
  end
end
