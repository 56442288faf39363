# frozen_string_literal: true

RSpec.describe App::CircuitsApi, :api do
  before { add_circuit("front", twin_disc_plain, machine: "tourer") }

  def change(part, field, value, source: "measured")
    ask(:patch, "/circuits/front", {changes: [{part: part, field: field, value: value, source: source}]})
  end

  it "shows every value with its source and what follows" do
    found = ask(:get, "/machines/tourer")["circuits"].first
    master = found.dig("figures", "parts").find { |part| part["id"] == "master" }["values"]
    expect(master.find { |value| value["field"] == "bore" }).to include("value" => 19.0, "source" => "measured",
      "unit" => "mm")
    expect(found.dig("figures", "reference", "force_n")).to be_within(0.05).of(104.5)
  end

  it "changes a value as it was typed and works everything out again" do
    before = ask(:get, "/circuits/front").dig("figures", "reference", "force_n")
    after = change("master", "bore", "11/16 in", source: "part_marking")
    expect(after.dig("figures", "reference", "force_n")).to be < before
    expect(ask(:get, "/circuits/front")).to eq after
  end

  it "refuses by name and keeps what was there" do
    before = ask(:get, "/circuits/front")
    [
      %w[master bore 41],
      %w[master bore long],
      ["master", "bore", nil.to_s * 2 + "1e400"],
      ["left_caliper", "pistons", "34 30 30"],
      ["master", "stroke", 0.2]
    ].each do |part, field, value|
      expect(pointers(change(part, field, value))).to eq ["parts/#{part}/#{field}"]
      expect(last_response.status).to eq 422
    end
    expect(ask(:get, "/circuits/front")).to eq before
  end

  it "takes a last change of fluid up to today and no later, nor one before there were such dates" do
    today = Date.new(2026, 3, 14)
    expect(change("fluid", "changed_on", today.iso8601).dig("figures", "fluid_look")).to eq "fresh"
    [(today + 1).iso8601, "2099-01-01", "1969-12-31", "2026-02-30", "yesterday"].each do |day|
      expect(pointers(change("fluid", "changed_on", day))).to eq ["parts/fluid/changed_on"]
    end
    ahead = ask(:get, "/circuits/front")
    ahead["sheet"]["parts"].find { |part| part["id"] == "fluid" }["values"]["changed_on"] = {
      "value" => (today + 1).iso8601,
      "source" => "measured"
    }
    answer = ask(:put, "/circuits/front", {name: "Front", sheet: ahead["sheet"]})
    expect([last_response.status, pointers(answer)]).to eq [422, ["parts/fluid/changed_on"]]
    expect(sheet(ask(:get, "/circuits/front")["sheet"]).value("fluid", "changed_on")).to eq "2026-03-14"
  end

  it "takes all changes of a request or none" do
    ask(:patch, "/circuits/front",
      {changes: [{part: "master", field: "bore", value: 16}, {part: "master", field: "bore", value: "no"}]})
    expect(sheet(ask(:get, "/circuits/front")["sheet"]).value("master", "bore")).to eq 19.0
  end

  it "lists machines page by page" do
    add_circuit("rear", bicycle_plain, machine: "cargo")
    first = ask(:get, "/machines?limit=1")
    expect(first["items"].map { |machine| machine["name"] }).to eq ["cargo"]
    expect(ask(:get, "/machines?after=#{first["next"]}")["items"].map { |machine| machine["name"] }).to eq ["tourer"]
  end
end
