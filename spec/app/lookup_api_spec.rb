# frozen_string_literal: true

require_relative "../support/fell_gate_copy"

RSpec.describe "/api/lookup", :api do
  it "finds what the tables say, and all of it where nothing was typed" do
    found = ask(:get, "/lookup?find=brake%20cleaner")["groups"]
    expect(found.first).to include("id" => "cleaners", "label" => "Cleaners", "default" => false)
    expect(found.first["entries"].first).to include("title" => "Fast-dry brake cleaner",
      "says" => include("Rubber bears it only wiped on and dried at once."))
    expect(ask(:get, "/lookup")["groups"].map { |group| group["id"] }).to include("torque", "words")
    expect(ask(:get, "/lookup?find=zebra")["groups"]).to eq []
  end

  it "puts the record of a circuit first, in the units of the shop" do
    add_circuit("c", twin_disc_plain)
    bore = -> { ask(:get, "/lookup?find=bore&circuit=c")["groups"].first }
    expect(bore.call["entries"].first).to eq("id" => "record.master.bore", "title" => "Master: Bore",
      "says" => ["19 mm"], "source" => "measured")
    shop = ask(:get, "/shop")
    kept = %w[revision name school band limits fluid_months lubricant schools currency hourly_rate_minor prices people]
    ask(:put, "/shop", shop.slice(*kept).merge("units" => shop["units"].merge("length" => "in")))
    expect(bore.call["entries"].first["says"]).to match [/\A0\.748\d* in\z/]
  end

  it "finds jobs by machine and complaint, and things on the shelf, by the beginnings of their words" do
    FellGateCopy.into(store, Time.utc(2026, 3, 14, 9, 26))
    jobs = ->(find) { ask(:get, "/lookup?find=#{find}")["jobs"].map { |job| job["id"] } }
    expect(jobs["lofty%20creeps"]).to eq %w[job-sledge]
    expect(jobs["lofty"]).to eq %w[job-sledge job-sledge-2 job-sledge-1]
    expect(jobs["lofty%20zebra"]).to eq []
    expect(jobs[""]).to eq []
    expect(ask(:get, "/lookup?find=braid")["things"])
      .to include("id" => "hose-850", "name" => "Braided hose, 850", "place" => "Hook 4")
    expect(ask(:get, "/lookup?find=brake")["jobs"].size).to eq 5
  end

  it "refuses a circuit that is not there, and more than a question" do
    expect(ask(:get, "/lookup?circuit=nowhere")["status"]).to eq 404
    expect(ask(:get, "/lookup?find=#{"x" * 201}")["status"]).to eq 422
    expect(ask(:get, "/lookup?colour=red")["status"]).to eq 422
  end
end
