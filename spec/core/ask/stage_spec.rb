# frozen_string_literal: true

RSpec.describe Sandbag::Ask::Stage do
  def job(plain = twin_disc_plain)
    JobInMemory.new(sheet(plain))
  end

  def abs_job(abs = "fitted")
    JobInMemory.new(changed(twin_disc_plain, "vehicle", abs: abs))
  end

  def find(job, **findings)
    findings.each { |finding, value| job.add("ask", "finding", {"finding" => finding.to_s, "value" => value}) }
    job.state.ask
  end

  it "proposes nothing before anything is found, and asks for the next best test" do
    expect(job.view("ask")).not_to have_key(:proposal)
    worked = job
    expect(worked.state.waits_for).to eq "an answer: have you done this kind of job before?"
    worked.answer_stops
    expect(worked.state.waits_for).to eq("a finding, or a route")
  end

  it "recommends nothing on a falling level before the wet places were seen, nor on a drag before free play and port" do
    falling = job
    ask = find(falling, level: "slow_fall", friction_state: "taper_knock", lever_travel: "long")
    expect(ask.next_tests.first(3).map { |offer| offer.finding["id"] }).to eq %w[wet_lever wet_joint wet_slave]
    dragging = find(job, residual: "builds", history: "parts_changed")
    expect(dragging.proposal).to be_nil
    expect(dragging.next_tests.first(2).map { |offer| offer.finding["id"] }).to eq %w[free_play port_jet]
  end

  it "forgets a wet joint once it was looked at again and found dry, or taken back" do
    found = job
    place = found.state.ask.places.of_kind("joint").find(&:pressed?).id
    told = -> { found.state.ask.found_places.all.values.flatten.map(&:id) }
    look = ->(value) { {"finding" => "wet_joint", "value" => value, "place" => place} }
    found.add("ask", "finding", look["weep"])
    expect(told.call).to eq [place]
    found.add("ask", "finding", {"finding" => "wet_joint", "value" => "dry"})
    expect(told.call).to eq []
    found.add("ask", "finding", look["drip"])
    found.add("ask", "finding_cleared", {"finding" => "wet_joint", "value" => "drip"})
    expect(told.call).to eq []
  end

  it "asks first what the rider's words call for" do
    {
      "Lever sinks at the lights" => "hold_sink",
      "drags when hot" => "residual",
      "it LEAKS somewhere" => "level",
      "Hebel komisch" => nil
    }.each do |text, first|
      worked = job
      worked.add("ask", "complaint", {"text" => text})
      named = Sandbag::Ask::ComplaintWords.findings(text, "brake")
      expect(named.first).to eq first
      expect(worked.state.ask.next_tests.first.finding["id"]).to eq first if first
    end
  end

  it "asks only what the circuit can answer" do
    ids = ->(plain) { job(plain).state.ask.askable.map { |finding| finding["id"] } }
    expect(ids[bicycle_plain]).not_to include("level", "port_jet", "brake_lamp", "fluid_water")
    expect(ids[twin_disc_plain]).to include("level", "port_jet", "brake_lamp", "fluid_water")
  end

  it "takes answers of the intake for findings, and says what was asked for and what the other circuit needs" do
    worked = job
    {
      "fluid_date" => "over_2",
      "rebuild_date" => "over_4",
      "job_request" => "flush",
      "other_circuit" => "due"
    }.each { |question, value| worked.add("ask", "intake", {"question" => question, "value" => value}) }
    expect(worked.state.ask.findings.values("history")).to eq %w[fluid_over_24m old_seals]
    expect(worked.state.ask.entered.to_h).to be_empty
    worked.add("ask", "route", {"route" => "reseal_mc"})
    expect(worked.view("ask")).to include(
      against_request: a_string_starting_with("Asked for: flush"),
      offers: [a_string_including("other circuit")]
    )
    expect(refusal_at { worked.add("ask", "finding_cleared", {"finding" => "history"}) }).to eq ["data/finding"]
  end

  it "says likely until it is proven" do
    expect(find(job, hold_sink: "slow", pump_up: "rises_sinks").view[:proposal][:reason]).to start_with(
      "Likely primary cup bypassing (internal leak)"
    )
    expect(find(job, wet_lever: "drips").view[:proposal]).to include(
      proven: true,
      reason: a_string_starting_with("Proven: outer seal leaks")
    )
  end

  it "opens each rank to what spoke for and against, and by how much" do
    rank = find(job, lever_feel: "spongy", hold_sink: "slow").view[:ranks].find { |each| each[:cause] == "AL" }
    expect(rank[:evidence]).to eq [
      {finding: "lever_feel", value: "spongy", steps: 2},
      {finding: "hold_sink", value: "slow", steps: -1}
    ]
  end

  it "takes a finding back by clearing or by undo, and one of many by its value" do
    worked = job
    find(worked, lever_feel: "spongy", hold_sink: "slow", history: "crash")
    worked.add("ask", "finding", {"finding" => "history", "value" => "wet_mud"})
    worked.add("ask", "finding_cleared", {"finding" => "history", "value" => "crash"})
    worked.add("ask", "finding_cleared", {"finding" => "hold_sink"})
    expect(worked.state.ask.findings.to_h).to eq("history" => ["wet_mud"], "lever_feel" => ["spongy"])
    worked.undo("ask", "e1")
    expect(worked.state.ask.findings.to_h.keys).to eq ["history"]
    expect(refusal_at { worked.add("ask", "finding_cleared", {"finding" => "lever_feel"}) }).to eq ["data/finding"]
  end

  it "takes the mechanic's route and says when the findings point elsewhere" do
    other = job
    find(other, hold_sink: "slow", pump_up: "rises_sinks", wet_joint: "dry")
    other.add("ask", "route", {"route" => "bleed"})
    expect(other.view("ask")).to include(route: "bleed", against_proposal: a_string_including("reseal the master"))
    other.add("ask", "route", {"route" => "reseal_mc"})
    expect(other.view("ask")).not_to have_key(:against_proposal)
  end

  it "asks about ABS only where there may be one, clutch tests only on a clutch" do
    ids = ->(worked) { worked.state.ask.askable.map { |finding| finding["id"] } }
    expect(ids[job]).not_to include("abs_state", "clutch_gear")
    expect(ids[abs_job("unknown")]).to include("abs_state")
    expect(ids[job(clutch_plain)]).to include("clutch_gear").and not_include("abs_state", "friction_state")
  end

  it "leaves out of the job what its route does not touch" do
    adjusted = job
    adjusted.add("ask", "route", {"route" => "adjust_free_play"})
    expect(adjusted.state.stages.keys).to eq %w[ask fit feel close]
    gates = adjusted.state.close.gates
    expect(gates.map(&:id)).to include("feel", "leak").and not_include("fluid")
    expect(gates.find { |gate| gate.id == "bled" }.state).to eq :not_touched
  end

  it "refuses findings, values and routes that are not known or not of this circuit" do
    expect(refusal_at { find(job, lever_mood: "sad") }).to eq ["data/finding"]
    expect(refusal_at { find(job, lever_feel: "sad") }).to eq ["data/value"]
    expect(refusal_at { find(job, clutch_gear: "none") }).to eq ["data/finding"]
    expect(refusal_at { job.add("ask", "route", {"route" => "pray"}) }).to eq ["data/route"]
  end

  describe "a red flag" do
    {
      "R01" => {
        level: "sudden_fall",
        pump_up: "never_builds"
      },
      "R02" => {
        hose_state: "bulges"
      },
      "R07" => {
        fluid_debris: "gel"
      },
      "R09" => {
        friction_state: "contaminated"
      },
      "R12" => {
        residual: "builds"
      }
    }.each do |flag, findings|
      it "#{flag} goes up by #{findings.to_a.flatten.join(" ").tr("_", " ")}" do
        expect(find(job, **findings).flags.map(&:id)).to eq [flag]
      end
    end

    it "R03 and R04 go up on an ABS circuit, R13 on a clutch that is locked" do
      expect(find(abs_job("unknown"), abs_state: "air_past_outlet").flags.map(&:id)).to eq ["R03"]
      expect(find(abs_job, abs_state: "lamp_on").flags.map(&:id)).to eq ["R04"]
      expect(find(job(clutch_plain), return_action: "locked").flags.map(&:id)).to eq ["R13"]
      expect(find(job, return_action: "locked").flags.to_a).to be_empty
    end

    Sandbag::Tables
      .rows("red_flags")
      .select { |flag| flag["reported"] }
      .each do |flag|
        it "#{flag["id"]} reported holds all stages and routes but a referral until a lead lifts it" do
          worked = job
          worked.add("ask", "flag", {"flag" => flag["id"], **(flag["of_part"] ? {"part" => "master"} : {})})
          expect(worked.state.stop).to start_with(flag["label"])
          expect(worked.state.waits_for).to start_with("another workshop")
          [
            ["choose", "pulled", {"line" => "fluid", "reason" => "bought"}],
            ["bleed", "stroke", {}],
            ["feel", "hold", {"creep" => 1}],
            ["close", "signed", {"name" => "R"}]
          ].each { |stage, kind, data| expect(refusal_at { worked.add(stage, kind, data) }).to eq(["stage"]) }
          expect(refusal_at { worked.add("ask", "route", {"route" => "bleed"}) }).to eq ["data/route"]
          expect(refusal_at { worked.add("ask", "lifted", {"flag" => flag["id"], "lead" => "R. Tarn"}) }).to eq [
            "data/reason"
          ]
          worked.add("ask", "lifted", {"flag" => flag["id"], "lead" => "R. Tarn", "reason" => flag["lifts"]})
          expect(worked.state.stop).to be_nil
          expect(worked.state.ask.flags.first.lifting).to eq("lead" => "R. Tarn", "reason" => flag["lifts"])
          worked.strokes(1)
        end
      end

    it "comes up by what is found only, where something can be found" do
      expect(refusal_at { job.add("ask", "flag", {"flag" => "R09"}) }).to eq ["data/flag"]
    end

    it "has to be lifted again when the danger is found again" do
      worked = job
      find(worked, hose_state: "bulges")
      worked.add("ask", "lifted", {"flag" => "R02", "lead" => "R. Tarn", "reason" => "new hose"})
      find(worked, lever_feel: "spongy")
      expect(worked.state.stop).to be_nil
      find(worked, hose_state: "bulges")
      expect(worked.state.stop).to start_with("Hose bulges")
      worked.add("ask", "lifted", {"flag" => "R02", "lead" => "R. Tarn", "reason" => "the other hose too"})
      worked.add("ask", "flag", {"flag" => "R02"})
      expect(worked.state.stop).not_to be_nil
    end

    it "comes down with the finding that raised it, and cannot be lifted when it is not up" do
      worked = job
      find(worked, hose_state: "bulges")
      worked.add("ask", "finding", {"finding" => "hose_state", "value" => "sound"})
      expect(worked.state.stop).to be_nil
      expect(refusal_at { worked.add("ask", "lifted", {"flag" => "R02", "lead" => "R", "reason" => "x"}) }).to eq [
        "data/flag"
      ]
    end

    it "lets the job be referred" do
      worked = job
      worked.add("ask", "flag", {"flag" => "R10", "part" => "master"})
      worked.add("ask", "route", {"route" => "refer"})
      expect(worked.state.stages.keys).to eq ["ask"]
    end
  end

  RSpec::Matchers.define_negated_matcher :not_include, :include

  describe "what Ask waits for" do
    it "is the route that the findings propose, by its name" do
      worked = job
      worked.answer_stops
      find(worked, wet_lever: "drips")
      label = Sandbag::Job::Route.find(worked.state.ask.proposal[:route]).label
      expect(worked.state.waits_for).to eq "a route: #{Sandbag::Wording.inside(label)} is proposed"
    end
  end
end
