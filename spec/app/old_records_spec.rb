# frozen_string_literal: true

# Records that were written under other limits, or by an older Sandbag: read as they are, never judged again.
RSpec.describe "Old records", :api do
  # A master stroke of 45 mm was once let through; today's limit is lower.
  let(:over) { 9_999.0 }

  before do
    add_circuit("front", twin_disc_plain, machine: "tourer")
    ask(:post, "/jobs", {id: "j", circuit_id: "front"})
    row = store.circuits.find("front")
    parts =
      row[:sheet]["parts"].map do |part|
        if part["id"] == "left_hose"
          part.merge("values" => part["values"].merge("length" => {"value" => over, "source" => "measured"}))
        else
          part
        end
      end
    store.circuits.write_sheet("front", row[:sheet].merge("parts" => parts))
  end

  it "leave machine, job and lists readable" do
    %w[
      /machines
      /machines/tourer
      /circuits/front
      /jobs?state=open
      /jobs/j
      /jobs/j/stages/ask
      /jobs/j/stages/choose
      /jobs/j/supplies
    ].each do |path|
      ask(:get, path)
      expect([path, last_response.status]).to eq [path, 200]
    end
  end

  it "mark the value that is over today's limit where it is shown" do
    hose = ask(:get, "/circuits/front")["figures"]["parts"].find { |part| part["id"] == "left_hose" }
    length = hose["values"].find { |value| value["field"] == "length" }
    expect(length).to include("value" => over, "beyond" => a_string_including("to"))
    expect(hose["values"].reject { |value| value["field"] == "length" }).to all(
      satisfy { |value| !value.key?("beyond") }
    )
  end

  it "let another value be changed, and refuse the same one typed again" do
    ask(:patch, "/circuits/front", {changes: [{part: "master", field: "bore", value: 16, source: "measured"}]})
    expect(last_response.status).to eq 200
    ask(:patch, "/circuits/front", {changes: [{part: "left_hose", field: "length", value: over, source: "measured"}]})
    expect(last_response.status).to eq 422
  end

  it "are written with their version, and read without one or not at all from a newer Sandbag" do
    expect(JSON.parse(Store::Document.dump({"kind" => "brake_hand"}))).to eq("v" => Store::Document::VERSION,
      "kind" => "brake_hand")
    expect(Store::Document.load('{"kind":"brake_hand"}')).to eq("kind" => "brake_hand")
    expect { Store::Document.load('{"v":99}') }.to raise_error(Store::Document::TooNew, /version 99/)
  end

  it "with an entry that cannot be read leave the Bench standing: that job is shown as damaged, the rest as they are" do
    add_circuit("rear", bicycle_plain)
    ask(:post, "/jobs", {id: "whole", circuit_id: "rear"})
    entries = store.instance_variable_get(:@database)[:entries]
    entries.insert(id: "n", job_id: "j", position: 1, stage: "ask", kind: "note", data: "{half a te",
      at: "2026-03-14T09:00:00Z", by: "R")
    jobs = ask(:get, "/jobs")["items"].to_h { |job| [job["id"], job["damaged"]] }
    expect(jobs).to eq("j" => true, "whole" => nil)
    expect(ask(:get, "/machines/tourer")["jobs"].first).to include("damaged" => true)
    entry("whole", "ask", "note", {text: "goes on"})
    expect(last_response.status).to eq 201
  end
end
