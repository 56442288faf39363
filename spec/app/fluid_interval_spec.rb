# frozen_string_literal: true

require_relative "../support/fell_gate_copy"

# How long fluid may stay is one number, wherever it is asked for: the calendar, Choose and Close.
RSpec.describe "The interval between changes of fluid", :api do
  let(:now) { Time.utc(2026, 3, 14, 9, 26) }

  before do
    FellGateCopy.into(store, now)
    App::DueBook.new(store, Sandbag::Shop.new, now.to_date).write_all
    ask(:patch, "/circuits/packmule-front", {changes: [{part: "fluid", field: "changed_on", value: "2023-12-01"}]})
    ask(:post, "/jobs", {id: "walk", circuit_id: "packmule-front", beside: true})
    answer_stops("walk")
    entry("walk", "ask", "route", {route: "adjust_free_play"})
  end

  def put_to(use)
    ask(:patch, "/machines/packmule", {use: use})
  end

  def by_calendar
    ask(:get, "/due?days=3650&limit=100")["items"]
      .find { |line| line["kind"] == "fluid" && line["circuit"]["id"] == "packmule-front" }["on"]
  end

  def by_choose
    due = ask(:get, "/jobs/walk/supplies")["check"]["due"]
    [due, *due["others"]].find { |date| date["by"] == "interval" }["on"]
  end

  def open_gates
    ask(:get, "/jobs/walk/stages/close")["close"]["gates"].reject { |gate| gate["met"] }.map { |gate| gate["id"] }
  end

  it "follows the machine's use in a job that is open, as it does in the calendar" do
    expect([by_calendar, by_choose]).to eq %w[2025-12-01 2025-12-01]
    expect(open_gates).not_to include "fluid_age"
    put_to "race"
    expect([by_calendar, by_choose]).to eq %w[2024-12-01 2024-12-01]
    expect(open_gates).to include "fluid_age"
    put_to "daily"
    expect(open_gates).not_to include "fluid_age"
  end

  it "is looked at again in the list of jobs when the use changes" do
    line = -> { ask(:get, "/jobs?state=open")["items"].find { |job| job["id"] == "walk" } }
    line.call
    before = store.jobs.find("walk")[:headline_of]
    put_to "race"
    line.call
    expect(store.jobs.find("walk")[:headline_of]).not_to eq before
    put_to "daily"
    line.call
    expect(store.jobs.find("walk")[:headline_of]).to eq before
  end
end
