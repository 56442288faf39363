# frozen_string_literal: true

RSpec.describe Sandbag::Rig::Mystery do
  # A seed that hides each cause.
  seeds = (1..200).each_with_object({}) { |seed, found| found[described_class.new(seed.to_s).cause] ||= seed.to_s }

  def tried(seed)
    tests = Sandbag::Rig::LeverTests.new(described_class.new(seed))
    Sandbag::Rig::LeverTests::IDS.to_h { |id| [id, tests.value(id)] }
  end

  it "hides each of its causes for some seed, and the same for the same" do
    expect(seeds.keys).to match_array described_class.causes
    expect(described_class.new("7").faults.attributes).to eq described_class.new("7").faults.attributes
  end

  # What tells each from a sound lever.
  {
    "AL" => {"lever_feel" => "spongy", "mc_isolated" => "firm", "hold_sink" => "holds"},
    "AM" => {"lever_feel" => "spongy", "mc_isolated" => "soft"},
    "BY" => {"hold_sink" => /slow|fast/, "mc_isolated" => "sinks", "wet_joint" => "dry"},
    "JL" => {"hold_sink" => /slow|fast/, "wet_joint" => /weep|drip/, "mc_isolated" => "firm"},
    "HS" => {"lever_feel" => "spongy", "hose_state" => "bulges", "hold_sink" => "holds"},
    "PB" => {"residual" => "builds", "free_play" => "in_spec"},
    "AT" => {"residual" => "builds", "free_play" => "none"},
    "FR" => {"lever_feel" => "dead_then_firm", "friction_state" => "taper_knock", "hold_sink" => "holds"}
  }.each do |cause, shown|
    it "shows #{Sandbag::Knowledge.find("causes", cause)["label"].downcase} as a lever would" do
      found = tried(seeds.fetch(cause))
      shown.each { |finding, value| expect([finding, found[finding]]).to match [finding, value] }
    end
  end

  it "answers by values that the findings have, and refuses a test that is none of its own" do
    tried("1").each { |id, value| expect(Sandbag::Knowledge.find("findings", id)["values"]).to have_key value }
    tests = Sandbag::Rig::LeverTests.new(described_class.new("1"))
    expect(refusal_at { tests.value("fluid_colour") }).to eq ["finding"]
  end

  it "is found by everything that can be tried" do
    seeds.each do |cause, seed|
      diagnosis = Sandbag::Ask::Diagnosis.new(Sandbag::Ask::Findings.new, {"side" => "brake", "abs" => "none"})
      tried(seed).each { |id, value| diagnosis = diagnosis.with(id, value) }
      expect([cause, diagnosis.ranks.first.cause["id"]]).to eq [cause, cause]
    end
  end
end
