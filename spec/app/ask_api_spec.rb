# frozen_string_literal: true

RSpec.describe "Red flags through the API", :api do
  Sandbag::Tables
    .rows("red_flags")
    .select { |flag| flag["reported"] }
    .each do |flag|
      it "#{flag["id"]} stops the job, is not lifted without lead and reason, and is then on the card" do
        add_circuit("front", twin_disc_plain)
        ask(:post, "/jobs", {id: "j", circuit_id: "front"})
        ready("j")
        part = flag["of_part"] ? {"part" => "master"} : {}
        expect(entry("j", "ask", "flag", {"flag" => flag["id"], **part}).dig("job", "stop"))
          .to start_with(flag["label"])
        expect(pointers(entry("j", "bleed", "stroke"))).to eq ["stage"]
        expect(pointers(entry("j", "ask", "lifted", {"flag" => flag["id"], "reason" => "x"}))).to eq ["data/lead"]
        expect(
          entry("j", "ask", "lifted", {"flag" => flag["id"], "lead" => "R. Tarn", "reason" => "put right"})["job"]
        ).not_to have_key("stop")
        expect(entry("j", "bleed", "stroke").dig("stage", "bleed", "total_strokes")).to eq 1
      end
    end

  it "refuses contradictory, empty, unknown and misspelt findings, and stores none" do
    add_circuit("front", twin_disc_plain)
    ask(:post, "/jobs", {id: "j", circuit_id: "front"})
    [
      {"finding" => "lever_feel", "value" => ""},
      {"finding" => "lever_feal", "value" => "spongy"},
      {"finding" => "lever_feel", "value" => "spungy"},
      {"finding" => "slave_lift", "value" => "short"},
      {"finding" => "abs_state", "value" => "clear"},
      {},
      {"finding" => ["lever_feel"], "value" => "firm"}
    ].each do |data|
      found = entry("j", "ask", "finding", data)
      expect(last_response.status).to eq(422), data.to_s
      expect(found["errors"].first["accepted"]).not_to be_nil
    end
    expect(ask(:get, "/jobs/j/entries")["items"]).to be_empty
    entry("j", "ask", "finding", {"finding" => "lever_feel", "value" => "spongy"})
    expect(
      entry("j", "ask", "finding", {"finding" => "lever_feel", "value" => "firm"}).dig("stage", "ask", "findings")
    ).to eq("lever_feel" => ["firm"])
  end

  it "records no fluid change for a job that moved no fluid" do
    add_circuit("front", twin_disc_plain)
    adjusted = JobInMemory.new(sheet(twin_disc_plain))
    adjusted.answer_stops
    adjusted.add("ask", "route", {"route" => "adjust_free_play"})
    adjusted.fit_all
    adjusted.read_lever(air_ml: 0.02)
    adjusted.add("feel", "hold", {"creep" => 0.4})
    adjusted.confirm_all
    ask(:post, "/jobs", {id: "j", circuit_id: "front"})
    adjusted.entries.each { |given| entry("j", given.stage, given.kind, given.data, id: given.id, at: given.at) }
    expect(entry("j", "close", "signed", {"name" => "R. Tarn"}).dig("job", "signed")).to be true
    fluid = ask(:get, "/circuits/front")["sheet"]["parts"].find { |part| part["part"] == "fluid" }["values"]
    expect(fluid.keys).to contain_exactly("stamped", "volume", "found")
  end

  it "shows minutes and money, the wait, and what was done to the circuit before" do
    add_circuit("front", twin_disc_plain)
    worked = JobInMemory.new(sheet(twin_disc_plain)).bled
    worked.read_lever(air_ml: 0.02)
    worked.add("feel", "hold", {"creep" => 0.4})
    worked.confirm_all
    ask(:post, "/jobs", {id: "first", circuit_id: "front"})
    worked.entries.each { |given| entry("first", given.stage, given.kind, given.data, id: given.id, at: given.at) }
    entry("first", "close", "signed", {"name" => "R. Tarn"}, at: "2026-03-14T10:00:00Z")
    ask(:post, "/jobs", {id: "second", circuit_id: "front"})
    found = stage("second", "ask")
    expect(found["history"].first).to include("id" => "first", "route" => "Bleed", "fluid" => "DOT 4 glycol",
      "lever" => a_string_including("clear of air"))
    expect(found["costs"]).to include("kit_or_unit").and not_include("estimate")
    entry("second", "ask", "wait", {"wait" => "parts_on_order", "until" => "2026-03-20T08:00:00Z"})
    expect(
      entry("second", "ask", "route", {"route" => "flush"}).dig("stage", "ask", "costs", "estimate", "minutes")
    ).to eq 70
    expect(ask(:get, "/jobs")["items"].first).to include(
      "planned_minutes" => 70,
      "wait" => {
        "label" => "Parts on order",
        "until" => "2026-03-20T08:00:00Z"
      }
    )
    ask(:put, "/shop", {hourly_rate_minor: "90"})
    expect(stage("second", "ask").dig("costs", "estimate", "lines", 0, "minor")).to eq 10_500
  end

  RSpec::Matchers.define_negated_matcher :not_include, :include
end
