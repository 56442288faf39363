# frozen_string_literal: true

RSpec.describe "Two jobs on one circuit", :api do
  # A bleed worked in memory and sent entry by entry, all but the signature.
  def nearly_signed(id, circuit, plain)
    ask(:post, "/jobs", {id: id, circuit_id: circuit, beside: true})
    worked = JobInMemory.new(plain)
    worked.answer_stops
    worked.add("ask", "route", {"route" => "bleed"})
    *entries, @signature = worked.work_through.entries
    entries.each do |each|
      entry(id, each.stage, each.kind, each.data, id: "#{id}.#{each.id}", at: each.at)
    end
  end

  def sign(id) = entry(id, @signature.stage, @signature.kind, @signature.data)

  before do
    plain = sheet(twin_disc_plain)
    add_circuit("front", plain.to_h)
    nearly_signed("a", "front", plain)
    ask(:post, "/jobs", {id: "b", circuit_id: "front", beside: true})
  end

  it "are not signed one over the other: the circuit is open in the neighbour" do
    ready("b")
    entry("b", "bleed", "stroke", id: "b.stroke")
    refused = sign("a")
    expect(last_response.status).to eq 422
    expect(refused["errors"].first).to include("pointer" => "kind",
      "message" => "another job on Front brake is not finished: fluid has been moved")
    entry("b", "bleed", "undo", corrects: "b.stroke")
    sign("a")
    expect(last_response.status).to eq 201
  end

  it "are not signed one over the other: the neighbour is on hold" do
    entry("b", "close", "held", {reason: "cracked lever", name: "M. Beck"})
    expect(sign("a")["errors"].first["message"]).to end_with "on hold, not released: cracked lever"
  end

  it "are signed where the neighbour has only begun to ask" do
    entry("b", "ask", "complaint", {text: "squeals"})
    sign("a")
    expect(last_response.status).to eq 201
  end
end
