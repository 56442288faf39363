# frozen_string_literal: true

require "pdf-reader"

RSpec.describe "A job on hold", :api do
  before do
    add_circuit("front", twin_disc_plain)
    ask(:post, "/jobs", {id: "j", circuit_id: "front"})
    ready("j")
  end

  def tag
    header "Host", "127.0.0.1"
    get "/api/jobs/j/tag.pdf"
    last_response
  end

  it "has a tag to hang on the machine, with the reason, the day and the name" do
    entry("j", "close", "held", {reason: "the axle nut is on order", name: "M. Beck"})
    text = PDF::Reader.new(StringIO.new(tag.body)).pages.map(&:text).join(" ").squeeze(" ")
    expect(text).to include("DO NOT USE", "m-front", "the axle nut is on order", "14 Mar 2026", "by M. Beck")
  end

  it "has none where nothing holds the machine" do
    expect(tag.status).to eq 422
  end

  it "says so in the list, is not planned, and takes no work until it is resumed" do
    entry("j", "close", "held", {reason: "the axle nut is on order", name: "M. Beck"})
    line = ask(:get, "/jobs")["items"].first
    expect(line).to include("do_not_use" => "on hold, not released: the axle nut is on order",
      "on_hold" => {"name" => "M. Beck", "reason" => "the axle nut is on order", "at" => a_kind_of(String)})
    plan = ask(:post, "/plans", {benches: 1, minutes: 480})
    expect(plan["slots"]).to be_empty
    expect(plan["elsewhere"].map { |each| each.dig("circuit", "id") }).to eq ["front"]
    entry("j", "bleed", "stroke")
    expect(last_response.status).to eq 422
    entry("j", "close", "resumed")
    entry("j", "bleed", "stroke")
    expect(last_response.status).to eq 201
  end
end
