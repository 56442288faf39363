# frozen_string_literal: true

RSpec.describe Sandbag::Ask::Stage, "and repairs besides the first" do
  let(:job) { JobInMemory.new(sheet(twin_disc_plain)) }

  def find(finding, value)
    job.add("ask", "finding", {"finding" => finding, "value" => value})
  end

  def repairs
    job.view("ask")[:repairs].map { |repair| repair.slice(:id, :why) }
  end

  it "leads a late lamp to the switch, whatever else is found, until that is the repair" do
    expect(repairs).to be_empty
    find("lever_feel", "spongy")
    find("brake_lamp", "late")
    expect(repairs).to eq [{id: "switch_only", why: "Brake lamp: late"}]
    job.add("ask", "route", {"route" => "switch_only"})
    expect(repairs).to be_empty
    find("brake_lamp", "stays_on")
    job.add("ask", "route", {"route" => "flush"})
    expect(repairs).to be_empty
  end

  it "names what to go on to where the first repair did not cure it" do
    find("lever_feel", "spongy")
    air = job.view("ask")[:ranks].find { |rank| rank[:cause] == "AL" }
    expect(air[:then].map { |route| route[:id] }).to eq %w[reseal_mc renew_hose]
  end

  it "judges nothing by foam: it stands, and is looked at again" do
    before = job.view("ask")[:ranks].map { |rank| rank[:share] }
    find("fluid_colour", "foamy")
    expect(job.view("ask")[:ranks].map { |rank| rank[:share] }).to eq before
    expect(job.view("ask")[:stand]).to include(finding: "fluid_colour", wait: "aerated_fluid")
    find("fluid_colour", "amber")
    expect(job.view("ask").keys).not_to include :stand
  end

  it "proves air in the master by a second burp, and begins the bleed with one" do
    job.answer_stops
    find("mc_isolated", "soft_better")
    expect(job.state.ask.proposal).to include(route: "bleed", causes: ["AM"])
    job.add("ask", "route", {"route" => "bleed"})
    expect(job.state.bleed.checks.start.map { |check| check.row["id"] }).to include "burped"
    plain = JobInMemory.new(sheet(twin_disc_plain)).tap(&:answer_stops)
    plain.add("ask", "route", {"route" => "bleed"})
    expect(plain.state.bleed.checks.start.map { |check| check.row["id"] }).not_to include "burped"
  end

  it "takes seals that were never renewed for old ones" do
    job.add("ask", "intake", {"question" => "rebuild_date", "value" => "never"})
    expect(job.state.ask.findings.values("history")).to include "old_seals"
  end
end
