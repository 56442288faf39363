# frozen_string_literal: true

RSpec.describe Sandbag::Ask::Stage do
  def job(plain = twin_disc_plain)
    JobInMemory.new(sheet(plain))
  end

  def find(job, **findings)
    findings.each { |finding, value| job.add("ask", "finding", {"finding" => finding.to_s, "value" => value}) }
    job.state.ask
  end

  {{lever_feel: "spongy", pump_up: "rises_holds"} => "bleed", {lever_feel: "spongy"} => "bleed", {pump_up: "never_builds"} => "bleed",
   {hold_sink: "slow", wet_lever: "dry"} => "reseal", {wet_lever: "damp_boot"} => "reseal", {return_action: "hangs"} => "reseal",
   {hose_state: "bulges", lever_feel: "spongy"} => "renew", {fluid_colour: "brown", lever_feel: "firm"} => "flush",
   {fluid_colour: "foreign_tint"} => "refer"}.each do |findings, route|
    it "proposes #{route} for #{findings.values.join(", ").tr("_", " ")}, with its reason" do
      ask = find(job, **findings)
      expect(ask.proposal["route"]).to eq route
      expect(ask.proposal["reason"]).not_to be_empty
    end
  end

  it "proposes nothing before anything is found, and asks for the first finding" do
    expect(job.state.ask.proposal).to be_nil
    expect(job.state.waits_for).to eq "a finding: hoses"
  end

  it "gives the same answer whatever the order of entry, and the former one when a finding is taken back" do
    forwards = find(job, fluid_colour: "brown", hold_sink: "slow").proposal
    expect(find(job, hold_sink: "slow", fluid_colour: "brown").proposal).to eq forwards
    back = job
    find(back, fluid_colour: "brown", hold_sink: "slow")
    back.undo("ask", "e2")
    expect(back.state.ask.proposal["route"]).to eq "flush"
  end

  it "takes the mechanic's route and says when the findings point elsewhere" do
    other = job
    find(other, hold_sink: "slow")
    other.add("ask", "route", {"route" => "bleed"})
    expect(other.state.ask.to_h).to include(route: "bleed")
    expect(other.state.ask.to_h[:against_proposal]).to include("reseal")
  end

  it "asks about ABS only where there may be one, and never on a clutch" do
    expect(job.state.ask.askable.map { |finding| finding["id"] }).not_to include("abs_state")
    fitted = JobInMemory.new(changed(twin_disc_plain, "vehicle", abs: "unknown"))
    expect(fitted.state.ask.askable.map { |finding| finding["id"] }).to include("abs_state")
    expect(job(clutch_plain).state.ask.askable.map { |finding| finding["id"] }).not_to include("abs_state")
  end

  describe "a stop" do
    let(:stopped) do
      JobInMemory.new(changed(twin_disc_plain, "vehicle", abs: "fitted")).tap { |each| find(each, abs_state: "air_past_outlet") }
    end

    it "sends the machine elsewhere, whatever route is picked" do
      expect(stopped.state.stop).to include("ABS")
      expect(stopped.state.to_h[:waits_for]).to start_with("another workshop")
      expect(refusal_at { stopped.add("ask", "route", {"route" => "bleed"}) }).to eq ["data/route"]
    end

    it "holds every other stage" do
      [["choose", "fluid", {"fluid" => "dot4", "stamped" => "dot4"}], ["bleed", "stroke", {}], ["feel", "hold", {"creep" => 1}],
        ["close", "signed", {"name" => "R"}]].each do |stage, kind, data|
        expect(refusal_at { stopped.add(stage, kind, data) }).to eq(["stage"]), stage
      end
    end

    it "is lifted by a corrected finding" do
      stopped.add("ask", "finding", {"finding" => "abs_state", "value" => "clear"})
      expect(stopped.state.stop).to be_nil
    end
  end

  it "refuses findings, values and routes that are not known" do
    expect(refusal_at { find(job, lever_mood: "sad") }).to eq ["data/finding"]
    expect(refusal_at { find(job, lever_feel: "sad") }).to eq ["data/value"]
    expect(refusal_at { job.add("ask", "route", {"route" => "pray"}) }).to eq ["data/route"]
  end
end
