# frozen_string_literal: true

RSpec.describe "Bleed through the API", :api do
  before do
    add_circuit("front", twin_disc_plain)
    ask(:post, "/jobs", {id: "j", circuit_id: "front"})
  end

  def refused(kind, data = {})
    pointers(entry("j", "bleed", kind, data))
  end

  it "leads the cycle step by step, and shows what was left out" do
    ready("j")
    entry("j", "bleed", "beat", {beat: "hold"})
    shown = entry("j", "bleed", "beat", {beat: "open"}).dig("stage", "bleed", "cycle")
    expect(shown).to include("done" => 2, "turn" => "close", "open" => true)
    expect(refused("topped_up")).to eq ["kind"]
    shown = entry("j", "bleed", "beat", {beat: "release"}).dig("stage", "bleed")
    expect(shown["slips"].first["why"]).to include "drawn air in"
    expect(shown["total_strokes"]).to eq 0
  end

  it "takes another way with what was passed, sets the stroke by the jar, and keeps hands and warmth" do
    ready("j")
    4.times { entry("j", "bleed", "stroke") }
    expect(entry("j", "bleed", "jar", {ml: "12"}).dig("stage", "bleed", "stroke_ml")).to eq 3.0
    entry("j", "bleed", "people", {people: 2})
    entry("j", "bleed", "temperature", {celsius: "5"})
    shown = entry("j", "bleed", "method", {method: "gravity_flush"}).dig("stage", "bleed")
    expect(shown["changes"].first["says"]).to start_with "12 mL are kept"
    expect(shown.slice("people", "celsius")).to eq("people" => 2, "celsius" => 5.0)
    expect(stage("j", "choose")["method"]).to eq "gravity_flush"
    expect(pointers(entry("j", "choose", "method", {method: "hold_cycle"}))).to eq ["kind"]
  end

  it "ranks the ways for the job: by shelf, hands, warmth, gate and schools, and opens the figures of one" do
    ready("j")
    entry("j", "bleed", "temperature", {celsius: -10})
    found = ask(:post, "/jobs/j/bleed-verdicts", {})
    expect(found["celsius"]).to eq(-10.0)
    vacuum = found["methods"].find { |row| row["id"] == "hand_vacuum" }
    expect(vacuum["wanting"]).to include "Hand vacuum pump with jar"
    ask(:put, "/shop", {schools: {vacuum: "avoided"}})
    later = ask(:post, "/jobs/j/bleed-verdicts", {explain: "hand_vacuum", celsius: 20})
    expect(later["methods"].find { |row| row["id"] == "hand_vacuum" }["leaning"]).to eq(-1)
    expect(later["figures"].map { |item| item["label"] }).to include("Mean speed", "Slug with the flow")
    expect(pointers(ask(:post, "/jobs/j/bleed-verdicts", {explain: "prayer"}))).to eq ["explain"]
    expect(pointers(ask(:post, "/jobs/j/bleed-verdicts", {tilted: 9000}))).to eq ["tilted"]
  end

  it "refuses contradictions, each by its name, and stores none of them" do
    ready("j")
    entry("j", "bleed", "stroke")
    before = ask(:get, "/jobs/j/entries")["items"].size
    {
      ["run", {ml: 5}] => "kind", ["run", {ml: -1}] => "data/ml", ["jar", {ml: 5}] => "data/ml",
      ["tool_tight", {first: 0.05, after: 0.04}] => "kind", ["tool_report", {lamp: "off", report: "fine"}] => "kind",
      ["round", {lever: "springy"}] => "kind", ["rung", {rung: "tell", outcome: "air"}] => "kind",
      ["check", {check: "master_last", value: "none"}] => "data/check", ["check", {check: "shield", value: "on"}] =>
        "data/value", ["method", {method: "two_syringe"}] => "data/method", ["method", {method: "reverse_syringe"}] =>
        "data/method", ["beat", {beat: "pump"}] => "data/beat", ["people", {people: 9}] => "data/people",
      ["temperature", {celsius: 300}] => "data/celsius", ["point_done", {point: "right_caliper"}] => "data/point"
    }.each { |(kind, data), pointer| expect(refused(kind, data)).to eq([pointer]), "#{kind} #{data}" }
    expect(ask(:get, "/jobs/j/entries")["items"].size).to eq before
  end

  it "reports for the machine's own tool, marked as simulated" do
    report = ask(:post, "/compute/tool-reports", {seed: "front"})
    expect(report).to include("lamp" => "off", "simulated" => true, "instrument" => "ABS service tool")
    expect(ask(:post, "/compute/tool-reports", {seed: "front"})).to eq report
    expect(pointers(ask(:post, "/compute/tool-reports", {seed: ""}))).to eq ["seed"]
  end

  it "offers the shop what good mechanics differ over, and what is settled" do
    shop = ask(:put, "/shop", {schools: {dry_line: "pump"}})
    expect(shop["schools"]).to include("dry_line" => "pump", "vacuum" => "even")
    settled, open = shop["schools_open"].partition { |school| !school.key?("answers") }
    expect([settled.size, open.size]).to eq [8, 7]
    expect(pointers(ask(:put, "/shop", {schools: {clear: "no"}}))).to eq ["schools/clear"]
    expect(pointers(ask(:put, "/shop", {schools: {vacuum: 3}}))).to eq ["schools/vacuum"]
  end
end
