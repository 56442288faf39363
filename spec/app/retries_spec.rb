# frozen_string_literal: true

# The same again is harmless; the same id for something else is refused and changes nothing.
RSpec.describe "A retry", :api do
  def statuses(path, body, **other)
    [body, body, body.merge(other)].map do |sent|
      ask(:post, path, sent)
      last_response.status
    end
  end

  before do
    add_circuit("front", twin_disc_plain, machine: "tourer")
    ask(:post, "/jobs", {id: "j", circuit_id: "front"})
  end

  it "of a machine, its copy and its circuit answers 200, and 409 where it says something else" do
    expect(statuses("/machines", {id: "m", name: "One", kind: "road"}, name: "Two")).to eq [201, 200, 409]
    expect(ask(:get, "/machines/m")["name"]).to eq "One"
    expect(statuses("/machines/tourer/copies", {id: "copy", name: "Copy"}, name: "Other")).to eq [201, 200, 409]
    expect(statuses("/machines/m/circuits", {id: "c", template: "road_rear"}, template: "road_front_single")).to eq [
      201,
      200,
      409
    ]
    expect(ask(:get, "/machines/m")["circuits"].size).to eq 1
    expect(statuses("/machines/tourer/circuits", {id: "c", template: "road_rear"})).to eq [409, 409, 409]
  end

  it "of an entry answers 200, and 409 for other data, another kind, another undo or another job" do
    entry("j", "ask", "note", {text: "first"}, id: "n")
    {200 => ["j", "note", {text: "first"}], 409 => ["j", "note", {text: "second"}]}.each do |status, (job, kind, data)|
      entry(job, "ask", kind, data, id: "n")
      expect(last_response.status).to eq status
    end
    entry("j", "ask", "complaint", {text: "first"}, id: "n")
    expect(last_response.status).to eq 409
    expect(stage("j", "ask")["notes"]).to eq ["first"]
    entry("j", "feel", "reading", {force: "5 kgf", travel: "12,5"}, id: "r")
    entry("j", "feel", "reading", {force: "5 kgf", travel: "12,5"}, id: "r")
    expect(last_response.status).to eq 200
    entry("j", "feel", "reading", {force: "5 kgf", travel: "12,6"}, id: "r")
    expect(last_response.status).to eq 409
  end

  it "of a move and of a comparison does the same" do
    box = {id: "in", item: "w", kind: "added",
           data: {kind: "washer", name: "Washers", count: 4, fields: {bore: 10, metal: "copper"}}}
    expect(statuses("/shelf/moves", box, data: box[:data].merge(count: 40))).to eq [201, 200, 409]
    expect(ask(:get, "/shelf")["items"].first["amount"]).to eq 4
    comparison = {id: "k", circuit_id: "front", name: "Two masters", body: {sheet: twin_disc_plain, cylinders: "none"}}
    expect(statuses("/comparisons", comparison, name: "Three")).to eq [201, 201, 409]
    expect(ask(:get, "/comparisons/k")["name"]).to eq "Two masters"
  end

  it "of a copy finds circuits whatever ids are taken already, and however long they would grow" do
    long = "x" * 60
    ask(:post, "/machines/tourer/copies", {id: long, name: "Long"})
    expect(last_response.status).to eq 201
    store.circuits.add(id: "short.1", machine_id: "tourer", name: "Taken", sheet: sheet(bicycle_plain).to_h)
    ask(:post, "/machines/tourer/copies", {id: "short", name: "Short"})
    expect(last_response.status).to eq 201
    [long, "short"].each do |machine|
      ask(:get, "/machines/#{machine}")["circuits"].each do |circuit|
        ask(:get, "/circuits/#{circuit["id"]}")
        expect(last_response.status).to eq 200
      end
    end
  end
end
