# frozen_string_literal: true

require_relative "../support/fell_gate_copy"

RSpec.describe "The cards of Choose that fetch something", :api do
  before { FellGateCopy.into(store, Time.utc(2026, 3, 14, 9, 26)) }

  def card(id) = stage("job-scooter", "choose")["now"].find { |each| each["id"] == "fetch.#{id}" }

  def pulled(id)
    line = ask(:get, "/jobs/job-scooter/supplies")["lines"].find { |each| each["id"] == id }
    line["pulled"].map { |each| each["item"] }
  end

  def answer(id, place)
    given = card(id)["answers"].fetch(place)["entry"]
    entry("job-scooter", "choose", given["kind"], given["data"])
    expect(last_response.status).to eq 201
  end

  it "take what lies on the shelf and fits for certain from there" do
    gauges = card("tool.bore_gauge")
    expect(gauges).to include("kind" => "question", "detail" => a_string_starting_with("Drawer 5"))
    expect(gauges["answers"].map { |each| each["label"] }).to eq ["Take Small-hole gauges", "Another one is here"]
    answer("tool.bore_gauge", 0)
    expect(pulled("tool.bore_gauge")).to eq ["bore-gauge"]
    expect(card("tool.bore_gauge")).to be_nil
  end

  it "take nothing off the shelf where another one is on the bench" do
    answer("tool.bore_gauge", 1)
    expect(pulled("tool.bore_gauge")).to eq [nil]
    expect(card("tool.bore_gauge")).to be_nil
  end

  it "leave to be said what is in doubt, and what is not there" do
    # half an inch and 13 mm both lie there: which one it is has to be looked at
    expect(card("kit")).to include("kind" => "step", "act" => a_hash_including("label" => "It is here"))
    expect(card("tool.jis_driver")).to include("kind" => "step")
  end
end
