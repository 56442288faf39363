# frozen_string_literal: true

# What was told once is not asked again: by Ask to Strip, and by one circuit of a machine to the next.
RSpec.describe "Told once", :api do
  before do
    add_circuit("front", sheet(twin_disc_plain).set("vehicle", "abs", nil, nil).to_h, machine: "tourer")
    ask(:post, "/jobs", {id: "j", circuit_id: "front"})
    entry("j", "ask", "complaint", {text: "soft lever"})
  end

  def add_rear(changed_on: nil, abs: nil)
    rear = Sandbag::Circuit::Template.filled("road_rear")
    rear = rear.set("fluid", "changed_on", changed_on, "measured") if changed_on
    rear = rear.set("vehicle", "abs", abs, "measured") if abs
    circuits = App::CircuitRecord.new(store, App::DueBook.new(store, Sandbag::Shop.new, clock.to_date))
    circuits.add(id: "rear", machine_id: "tourer", name: "Rear brake", sheet: rear)
  end

  def question(id) = stage("j", "ask")["intake"].find { |each| each["id"] == id }

  def against = stage("j", "ask")["against_record"]

  it "know from the machine's other circuit that this is not the only brake, and that its fluid is due" do
    expect(question("sole_brake")).not_to have_key "value"
    add_rear(changed_on: "2024-01-10")
    expect(question("sole_brake")).to include("value" => "no", "confirmed" => false)
    expect(question("other_circuit")).to include("value" => "due", "confirmed" => false)
    entry("j", "ask", "intake", {question: "sole_brake", value: "yes"})
    expect(against).to contain_exactly(a_string_including("another brake on this machine: Rear brake"))
    entry("j", "ask", "intake", {question: "sole_brake", value: "no"})
    entry("j", "ask", "intake", {question: "other_circuit", value: "none"})
    expect(against).to contain_exactly(a_string_starting_with("How does the other circuit look?"))
    entry("j", "ask", "intake", {question: "other_circuit", value: "fine"})
    expect(against).to eq []
  end

  it "do not call a brake due whose fluid is not" do
    add_rear(changed_on: "2026-01-10")
    expect(question("other_circuit")).not_to have_key "value"
  end

  it "take ABS from the other circuit until it is answered, and never its absence" do
    add_rear(abs: "none")
    expect(question("abs")).not_to have_key "value"
    patched = ask(:get, "/circuits/rear")["sheet"]["parts"].find { |part| part["part"] == "vehicle" }["id"]
    ask(:patch, "/circuits/rear", {changes: [{part: patched, field: "abs", value: "fitted"}]})
    expect(question("abs")).to include("value" => "fitted", "confirmed" => false)
    entry("j", "ask", "intake", {question: "abs", value: "none"})
    expect(question("abs")).to include("value" => "none", "confirmed" => true)
  end

  it "work the list of jobs out again where another circuit of the machine has come or changed" do
    kept = -> { store.jobs.find("j")[:headline_of] }
    ask(:get, "/jobs")
    expect(kept.call).not_to be_nil
    add_rear
    expect(kept.call).to be_nil
    ask(:get, "/jobs")
    expect(kept.call).not_to be_nil
    fluid = ask(:get, "/circuits/rear")["sheet"]["parts"].find { |part| part["part"] == "fluid" }["id"]
    ask(:patch, "/circuits/rear", {changes: [{part: fluid, field: "changed_on", value: "2025-01-10"}]})
    expect(kept.call).to be_nil
  end

  it "count the insert that Ask saw under the lid, unless Strip sees another thing" do
    answer_stops("j")
    entry("j", "ask", "route", {route: "reseal_mc"})
    under = -> { stage("j", "strip")["setup"].find { |row| row["id"] == "reservoir_inserts" } }
    taken = -> { stage("j", "strip")["steps"].flat_map { |step| step["takes"] } }
    inserts = -> { taken.call.find { |part| part["id"] == "insert" }["count"] }
    expect(under.call).not_to have_key "value"
    expect(inserts.call).to eq 0
    entry("j", "ask", "finding", {finding: "bubbles", value: "under_insert"})
    expect(under.call["value"]).to eq "foam"
    expect(inserts.call).to eq 1
    entry("j", "strip", "setup", {item: "reservoir_inserts", value: "diaphragm"})
    expect(under.call["value"]).to eq "diaphragm"
    expect(inserts.call).to eq 0
  end
end
