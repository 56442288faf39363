# frozen_string_literal: true

RSpec.describe App::MachinesApi, :api do
  def add_machine(id = "m", kind: "road", name: "Corvane Ridgeline")
    ask(:post, "/machines", {id: id, name: name, kind: kind})
  end

  it "adds a machine, once however often it is asked" do
    add_machine
    expect(last_response.status).to eq 201
    add_machine
    expect(ask(:get, "/machines")["items"].size).to eq 1
  end

  it "edits and retires it, and brings it back" do
    add_machine
    expect(ask(:patch, "/machines/m", {name: "Ridgeline 900", note: "tourer"})).to include("name" => "Ridgeline 900",
      "note" => "tourer")
    expect(ask(:patch, "/machines/m", {retired: true})["retired_at"]).to start_with("2026-03-14")
    expect(ask(:get, "/machines")["items"]).to be_empty
    expect(ask(:get, "/machines?retired=true")["items"].size).to eq 1
    expect(ask(:patch, "/machines/m", {retired: false})).not_to have_key("retired_at")
  end

  it "starts a circuit from a template of its kind, at defaults and the shop's limits" do
    add_machine
    ask(:put, "/shop", {limits: {effort_hand: 160}})
    found = ask(:post, "/machines/m/circuits", {id: "c", template: "road_front_twin"})
    circuit = found["circuits"].first
    expect(circuit["name"]).to eq "Front, two calipers, stacked hoses"
    made = sheet(circuit["sheet"])
    expect(made.value("target", "effort_limit")).to eq 160.0
    expect(made.values(made.parts_of("master").first)["bore"].source).to eq "default"
    expect(pointers(ask(:post, "/machines/m/circuits", {id: "d", template: "hovercraft"}))).to eq ["template"]
  end

  it "copies circuits and values, and no history" do
    add_machine
    ask(:post, "/machines/m/circuits", {id: "c", template: "road_rear"})
    ask(:patch, "/circuits/c", {changes: [{part: "master", field: "bore", value: "1/2"}]})
    ask(:post, "/jobs", {id: "j", circuit_id: "c"})
    copy = ask(:post, "/machines/m/copies", {id: "n", name: "Its sister"})
    expect(sheet(copy["circuits"].first["sheet"]).value("master", "bore")).to eq 12.7
    expect(copy["jobs"]).to be_empty
    ask(:patch, "/circuits/#{copy["circuits"].first["id"]}", {changes: [{part: "master", field: "bore", value: 14}]})
    expect(sheet(ask(:get, "/circuits/c")["sheet"]).value("master", "bore")).to eq 12.7
  end

  it "takes a whole circuit with its tree changed, and refuses one that hangs loose or changes kind" do
    add_circuit("front", twin_disc_plain)
    plain = ask(:get, "/circuits/front")["sheet"]
    third = [part("third_hose", "line", from: "left_hose"), part("third", "caliper", from: "third_hose")]
    found = ask(:put, "/circuits/front", {name: "Front, three", sheet: plain.merge("parts" => plain["parts"] + third)})
    expect(found).to include("name" => "Front, three")
    expect(found.dig("figures", "junctions").map { |junction| junction["washers"] }).to eq [3]
    loose = plain.merge("parts" => plain["parts"] + third.first(1))
    expect(pointers(ask(:put, "/circuits/front", {name: "x", sheet: loose}))).to eq ["sheet/parts/third_hose/from"]
    other = plain_sheet("brake_foot", part("hose", "line", from: "master"), part("c", "caliper", from: "hose"))
    expect(pointers(ask(:put, "/circuits/front", {name: "x", sheet: other}))).to eq ["sheet/kind"]
    expect(ask(:get, "/circuits/front")["name"]).to eq "Front, three"
  end

  it "refuses nonsense by name" do
    expect(pointers(ask(:post, "/machines", {id: "m", name: "", kind: "boat"}))).to contain_exactly("name", "kind")
    add_machine
    expect(pointers(ask(:patch, "/machines/m", {kind: "boat"}))).to eq ["kind"]
    ask(:patch, "/machines/none", {name: "x"})
    expect(last_response.status).to eq 404
    ask(:post, "/machines/none/copies", {id: "n", name: "x"})
    expect(last_response.status).to eq 404
    ask(:post, "/machines/none/circuits", {id: "n", template: "road_rear"})
    expect(last_response.status).to eq 404
  end
end

RSpec.describe App::ShopApi, :api do
  it "offers what may wet a cup, keeps the shop's choice, and refuses what never goes near one" do
    offered = ask(:get, "/shop")
    expect(offered["lubricants"].map { |each| each["id"] }).to eq %w[own_fluid rubber_grease assembly_paste]
    expect(offered["lubricant"]).to eq "own_fluid"
    expect(ask(:put, "/shop", {lubricant: "rubber_grease"})["lubricant"]).to eq "rubber_grease"
    %w[copper_paste silicone_grease butter].each do |id|
      expect(pointers(ask(:put, "/shop", {lubricant: id}))).to eq ["lubricant"]
    end
    expect(ask(:get, "/shop")["lubricant"]).to eq "rubber_grease"
  end

  it "keeps what the shop sets and changes no stored value" do
    add_circuit("front", twin_disc_plain)
    before = ask(:get, "/circuits/front")["sheet"]
    set = ask(:put, "/shop", {units: {length: "in", pressure: "psi"}, school: "ratio_band", band: [22, "28,5"]})
    expect(set).to include("school" => "ratio_band", "band" => [22.0, 28.5])
    expect(ask(:get, "/shop")).to eq set
    expect(ask(:get, "/circuits/front")["sheet"]).to eq before
  end

  it "refuses by path and keeps the old setting" do
    before = ask(:get, "/shop")
    expect(pointers(ask(:put, "/shop", {units: {length: "ell"}}))).to eq ["units/length"]
    expect(pointers(ask(:put, "/shop", {school: "luck"}))).to eq ["school"]
    expect(pointers(ask(:put, "/shop", {band: [30, 20]}))).to eq ["band"]
    expect(pointers(ask(:put, "/shop", {limits: {safe_gap: "wide"}}))).to eq ["limits/safe_gap"]
    expect(ask(:get, "/shop")).to eq before
  end

  it "opens no job on a machine that is retired, until it is brought back" do
    add_circuit("front", twin_disc_plain)
    ask(:patch, "/machines/m-front", {retired: true})
    refused = ask(:post, "/jobs", {id: "j", circuit_id: "front"})
    expect(refused["errors"].first).to include("pointer" => "circuit_id", "message" => "m-front is retired")
    ask(:patch, "/machines/m-front", {retired: false})
    ask(:post, "/jobs", {id: "j", circuit_id: "front"})
    expect(last_response.status).to eq 201
  end
end

RSpec.describe App::ComparisonsApi, :api do
  it "keeps a comparison with its circuit and job, and gives back what was asked" do
    add_circuit("front", twin_disc_plain, machine: "m")
    ask(:post, "/jobs", {id: "j", circuit_id: "front"})
    body = {
      sheet: ask(:get, "/circuits/front")["sheet"],
      candidates: [{key: "a", bore: "5/8", push_offset: 18}],
      cylinders: "none"
    }
    ask(:post, "/comparisons", {id: "k", circuit_id: "front", job_id: "j", name: "lighter", body: body})
    expect(last_response.status).to eq 201
    expect(ask(:get, "/comparisons/k")["body"]).to eq JSON.parse(JSON.generate(body))
    expect(ask(:get, "/machines/m")["comparisons"].map { |each| each["name"] }).to eq ["lighter"]
    expect(
      ask(:post, "/compute/sizings", ask(:get, "/comparisons/k")["body"])["rows"].map { |row| row["key"] }
    ).to eq %w[19x20 a]
    ask(:post, "/comparisons", {id: "l", circuit_id: "none", name: "x", body: body})
    expect(last_response.status).to eq 404
  end
end

RSpec.describe App::ComputeApi, :api do
  it "sizes the whole grid, by either school, and as CSV" do
    all =
      ask(:post, "/compute/sizings", {sheet: twin_disc_plain, cylinders: "all", school: "ratio_band", band: [28, 32]})
    expect(all["rows"].size).to be > 100
    expect(all["rows"][1]["volume_ratio"]).to be_within(3).of(30)
    header "Accept", "text/csv"
    header "Content-Type", "application/json"
    post "/api/compute/sizings", JSON.generate(sheet: twin_disc_plain)
    lines = CSV.parse(last_response.body, headers: true)
    expect(lines.first.to_h).to include("bore_mm" => "19.0", "fitted" => "true")
    expect(lines.first["force_n"].to_f).to be_within(0.05).of(104.5)
  end

  it "answers what if, lays curves over one another, and explains every figure" do
    what_if = {key: "w", label: "rubber", changes: [{part: "left_hose", field: "kind", value: "rubber"}]}
    found = ask(:post, "/compute/sizings", {sheet: twin_disc_plain, candidates: [what_if]})["rows"]
    expect(found.map { |row| row["label"] }).to eq [nil, "rubber"]
    curves =
      ask(
        :post,
        "/compute/lever-curves",
        {sheet: twin_disc_plain, candidates: [what_if, {bore: 16, push_offset: 18}]}
      )[
        "curves"
      ]
    expect(curves.map { |curve| curve["key"] }).to eq %w[w 16x18]
    items = ask(:post, "/compute/explanations", {sheet: twin_disc_plain, candidate: what_if})["items"]
    expect(items.map { |item| item["id"] }).to include("force", "travel", "volume_ratio")
    bad = what_if.merge(changes: [{part: "left_hose", field: "kind", value: "glass"}])
    expect(pointers(ask(:post, "/compute/sizings", {sheet: twin_disc_plain, candidates: [bad]}))).to eq [
      "candidates/0/parts/left_hose/kind"
    ]
  end
end
