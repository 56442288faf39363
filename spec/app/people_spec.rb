# frozen_string_literal: true

RSpec.describe "The people of a shop", :api do
  let(:people) do
    [{name: "R. Tarn", role: "lead"}, {name: "M. Beck", role: "mechanic"}, {name: "J. Syke", role: "learner"}]
  end

  def name(list) = ask(:put, "/shop", {people: list})

  def refusal = JSON.parse(last_response.body)["errors"]&.first&.values_at("pointer", "accepted")

  before do
    add_circuit("front", twin_disc_plain)
    ask(:post, "/jobs", {id: "j", circuit_id: "front"})
  end

  it "are named once each, by a name that can be read, with a role" do
    expect(name(people)["people"].map { |each| each["role"] }).to eq %w[lead mechanic learner]
    name(people + [{name: "Rob Tarn", role: "learner"}])
    expect(refusal).to eq ["people/3/name", "each person once"]
    name([{name: "…", role: "lead"}])
    expect(refusal.first).to eq "people/0/name"
    name([{name: "R. Tarn", role: "owner"}])
    expect(refusal).to eq ["people/0/role", "lead, mechanic, learner"]
  end

  it "are whom entries come from, and nobody else once somebody is named" do
    entry("j", "ask", "note", {text: "by anybody"}, by: "N. Obody")
    expect(last_response.status).to eq 201
    name(people)
    entry("j", "ask", "note", {text: "by nobody"}, by: "N. Obody")
    expect(refusal).to eq ["by", "R. Tarn, M. Beck, J. Syke"]
    entry("j", "ask", "note", {text: "by one of them"}, by: "J. Syke")
    expect(ask(:get, "/jobs/j/entries")["items"].map { |each| each["by"] }).to eq ["N. Obody", "J. Syke"]
  end

  it "lift, check and sign as their role allows" do
    name(people)
    answer_stops("j")
    entry("j", "ask", "flag", {flag: Sandbag::Tables.rows("red_flags").find { |row| row["reported"] }["id"]})
    up = Sandbag::Tables.rows("red_flags").find { |row| row["reported"] }["id"]
    entry("j", "ask", "lifted", {flag: up, lead: "M. Beck", reason: "looked at"})
    expect(refusal).to eq ["data/lead", "R. Tarn"]
    entry("j", "ask", "lifted", {flag: up, lead: "R. Tarn", reason: "looked at"})
    expect(last_response.status).to eq 201
    ask(:post, "/jobs", {id: "k", circuit_id: "front", beside: true})
    answer_stops("k")
    entry("k", "ask", "intake", {question: "sole_brake", value: "yes"})
    entry("k", "ask", "route", {route: "bleed"})
    entry("k", "close", "gate", {gate: "second", met: true, name: "J. Syke"})
    expect(refusal).to eq ["data/name", "R. Tarn, M. Beck"]
    entry("k", "close", "signed", {name: "J. Syke"})
    expect(refusal).to eq ["data/name", "R. Tarn, M. Beck"]
    entry("k", "close", "held", {reason: "no pads", name: "J. Syke"})
    expect(last_response.status).to eq 201
  end
end
