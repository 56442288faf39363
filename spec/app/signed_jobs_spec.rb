# frozen_string_literal: true

require "pdf-reader"
require_relative "../support/fell_gate_copy"

RSpec.describe "Signed jobs", :api do
  before { FellGateCopy.into(store, Time.utc(2026, 3, 14, 9, 26)) }

  def signed
    ask(:get, "/jobs?state=closed&limit=100")["items"].map { |job| job["id"] }
  end

  def card_text(id)
    header "Host", "127.0.0.1"
    get "/api/jobs/#{id}/card.pdf"
    PDF::Reader.new(StringIO.new(last_response.body)).pages.map(&:text).join("\n")
  end

  # Everything Sandbag says of a signed job.
  def told(id)
    job = ask(:get, "/jobs/#{id}")
    stages = job["stages"].to_h { |stage| [stage["id"], stage(id, stage["id"])] }
    line = ask(:get, "/jobs?state=closed&limit=100")["items"].find { |each| each["id"] == id }
    {job: job, stages: stages, supplies: ask(:get, "/jobs/#{id}/supplies"), card: card_text(id), line: line}
  end

  # Every table with other words and figures in every row, and a row more.
  def change_every_table
    changed = Sandbag::Tables.names.to_h do |name|
      rows = Sandbag::Tables.rows(name).map { |row| otherwise(row) }
      [name, rows + [rows.last.merge("id" => "one_more")]]
    end
    allow(Sandbag::Tables).to receive(:rows) { |name| changed.fetch(name) }
    allow(Sandbag::Tables).to receive(:find) { |name, id| changed.fetch(name).find { |row| row["id"] == id } }
    allow(Sandbag::Tables).to receive(:edition).and_return("another")
  end

  def otherwise(row)
    row.to_h do |column, value|
      next [column, "#{value}, changed"] if %w[label text does detail why note].include?(column) && value.is_a?(String)
      [column, value.is_a?(Float) ? value * 1.25 : value]
    end
  end

  it "stay as they were, to the last word of the card, when every table changes" do
    expect(signed).not_to be_empty
    before = signed.to_h { |id| [id, told(id)] }
    change_every_table
    signed.each { |id| expect(told(id)).to eq before.fetch(id) }
  end

  it "show that the tables were changed: an open job reads the new words" do
    before = stage("job-tourer-front", "ask")
    change_every_table
    expect(stage("job-tourer-front", "ask")).not_to eq before
  end

  it "stay as they were when the machine's record and the shop's units change" do
    id = signed.first
    before = told(id)
    circuit = before[:job]["circuit"]["id"]
    now = ask(:get, "/circuits/#{circuit}")
    ask(:patch, "/circuits/#{circuit}", {changes: [{part: "master", field: "bore", value: 13, source: "measured"}]})
    expect(ask(:get, "/circuits/#{circuit}")["sheet"]).not_to eq now["sheet"]
    ask(:put, "/shop", {name: "Another name", units: {length: "in", volume: "fl oz"}})
    expect(told(id)).to eq before
  end

  it "keep the edition of the tables they were decided by, and take nothing more" do
    id = signed.first
    expect(store.jobs.record(id)).to include("edition" => Sandbag::Tables.edition)
    answer = entry(id, "bleed", "stroke")
    expect(last_response.status).to eq 422
    expect(answer["errors"].first["message"]).to include("signed")
  end

  it "get their record when the server starts, where an older Sandbag kept none" do
    id = signed.first
    before = told(id)
    store.instance_variable_get(:@database)[:jobs].where(id: id).update(record: nil, headline: nil)
    expect(store.jobs.unrecorded).to eq [id]
    App::Server.build(store, clock: -> { Time.utc(2026, 3, 15) })
    after = told(id)
    expect(after.slice(:job, :line, :card)).to eq before.slice(:job, :line, :card)
    expect(after[:stages].slice("bleed", "feel", "close")).to eq before[:stages].slice("bleed", "feel", "close")
  end

  it "carry on the card what was decided: machine, verdict, gates and who signed" do
    id = signed.first
    text = card_text(id).squeeze(" ")
    job = ask(:get, "/jobs/#{id}")
    expect(text).to include(job["machine"]["name"]).and include("Signed off by").and include(
                  "Release gates"
                ).and include("Verdict")
  end
end
