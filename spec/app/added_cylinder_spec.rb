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
