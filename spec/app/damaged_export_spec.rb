# frozen_string_literal: true

require_relative "../support/fell_gate_copy"

# What cannot be read is left out of an export and named in it; the rest can be imported elsewhere.
RSpec.describe "An export of damaged records", :api do
  before { FellGateCopy.into(store, Time.utc(2026, 3, 14, 9, 26)) }

  let(:elsewhere) { Store::All.new(Store::Database.open(":memory:")) }

  def exported
    header "Host", "127.0.0.1"
    get "/api/archive"
    JSON.parse(last_response.body)
  end

  def import(document)
    App::ArchiveImport.new(elsewhere, App::Memory.new, Api::CONTRACT, Date.new(2026, 3, 14))
      .take(document, id: "i", at: "2026-03-14T09:26:00Z")
  end

  def damage(table, text, **where)
    column = {circuits: :sheet, entries: :data, stock_moves: :data}.fetch(table)
    store.instance_variable_get(:@database)[table].where(**where).update(column => text)
  end

  it "is looked through by the quick check as by the slow one" do
    whole = exported
    expect([App::ArchiveFile::QUICK.call(whole), App::ArchiveFile::CHECK.valid?(whole)]).to eq [true, true]
    whole["jobs"].last["entries"].first.delete("kind")
    expect([App::ArchiveFile::QUICK.call(whole), App::ArchiveFile::CHECK.valid?(whole)]).to eq [false, false]
    whole["jobs"].pop
    whole["machines"] *= 1_000
    expect([App::ArchiveFile::QUICK.call(whole), whole["machines"].size > 5_000]).to eq [false, true]
  end

  it "takes no longer than it may" do
    stub_const("App::ArchiveImport::MOST_SECONDS", 0)
    expect(problems { import(exported) }.first.message).to start_with "to check this archive takes over"
    expect(elsewhere.machines.all).to be_empty
  end

  it "leaves a machine out with its jobs, a job, and a move of the shelf, and says so" do
    whole = exported
    expect(whole).not_to include "damaged"
    machine = whole["machines"].find { |each| each["circuits"].any? { |circuit| circuit["id"] == "ridgeline-front" } }
    its_circuits = machine["circuits"].map { |circuit| circuit["id"] }
    its_jobs, others = whole["jobs"].partition { |job| its_circuits.include?(job["circuit_id"]) }
    move = whole["shelf"].last["id"]
    damage(:circuits, '{"v":1,', id: "ridgeline-front")
    damage(:entries, "null", job_id: others.first["id"], position: 1)
    damage(:stock_moves, "[]", id: move)
    left = exported
    lost = left.fetch("damaged").map { |each| each.values_at("kind", "id") }
    expect(lost).to contain_exactly(["machine", machine["id"]], ["job", others.first["id"]], ["move", move],
      *its_jobs.map { |job| ["job", job["id"]] })
    expect(App::ArchiveFile::CHECK.valid?(left)).to be true
    expect(import(left)[:added]).to include(machines: whole["machines"].size - 1, jobs: others.size - 1)
  end
end
