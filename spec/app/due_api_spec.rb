# frozen_string_literal: true

require "icalendar"
require_relative "../support/fell_gate_copy"

RSpec.describe "What falls due", :api do
  let(:now) { Time.utc(2026, 3, 14, 9, 26) }

  before do
    FellGateCopy.into(store, now)
    App::DueBook.new(store, Sandbag::Shop.new, now.to_date).write_all
  end

  def due(query = "")
    ask(:get, "/due#{query}")
  end

  def lines(query = "?days=3650&limit=100")
    due(query)["items"]
  end

  it "is listed soonest first, page by page, with the machine it is on" do
    days = lines.map { |line| line["on"] }
    expect(days).to eq days.sort
    expect(lines.map { |line| line["id"] }.uniq.size).to eq lines.size
    first = due("?days=3650&limit=3")
    second = due("?days=3650&limit=3&after=#{CGI.escape(first["next"])}")
    expect([*first["items"], *second["items"]].map { |line| line["id"] }).to eq(lines.first(6).map { |line|
      line["id"]
    })
    expect(lines.first["machine"]).to include("id", "name")
  end

  it "moves when the record, the machine's use or the shop's interval changes" do
    fluid = -> { lines.find { |line| line["kind"] == "fluid" && line["circuit"]["id"] == "packmule-front" }["on"] }
    ask(:patch, "/circuits/packmule-front", {changes: [{part: "fluid", field: "changed_on", value: "2026-02-01"}]})
    expect(fluid.call).to eq "2028-02-01"
    ask(:patch, "/machines/packmule", {use: "hire"})
    expect(fluid.call).to eq "2027-02-01"
    ask(:patch, "/machines/packmule", {use: "daily"})
    ask(:put, "/shop",
      ask(:get, "/shop").slice("name", "units", "school", "band", "limits").merge("fluid_months" => 18))
    expect(fluid.call).to eq "2027-08-01"
  end

  it "leaves retired machines out, and comes with the machine" do
    expect(ask(:get, "/machines/packmule")["due"].map { |line| line["circuit"]["id"] }).to include "packmule-front"
    ask(:patch, "/machines/packmule", {retired: true})
    expect(lines.map { |line| line["machine"]["id"] }).not_to include "packmule"
  end

  it "refuses a day in a record that has not come yet" do
    ask(:patch, "/circuits/packmule-front", {changes: [{part: "master", field: "seals_on", value: "2999-01-01"}]})
    expect(last_response.status).to eq 422
    expect(pointers(JSON.parse(last_response.body))).to eq ["parts/master/seals_on"]
  end

  describe "a re-check" do
    let(:recheck) { lines.find { |line| line["kind"] == "recheck" && line["job"] == "job-bicycle" } }

    def start(id = "again", **more)
      ask(:post, "/jobs", {id: id, circuit_id: "packmule-front", beside: true, follows: recheck["recheck"], **more})
    end

    it "is a short job of its own, with what was answered carried over" do
      start
      expect(last_response.status).to eq 201
      job = ask(:get, "/jobs/again")
      expect(job["stages"].map { |each| each["id"] }).to eq %w[ask feel close]
      expect(job["complaint"]).to start_with "Re-check, due #{recheck["on"]}"
      expect(stage("again", "ask")["intake"].select { |row| row["stops"] && row["value"].nil? }).to eq []
      expect(stage("again", "close")["gates"].map { |gate| gate["id"] })
        .to eq %w[stop undone firm return dry nip residual level caps briefed]
      expect(stage("again", "feel")).to include("passed" => false)
      expect(job["current"]).to eq "close"
    end

    it "is done when its job is signed, and off the list" do
      start
      stage("again", "close")["gates"].select { |gate| gate["settled"] == "confirmed" }.each do |gate|
        entry("again", "close", "gate", {gate: gate["id"], met: true})
      end
      entry("again", "close", "signed", {name: "R. Tarn"})
      expect(last_response.status).to be_between(200, 201)
      expect(lines.map { |line| line["recheck"] }).not_to include recheck["recheck"]
      start("once-more")
      expect(last_response.status).to eq 422
    end

    it "is refused on another circuit, and one that is none is a 404" do
      ask(:post, "/jobs", {id: "x", circuit_id: "ridgeline-front", beside: true, follows: recheck["recheck"]})
      expect(pointers(JSON.parse(last_response.body))).to eq ["follows"]
      ask(:post, "/jobs", {id: "x", circuit_id: "packmule-front", beside: true, follows: "nothing"})
      expect(last_response.status).to eq 404
    end
  end

  describe "as a calendar" do
    def calendar
      header "Host", "127.0.0.1"
      get "/api/due/calendar.ics"
      Icalendar::Calendar.parse(last_response.body).first
    end

    it "has the same days and moments, and the same UID the next time" do
      events = calendar.events
      expect(last_response.content_type).to start_with "text/calendar"
      on = events.to_h { |event| [event.uid.to_s, event.dtstart.to_date.iso8601] }
      lines("?days=700&limit=100").each { |line| expect(on["due/#{line["id"]}@sandbag.invalid"]).to eq line["on"] }
      expect(calendar.events.map { |event| event.uid.to_s }).to eq events.map { |event| event.uid.to_s }
      expect(events.map { |event| event.uid.to_s }.uniq.size).to eq events.size
    end

    it "has a wait as a moment in UTC" do
      wait = ask(:get, "/jobs?state=open&limit=100")["items"].find { |job| job["id"] == "job-clutch" }["wait"]
      event = calendar.events.find { |each| each.uid.to_s == "wait/job-clutch@sandbag.invalid" }
      expect(event.dtstart.to_time.utc.iso8601).to eq wait["until"]
      expect(last_response.body).to include "DTSTART:20260316T092600Z"
    end

    it "says names as they are: commas, umlauts, signs" do
      ask(:patch, "/machines/packmule", {name: "Größe; 7, \u{1F6B2}"})
      expect(calendar.events.map { |event|
        event.summary.to_s
      }).to include(a_string_starting_with("Größe; 7, \u{1F6B2}"))
    end
  end
end
