# frozen_string_literal: true

# The questions come first, in the order of the intake; what the record knows is only confirmed.
RSpec.describe Sandbag::Ask::Now do
  let(:job) { JobInMemory.new(sheet(twin_disc_plain), careful: false) }

  def cards = job.view("ask")[:now]

  def ids = cards.map { |card| card[:id] }

  it "asks what can stop the job alone, until none of it is unanswered, and says what the record says" do
    stops = job.state.ask.intake.questions.select { |row| row["stops"] }.map { |row| "intake.#{row["id"]}" }
    expect(ids).to eq stops
    abs = cards.find { |card| card[:id] == "intake.abs" }
    expect(abs[:detail]).to eq "The record says: None"
    expect(cards.first[:detail]).to eq "Answer it before anything is opened."
  end

  it "goes on with the rest of the intake, and never hides what could be looked at" do
    job.answer_stops
    expect(ids).to include("intake.job_request", "route")
    expect(ids.index("intake.job_request")).to be < ids.index("route")
  end

  it "asks where the repair works before anything else, where that is not known" do
    job.answer_stops
    job.add("ask", "route", {"route" => "slave_work"})
    expect(ids).to eq ["where"]
    expect(cards.first[:answers].map { |answer| answer[:label] })
      .to eq ["Left caliper", "Right caliper", "All of them"]
    job.add("ask", "at", {"places" => ["far_end.left_caliper"]})
    expect(ids).not_to include "where"
  end

  it "asks on under a stop, since an answer may lift it, and not once the machine was referred" do
    job.add("ask", "flag", {"flag" => "R01"})
    expect(job.state.stop).not_to be_nil
    expect(ids).to all(start_with("intake."))
    job.add("ask", "referred", {"name" => "R. Tarn"})
    expect(ids).to be_empty
  end
end
