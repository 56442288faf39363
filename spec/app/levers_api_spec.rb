# frozen_string_literal: true

require_relative "../support/fell_gate_copy"

RSpec.describe "Levers on file", :api do
  before { FellGateCopy.into(store, Time.utc(2026, 3, 14, 9, 26)) }

  def history(circuit)
    ask(:get, "/circuits/#{circuit}/levers")
  end

  it "are what each signed job found as it came and as it went, oldest first" do
    points = history("lofty-brake")["points"]
    expect(points.map { |point| point.values_at("job", "state") })
      .to eq [["job-sledge-1", "came"], ["job-sledge-1", "went"], ["job-sledge-2", "came"], ["job-sledge-2", "went"]]
    expect(points.map { |point| point["air_ml"] > 0.03 }).to eq [true, false, true, false]
    expect(points.map { |point| point["bled"] }).to eq [false, true, false, true]
    expect(history("lofty-brake")["trend"]).to include("known" => true, "due_on" => a_string_matching(/\A2026-/))
  end

  it "are none on a circuit that never had one signed, and no circuit is a 404" do
    expect(history("ridgeline-front")).to include("points" => [], "trend" => include("known" => false))
    history("nowhere")
    expect(last_response.status).to eq 404
  end

  it "stand the worst first, page by page, and leave retired machines out" do
    all = ask(:get, "/levers")["items"]
    expect(all.map { |line| line["share_now"] }).to eq(all.map { |line| line["share_now"] }.sort.reverse)
    first = ask(:get, "/levers?limit=1")
    second = ask(:get, "/levers?limit=1&after=#{CGI.escape(first["next"])}")
    expect([first, second].map { |page| page["items"].first["circuit"]["id"] })
      .to eq(all.first(2).map { |line| line["circuit"]["id"] })
    ask(:patch, "/machines/lofty", {retired: true})
    expect(ask(:get, "/levers")["items"].map { |line| line["machine"]["id"] }).not_to include "lofty"
  end

  it "are put on file from the records of jobs that were signed before levers were" do
    before = history("lofty-brake")["points"].select { |point| point["state"] == "went" }
    database = store.send(:instance_variable_get, :@database)
    Sequel::Migrator.run(database, "#{ROOT}/store/migrations", target: 7)
    Sequel::Migrator.run(database, "#{ROOT}/store/migrations")
    App::LeverFile.new(store).rank_unranked
    expect(history("lofty-brake")["points"]).to eq before
    expect(ask(:get, "/levers")["items"]).not_to be_empty
  end
end
