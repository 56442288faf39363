# frozen_string_literal: true

RSpec.describe Sandbag::Close::Stage do
  confirmed = %w[leak level caps function].freeze
  let(:confirmed) { confirmed }

  def gate(job, id)
    job.state.close.gates.find { |each| each.id == id }
  end

  def unmet(job)
    job.open_gates
  end

  # A bleed with everything done but the confirmations.
  def bled
    JobInMemory.new(sheet(twin_disc_plain)).bled.tap do |job|
      job.read_lever(air_ml: 0.02)
      job.add("feel", "hold", {"creep" => 0.5})
    end
  end

  # A reseal of a radial master, with everything done but the confirmations.
  def resealed
    job =
      JobInMemory
        .new(changed(twin_disc_plain, "master", construction: "bar_radial"))
        .laid_out
        .set_up
        .strip_all
        .passed
        .build_all
        .fit_all
    job.bleed_all
    job.read_lever(air_ml: 0.02)
    job.add("feel", "hold", {"creep" => 0.5})
    job
  end

  def signature
    ["close", "signed", {"name" => "R. Tarn"}]
  end

  it "asks of a bleed what a bleed touches, and of a reseal the measuring and the building as well" do
    expect(bled.state.close.gates.map(&:id)).to eq %w[
      stop
      fluid
      bled
      feel
      hold
      free_play
      switch
      leak
      level
      caps
      function
    ]
    expect(resealed.state.close.gates.map(&:id)).to eq %w[
      stop
      fluid
      measured
      built
      bled
      feel
      hold
      fitted
      torque
      clear
      parking
      interlock
      free_play
      switch
      leak
      level
      caps
      function
    ]
  end

  it "goes when every gate is met, by the name of whoever signs" do
    job = resealed
    expect(unmet(job)).to eq confirmed
    job.confirm(*confirmed)
    expect(job.view("close")).to include(ready: true)
    job.add(*signature)
    expect(job.state).to be_signed
    expect(job.view("close")).to include(signed_by: "R. Tarn")
    expect(
      problems { job.add("ask", "note", {"text" => "one more thing"}) }.first.message
    ).to eq "this job is signed off"
  end

  confirmed.each do |missing|
    it "does not go without “#{missing}”" do
      job = resealed
      job.confirm(*(confirmed - [missing, "function"]))
      refused = problems { job.add(*signature) }.map(&:pointer)
      expect(refused).to include("gates/#{missing}")
      expect(job.state).not_to be_signed
    end
  end

  it "takes a confirmation back when it was made too early, or no longer holds" do
    job = bled
    job.confirm("free_play", "switch", "leak", "level", "caps", "function")
    job.add("close", "gate", {"gate" => "level", "met" => false})
    expect(unmet(job)).to eq ["level"]
    job.confirm("level")
    expect(unmet(job)).to be_empty
    job.add("bleed", "stroke")
    expect(unmet(job)).to include("leak", "level", "caps", "function")
  end

  it "opens its computed gates by the work alone" do
    job = bled
    %w[stop fluid bled feel hold].each do |computed|
      expect(problems { job.add("close", "gate", {"gate" => computed, "met" => true}) }.first.message).to end_with(
        "is worked out, not confirmed"
      )
    end
    expect(refusal_at { job.add("close", "gate", {"gate" => "built", "met" => true}) }).to eq ["data/gate"]
  end

  # What undoes each computed gate of a reseal that was ready to sign.
  {
    "stop" => ["ask", "flag", {"flag" => "R01"}],
    "bled" => ["bleed", "uncovered", {}],
    "hold" => ["feel", "hold", {"creep" => 9.0}],
    "built" => ["build", "check", {"check" => "slide", "pass" => false}],
    "measured" => ["measure", "finding", {"check" => "bore", "value" => "score"}],
    "torque" => ["fit", "torque", {"fastener" => "lid_screw", "value" => 2.5}],
    "clear" => ["fit", "gap", {"check" => "lock_left_pulled", "value" => 6}],
    "free_play" => ["fit", "free_play", {"at" => "tip", "value" => 0}],
    "switch" => ["fit", "ohms", {"state" => "pulled", "ohms" => 4}],
    "parking" => ["fit", "check", {"check" => "parking", "value" => "bad"}]
  }.each do |computed, entry|
    it "closes “#{computed}” again when its work is spoilt, and refuses the signature" do
      job = resealed
      job.confirm(*confirmed)
      job.add(*entry)
      expect(unmet(job)).to include(computed)
      expect(gate(job, computed)[:why]).not_to be_empty
      refused = problems { job.add(*signature) }
      expect(refused).not_to be_empty
      expect(job.state).not_to be_signed
    end
  end

  it "lets nobody wheel a machine whose lever is not proven" do
    job = JobInMemory.new(sheet(twin_disc_plain)).bled
    job.confirm("free_play", "switch", "leak", "level", "caps")
    refused = problems { job.confirm("function") }
    expect(refused.map(&:pointer)).to match_array %w[gates/feel gates/hold]
    expect(refused.map(&:message)).to all(start_with("no function test yet: "))
  end

  it "names what it waits for, in order" do
    job = bled
    waits = [job.state.close.waits_for]
    %w[free_play switch leak level caps function].each do |each|
      job.confirm(each)
      waits << job.state.close.waits_for
    end
    expect(waits).to eq [
      "free play in range",
      "brake lamp or switch",
      "no leak",
      "level set",
      "caps and diaphragm back",
      "function test",
      "a signature"
    ]
  end
end
