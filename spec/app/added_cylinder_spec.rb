# frozen_string_literal: true

RSpec.describe "A hand cylinder that was added", :api do
  # The whole job, worked in memory and then sent entry by entry.
  def signed
    foot = Sandbag::Circuit::Template.filled("road_rear").set("vehicle", "abs", "none", "measured")
    add_circuit("rear", foot.to_h)
    ask(:post, "/jobs", {id: "j", circuit_id: "rear"})
    worked = JobInMemory.new(foot)
    worked.answer_stops
    worked.add("ask", "route", {"route" => "add_mc"})
    worked.work_through.entries.each do |entry|
      ask(:post, "/jobs/j/entries",
        {id: entry.id, stage: entry.stage, kind: entry.kind, data: entry.data, at: entry.at})
    end
  end

  it "is a circuit of its own in the machine's record, with its own days, and the foot brake stays as it was" do
    signed
    expect(ask(:get, "/jobs/j")).to include("signed" => true)
    circuits = ask(:get, "/machines/#{ask(:get, "/jobs/j").dig("machine", "id")}")["circuits"]
    foot, hand = circuits
    expect(circuits.map { |circuit| circuit["sheet"]["kind"] }).to eq %w[brake_foot brake_hand_added]
    value = lambda do |circuit, part, field|
      circuit["sheet"]["parts"].find { |each| each["part"] == part }["values"].dig(field, "value")
    end
    expect([value[foot, "master", "seals_on"], value[foot, "fluid", "changed_on"]]).to eq [nil, "2026-03-14"]
    expect([value[hand, "master", "seals_on"], value[hand, "line", "fitted_on"]]).to eq %w[2026-03-14 2026-03-14]
    expect(hand["name"]).to end_with ", by hand"
    expect(ask(:get, "/circuits/#{hand["id"]}/levers")["points"]).not_to be_empty
    expect(ask(:get, "/circuits/#{foot["id"]}/levers")["points"]).to be_empty
  end

  def machine = ask(:get, "/machines/#{ask(:get, "/jobs/j").dig("machine", "id")}")

  def value_of(circuit, part, field)
    circuit["sheet"]["parts"].find { |each| each["part"] == part }["values"].dig(field, "value")
  end

  it "shares hoses, calipers and fluid with the foot brake from then on, whichever of both is corrected" do
    signed
    foot, hand = machine["circuits"]
    expect(foot["other_control"]).to eq("id" => hand["id"], "name" => hand["name"], "in_line" => false)
    expect(hand["other_control"]).to eq("id" => "rear", "name" => foot["name"], "in_line" => true)
    changes = lambda do |part, field, value|
      {changes: [{part: part, field: field, value: value}]}
    end
    ask(:patch, "/circuits/#{hand["id"]}", changes["fluid", "changed_on", "2026-02-01"])
    ask(:patch, "/circuits/rear", changes["caliper", "pistons", "34"])
    ask(:patch, "/circuits/rear", changes["master", "bore", "15.9"])
    foot, hand = machine["circuits"]
    expect([foot, hand].map { |circuit| value_of(circuit, "fluid", "changed_on") }).to eq ["2026-02-01"] * 2
    expect([foot, hand].map { |circuit| value_of(circuit, "caliper", "pistons") }).to eq [[34.0]] * 2
    expect(value_of(foot, "master", "bore")).to eq 15.9
    expect(value_of(hand, "master", "bore")).not_to eq 15.9
  end

  it "has both controls tested in any later job on either, and takes no third one" do
    signed
    %w[rear].push(machine["circuits"].last["id"]).each do |circuit|
      ask(:post, "/jobs", {id: "later-#{circuit}", circuit_id: circuit})
      gates = ask(:get, "/jobs/later-#{circuit}/stages/close")["close"]["gates"]
      expect(gates.find { |gate| gate["id"] == "both_controls" }).to include("met" => false, "touched" => true)
    end
    routes = ask(:get, "/jobs/later-rear/stages/ask")["ask"]["routes"]
    expect(routes).to include("flush")
    expect(routes).not_to include("add_mc")
  end

  it "is the same thing where the circuit is added by its template beside a foot brake, and leaves with the machine" do
    foot = Sandbag::Circuit::Template.filled("road_rear")
    add_circuit("rear", foot.to_h)
    id = store.circuits.find("rear")[:machine_id]
    ask(:post, "/machines/#{id}/circuits", {id: "hand", template: "hand_rear_added"})
    expect(ask(:get, "/circuits/hand")["other_control"]).to include("id" => "rear")
    ask(:post, "/machines/#{id}/copies", {id: "copy", name: "Copy"})
    copied = ask(:get, "/machines/copy")["circuits"]
    expect(copied.map { |circuit| circuit.dig("other_control", "id") }).to eq copied.map { |each| each["id"] }.reverse
    expect(store.archive.machine(id)["circuits"].map { |circuit| circuit["joined_to"] }).to eq [nil, "rear"]
  end

  it "is asked after where a job that was signed before left it out of the record" do
    signed
    machine = ask(:get, "/jobs/j").dig("machine", "id")
    expect(ask(:get, "/machines/#{machine}")["not_in_record"]).to be_empty
    store.circuits.of_machine(machine).reject { |circuit| circuit[:id] == "rear" }.each do |circuit|
      foot = store.circuits.find("rear")[:sheet]
      store.circuits.write_sheet(circuit[:id], foot)
    end
    expect(ask(:get, "/machines/#{machine}")["not_in_record"])
      .to eq ["Added hand brake on the rear, 14 Mar 2026: the added cylinder is not in this record. Look at the " \
        "machine and add its circuit."]
  end
end
