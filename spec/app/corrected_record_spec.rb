# frozen_string_literal: true

RSpec.describe "A circuit whose record is corrected while a job is open", :api do
  it "leaves the job readable: what no longer fits is named and does not count, and counts again once it fits" do
    add_circuit("c", twin_disc_plain)
    ask(:post, "/jobs", {id: "j", circuit_id: "c"})
    worked = JobInMemory.new(sheet(twin_disc_plain)).bled
    worked.add("feel", "preload", {"force" => 12})
    worked.entries.each { |given| entry("j", given.stage, given.kind, given.data, id: given.id, at: given.at) }
    expect(stage("j", "feel")).not_to have_key "unfit"
    offset = ->(value) { ask(:patch, "/circuits/c", {changes: [{part: "lever", field: "push_offset", value: value}]}) }
    offset[5]
    expect(ask(:get, "/jobs/j")["stages"].map { |each| stage("j", each["id"]) }.size).to be > 4
    expect(stage("j", "feel")["unfit"]).to contain_exactly(a_string_including("preload of 237.6 is out of range"))
    expect(stage("j", "choose")["unfit"]).to eq stage("j", "feel")["unfit"]
    offset[20]
    expect(stage("j", "feel")).not_to have_key "unfit"
  end
end
