# frozen_string_literal: true

RSpec.describe Sandbag::Job do
  subject(:job) { JobInMemory.new(sheet(twin_disc_plain)) }

  def statuses
    job.headline[:stages].to_h { |stage| [stage[:id], stage[:status]] }
  end

  it "walks from complaint to signature" do
    job.bled
    job.read_lever(air_ml: 0.02)
    job.add("feel", "hold", {"creep" => "0.5"})
    job.confirm_all
    expect(job.view("close")[:ready]).to be true
    job.add("close", "signed", {"name" => "R. Tarn"})
    expect(job.state.signed?).to be true
    expect(statuses.values.uniq).to eq ["done"]
  end

  it "says at every turn what it waits for" do
    expect(job.state.waits_for).to start_with("an answer")
    job.answer_stops
    expect(job.state.waits_for).to start_with("a finding")
    job.add("ask", "finding", {"finding" => "lever_feel", "value" => "spongy"})
    job.add("ask", "finding", {"finding" => "pump_up", "value" => "rises_holds"})
    job.add("ask", "finding", {"finding" => "history", "value" => "opened_recently"})
    expect(job.state.waits_for).to eq "a route: bleed is proposed"
    job.add("ask", "route", {"route" => "bleed"})
    expect(job.state.waits_for).to include("fluid")
    job.add("choose", "fluid", {"fluid" => "dot4", "stamped" => "dot4"})
    expect(job.state.waits_for).to eq "still to fetch: fluid"
    job.add("choose", "pulled", {"line" => "fluid", "reason" => "two sealed bottles"})
    expect(job.state.waits_for).to eq "set-up: machine upright and stable"
    job.protect
    expect(job.state.waits_for).to eq "a clear hose grips the nipple, its end in the jar"
    job.look_before_fluid
    expect(job.state.waits_for).to eq "Right caliper: 11 strokes to go"
  end

  it "wants a cylinder chosen only when the route renews it" do
    job.answer_stops
    job.add("ask", "route", {"route" => "renew_mc"})
    job.add("choose", "fluid", {"fluid" => "dot4", "stamped" => "dot4"})
    expect(job.state.waits_for).to include("cylinder")
    job.add("choose", "cylinder", {"bore" => 19, "push_offset" => 18})
    expect(job.state.waits_for).to eq "still to fetch: whole cylinder, and 2 more"
    %w[cylinder washers fluid].each { |line| job.add("choose", "pulled", {"line" => line, "reason" => "bought"}) }
    expect(job.state.current).to eq "measure"
  end

  it "computes everything after Choose on the cylinder that was chosen" do
    before = job.state.bleed.count.plan.stroke_ml
    job.add("choose", "cylinder", {"bore" => "17.46", "push_offset" => "20"})
    expect(job.state.bleed.count.plan.stroke_ml / before).to be_within(1e-9).of((17.46 / 19)**2)
  end

  it "refuses a rejected cylinder, and a change of over a quarter without the rider's agreement" do
    expect(refusal_at { job.add("choose", "cylinder", {"bore" => 8, "push_offset" => 20}) }).to eq ["data/bore"]
    expect(refusal_at { job.add("choose", "cylinder", {"bore" => 16, "push_offset" => 18}) }).to eq ["data/agreed"]
    job.add("choose", "cylinder", {"bore" => 16, "push_offset" => 18, "agreed" => "tried it on the sister machine"})
    expect(job.view("choose")[:cylinder][:agreed]).to include("sister")
  end

  it "refuses the wrong family and a lower class of fluid" do
    expect(refusal_at { job.add("choose", "fluid", {"fluid" => "dot5", "stamped" => "dot51"}) }).to eq ["data/fluid"]
    lower = problems { job.add("choose", "fluid", {"fluid" => "dot3", "stamped" => "dot4"}) }.first
    expect(lower).to have_attributes(pointer: "data/fluid",
      accepted: a_string_starting_with("DOT 4 glycol, ISO class 6 glycol"))
  end

  describe "taking back" do
    it "undoes a stroke by a further entry and keeps both" do
      stroke = job.add("bleed", "stroke")
      before = job.entries.size
      job.undo("bleed", stroke)
      expect(job.state.bleed.count.total_strokes).to eq 0
      expect(job.entries.size).to eq before + 1
    end

    it "brings the count back when 'uncovered' was a slip of the key" do
      job.strokes(6)
      before = job.view("bleed").except(:recent)
      slip = job.add("bleed", "uncovered")
      job.undo("bleed", slip)
      expect(job.view("bleed").except(:recent)).to eq before
    end

    it "refuses to take back nothing, twice, an undo, or another stage's entry" do
      stroke = job.add("bleed", "stroke")
      expect(refusal_at { job.undo("bleed", "e99") }).to eq ["corrects"]
      expect(refusal_at { job.add("bleed", "undo") }).to eq ["corrects"]
      expect(refusal_at { job.undo("ask", stroke) }).to eq ["corrects"]
      undo = job.undo("bleed", stroke)
      expect(refusal_at { job.undo("bleed", stroke) }).to eq ["corrects"]
      expect(refusal_at { job.undo("bleed", undo) }).to eq ["corrects"]
    end
  end

  describe "a lever that was read" do
    before { job.bled }

    it "is stale once more strokes are pumped, and says so" do
      job.read_lever(air_ml: 0.02)
      expect(job.state.feel.verdict).to eq "pass"
      job.strokes(1)
      expect(job.state.feel.verdict).to be_nil
      expect(job.state.feel.unresolved).to include("read again")
    end

    it "keeps what was read before the bleed to compare with" do
      other = JobInMemory.new(sheet(twin_disc_plain))
      other.read_lever(air_ml: 0.5)
      other.bled
      expect(other.state.feel.verdict).to be_nil
      expect(other.state.feel.unresolved).to be_nil
      expect(other.view("feel")[:before][:air_ml]).to be_within(0.02).of(0.5)
    end

    it "is passed when marginal only with a reason given after the last reading" do
      job.read_lever(air_ml: 0.12)
      expect(job.state.feel.passed?).to be false
      job.add("feel", "accepted", {"reason" => "rubber hoses, owner told"})
      expect(job.state.feel.passed?).to be true
      job.read_lever(air_ml: 0.12, forces: [25])
      expect(job.state.feel.passed?).to be false
    end

    it "is not accepted when it says bleed again" do
      job.read_lever(air_ml: 0.5)
      expect(job.state.feel.verdict).to eq "bleed_again"
      expect(refusal_at { job.add("feel", "accepted", {"reason" => "late"}) }).to eq ["kind"]
    end

    it "sets a reading aside without dropping it" do
      wrong = job.read_lever(air_ml: 0.02).last
      job.add("feel", "set_aside", {"entry" => wrong, "reason" => "scale slipped"})
      reading = job.view("feel")[:readings].find { |each| each[:id] == wrong }
      expect(reading).to include(set_aside: true)
      expect(reading).not_to have_key(:residual_mm)
      expect(refusal_at { job.add("feel", "set_aside", {"entry" => "e1", "reason" => "?"}) }).to eq ["data/entry"]
    end
  end

  describe "release" do
    def ready
      job.bled
      job.read_lever(air_ml: 0.02)
      job.add("feel", "hold", {"creep" => 0.5})
      job.confirm_all
    end

    it "cannot be signed over any gate that is not met, and names every one" do
      ready
      job.add("close", "leak", {"value" => "wet"})
      job.add("close", "gate", {"gate" => "caps", "met" => false})
      job.add("feel", "hold", {"creep" => 5})
      expect(refusal_at {
        job.add("close", "signed", {"name" => "R"})
      }).to eq ["gates/hold", "gates/leak", "gates/caps"]
    end

    it "lets no function test happen before the lever is proven" do
      job.bled
      expect(refusal_at { job.confirm("function") }).to include("gates/feel", "gates/hold", "gates/leak")
    end

    it "does not let anybody confirm what is worked out" do
      %w[stop fluid bled feel hold].each { |gate| expect(refusal_at { job.confirm(gate) }).to eq ["data/gate"] }
    end

    it "forgets what was confirmed before the last stroke" do
      ready
      job.strokes(1)
      unmet = job.open_gates
      expect(unmet).to include("leak", "level", "caps", "function", "feel")
    end

    it "asks about the opened joints only when a joint was opened" do
      states = -> { job.state.close.gates.to_h { |gate| [gate.id, gate.state] }.values_at("torque", "fitted") }
      expect(states.call).to eq [:not_touched, :not_touched]
      job.add("ask", "route", {"route" => "reseal_mc"})
      expect(states.call).to eq [:open, :open]
    end

    it "takes nothing more once signed" do
      ready
      job.add("close", "signed", {"name" => "R"})
      expect(problems { job.strokes(1) }.map(&:message)).to eq ["this job is signed off"]
    end
  end

  it "releases a clutch on its lift and its hold" do
    clutch = JobInMemory.new(sheet(clutch_plain)).bled
    expect(clutch.state.waits_for).to eq "clutch in gear, or its lift at the slave"
    clutch.add("feel", "lift", {"lift" => "2,3"})
    clutch.add("feel", "hold", {"creep" => "1"})
    clutch.confirm_all
    clutch.add("close", "signed", {"name" => "R"})
    expect(clutch.state.signed?).to be true
    expect(refusal_at { JobInMemory.new(sheet(twin_disc_plain)).add("feel", "lift", {"lift" => 2}) }).to eq ["kind"]
  end

  it "refuses an entry that says nothing known, too much, too little or nonsense" do
    job.answer_stops
    job.add("ask", "route", {"route" => "bleed"})
    job.protect
    job.choose_what_is_wanted
    job.look_before_fluid
    before = job.entries.size
    expect(refusal_at { job.add("bleed", "whistle") }).to eq ["kind"]
    expect(refusal_at { job.add("strip", "stroke") }).to eq ["kind"]
    expect(refusal_at { job.add("bleed", "stroke", {"force" => 1}) }).to eq ["data/force"]
    expect(refusal_at { job.add("feel", "reading", {"force" => 12}) }).to eq ["data/travel"]
    expect(refusal_at { job.add("feel", "reading", {"force" => "hard", "travel" => 3}) }).to eq ["data/force"]
    expect(refusal_at { job.add("feel", "reading", {"force" => -1, "travel" => 3}) }).to eq ["data/force"]
    expect(refusal_at { job.add("ask", "complaint", {"text" => "  "}) }).to eq ["data/text"]
    expect(refusal_at { job.add("bleed", "point", {"point" => "elbow"}) }).to eq ["data/point"]
    expect(refusal_at { job.add("bleed", "point_done", {"point" => "right_caliper"}) }).to eq ["data/point"]
    expect(refusal_at { job.add("close", "gate", {"gate" => "torque", "met" => true}) }).to eq ["data/gate"]
    expect(refusal_at { job.add("close", "gate", {"gate" => "leak", "met" => "yes"}) }).to eq ["data/met"]
    expect(job.entries.size).to eq before
  end
end
