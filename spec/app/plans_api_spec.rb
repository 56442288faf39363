# frozen_string_literal: true

require_relative "../support/fell_gate_copy"

RSpec.describe "A plan of the day", :api do
  before { FellGateCopy.into(store, Time.utc(2026, 3, 14, 9, 26)) }

  def plan(benches: 1, minutes: 480, **more)
    ask(:post, "/plans", {benches: benches, minutes: minutes, **more})
  end

  it "orders the pieces of open jobs, fills waits, and says what will not fit" do
    day = plan
    expect(day["slots"].map { |slot| slot["start"] }).to eq(day["slots"].map { |slot| slot["start"] }.sort)
    expect(day["slots"].each_cons(2).all? { |one, other| other["start"] >= one["finish"] }).to be true
    expect(day["finished"] + day["unfinished"].size).to eq ask(:get,
      "/jobs?limit=100")["items"].size - day["elsewhere"].size
    expect(day["elsewhere"].map { |line| line["id"] }).to eq ["job-tourer-rear"]
    # parts are two days away
    expect(day["unfinished"].map { |line| line["id"] }).to include "job-clutch"
  end

  it "finishes no fewer with another bench" do
    expect(plan(benches: 2, minutes: 120)["finished"]).to be >= plan(minutes: 120)["finished"]
  end

  it "keeps a time that was promised, and says when it cannot" do
    entry("job-scooter", "ask", "promise", {at: "2026-03-14T13:00:00Z"})
    day = plan
    expect(day["late"]).to eq []
    expect(day["slots"].select { |slot| slot["id"] == "job-scooter" }.map { |slot| slot["finish"] }.max).to be <= 214
    entry("job-scooter", "ask", "promise", {at: "2026-03-14T09:30:00Z"})
    expect(plan["late"].map { |line| line["id"] }).to eq ["job-scooter"]
    entry("job-scooter", "ask", "promise", {at: "soon"})
    expect(last_response.status).to eq 422
  end

  it "plans round a piece that was put by hand" do
    at = (Time.iso8601(plan["from"]) + 200 * 60).iso8601
    day = plan(moved: [{job: "job-kart", piece: 0, at: at}])
    expect(day["slots"].find { |slot| slot["id"] == "job-kart" }).to include("start" => 200, "moved" => true)
    past = plan(moved: [{job: "job-kart", piece: 0, at: "2020-01-01T00:00:00Z"}])
    expect(past["slots"].find { |slot| slot["id"] == "job-kart" }).to include("start" => 0, "moved" => true)
  end

  it "refuses no bench, no time, and a job that is not open" do
    closed = [{job: "job-bicycle", piece: 0, at: "2026-03-14T10:00:00Z"}]
    {
      {benches: 0, minutes: 10} => "benches", {benches: 1, minutes: 0} => "minutes",
      {benches: 1, minutes: 10, moved: closed} => "moved/0/job"
    }.each do |body, pointer|
      expect(pointers(ask(:post, "/plans", body))).to eq [pointer]
    end
  end
end
