# frozen_string_literal: true

RSpec.describe "Feel through the API", :api do
  before do
    add_circuit("front", twin_disc_plain)
    ask(:post, "/jobs", {id: "j", circuit_id: "front"})
  end

  # A job signed by this lever, as the desk keeps it.
  def signed(id)
    ask(:post, "/jobs", {id: id, circuit_id: "front", beside: true})
    job = JobInMemory.new(Sandbag::Circuit::Sheet.stored(store.circuits.find("front")[:sheet]))
    job.bled.felt
    job.closed
    job.entries.each do |each|
      entry(id, each.stage, each.kind, each.data, id: "#{id}-#{each.id}", at: each.at)
      raise "#{each.stage} #{each.kind}: #{last_response.body}" unless last_response.status == 201
    end
    expect(ask(:get, "/jobs/#{id}")["signed"]).to be true
  end

  def file(text)
    ask(:post, "/compute/gauge-files", raw: text, headers: {"Content-Type" => "text/csv"})
  end

  it "reads a gauge's file whole, and refuses one with its line" do
    pull = (1..40).map { |row| "#{3 * row},#{10 + row * 0.2}" }
    found = file(["force_n,travel_mm", *pull].join("\n"))
    expect(found["rows"]).to eq 40
    expect(found["readings"].size).to be_between(4, 12)
    refused = file("force_n,travel_mm\n5,10\n20,hard\n")
    expect([last_response.status, pointers(refused)]).to eq [422, ["file"]]
    expect(refused["errors"].first["message"]).to start_with "line 3: travel is “hard”"
  end

  it "has a stand-in gauge, the same for the same machine, and marked" do
    body = {sheet: Sandbag::Circuit::Template.sheet("road_front_single").to_h, seed: "front"}
    first, again, other = [{}, {}, {turn: 1}].map { |more| ask(:post, "/compute/lever-pulls", {**body, **more}) }
    expect(first).to eq again
    expect(first["readings"]).not_to eq other["readings"]
    expect(first.slice("instrument", "simulated")).to eq("instrument" => "lever gauge", "simulated" => true)
    expect(first["friction_n"]).to be_between(0, 6)
  end

  it "holds a lever against what it was when the circuit was last signed off" do
    expect(store.jobs.last_good("front")).to be_nil
    signed("old")
    ready("j")
    [[6, 17.2], [12, 17.6]].each { |force, travel| entry("j", "feel", "reading", {force: force, travel: travel}) }
    shown = entry("j", "feel", "hold_series", {times: [0, 10, 20, 40, 60], travels: [30, 30.2, 30.3, 30.3, 30.3]})
      .dig("stage", "feel")
    expect(shown).to include("last_good_at" => store.jobs.last_good("front")["at"])
    expect(shown["hold"]).to include("series" => "holds", "pass" => true)
    job = JobInMemory.new(sheet(twin_disc_plain))
    circuit = Sandbag::Circuit::Assembly.build(job.fitted)
    [8, 45, 105].each do |force|
      entry("j", "feel", "reading", {force: force, travel: circuit.travel_mm(circuit.pressure_mpa(force)).round(1)})
    end
    shown = stage("j", "feel")
    expect(shown["memory"]).to include("used" => true, "says" => a_string_starting_with("Held against the last good"))
    expect(shown["changes"].map { |row| row["id"] }).to eq %w[air dead stiffness]
  end

  it "refuses contradictions by name, and stores none of them" do
    ready("j")
    before = ask(:get, "/jobs/j/entries")["items"].size
    {
      ["curve", {forces: [1, 2], travels: [1]}] => "data/travels",
      ["curve", {forces: [], travels: []}] => "data/forces",
      ["curve", {forces: [5] * 30, travels: [5] * 30}] => "data/forces",
      ["hold_series", {times: [0, 5], travels: [1, 2]}] => "data/times", ["pump", {travels: [30]}] => "data/travels",
      ["hold_series", {times: [0, 20, 10, 30], travels: [1, 2, 3, 4]}] => "data/times",
      ["preload", {force: -2}] => "data/force", ["pump", {travels: "many"}] => "data/travels"
    }.each { |(kind, data), pointer|
      expect(pointers(entry("j", "feel", kind, data))).to eq([pointer]),
        "#{kind} #{data}"
    }
    expect(ask(:get, "/jobs/j/entries")["items"].size).to eq before
  end
end
