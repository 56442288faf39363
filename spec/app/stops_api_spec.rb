# frozen_string_literal: true

# The stops as the API holds them: what is refused is not stored, and what is stored reads back.
RSpec.describe "Stops through the API", :api do
  before do
    add_circuit("front", twin_disc_plain)
    ask(:post, "/jobs", {id: "j", circuit_id: "front"})
  end

  def stored
    ask(:get, "/jobs/j/entries")["items"].size
  end

  def refused(stage, kind, data = {})
    before = stored
    answer = entry("j", stage, kind, data)
    expect(last_response.status).to eq(422), "#{stage} #{kind} was taken"
    expect(stored).to eq before
    pointers(answer)
  end

  it "opens nothing before the repair is chosen and every question that can stop the job is answered" do
    expect(refused("bleed", "stroke")).to eq ["stage"]
    entry("j", "ask", "route", {route: "bleed"})
    open = stage("j", "ask")["intake"].select { |row| row["stops"] && !row.key?("value") }
    expect(open.size).to be_between(3, 7)
    open.each do |row|
      expect(refused("strip", "setup", {item: "eye_shield"})).to eq ["stage"]
      entry("j", "ask", "intake", {question: row["id"], value: JobInMemory::SAFE.fetch(row["id"])})
    end
    entry("j", "strip", "setup", {item: "eye_shield"})
    expect(last_response.status).to eq 201
    expect(refused("bleed", "stroke")).to eq ["kind"]
    expect(stage("j", "bleed")["unready"]).to eq "the fluid, by the class on the cap, under Choose"
    lay_out("j")
    expect(stage("j", "bleed")["unready"]).to include("under Strip")
  end

  it "holds a job whose record and intake contradict one another, until the record is put right" do
    ready("j")
    entry("j", "ask", "intake", {question: "abs", value: "fitted"})
    expect(ask(:get, "/jobs/j")["stop"]).to start_with "The intake and the machine's record"
    expect(refused("ask", "lifted", {flag: "S01", lead: "R", reason: "sure"})).to eq ["data/flag"]
    expect(refused("bleed", "stroke")).to eq ["stage"]
    ask(:patch, "/circuits/front", {changes: [{part: "vehicle", field: "abs", value: "fitted", source: "measured"}]})
    entry("j", "ask", "finding", {finding: "abs_state", value: "clear"})
    expect(ask(:get, "/jobs/j")).not_to have_key("stop")
    expect(
      stage("j", "choose")["sheet"]["parts"].find { |part| part["part"] == "vehicle" }["values"]["abs"]["value"]
    ).to eq "fitted"
  end

  it "lets a bulging hose be renewed and nothing else, and asks for the cure at release" do
    ready("j")
    entry("j", "ask", "finding", {finding: "hose_state", value: "bulges"})
    expect(refused("ask", "route", {route: "flush"})).to eq ["data/route"]
    expect(refused("bleed", "stroke")).to eq ["stage"]
    entry("j", "ask", "route", {route: "renew_hose"})
    expect(ask(:get, "/jobs/j")).to include("do_not_use" => a_string_starting_with("Hose bulges"))
    expect(refused("ask", "lifted", {flag: "R02", lead: "R", reason: "looks fine"})).to eq ["data/flag"]
    entry("j", "ask", "at", {places: ["line.left_hose"]})
    expect(refused("close", "cured", {flag: "R02"})).to eq ["data/flag"]
    expect(refused("close", "cured", {flag: "R99"})).to eq ["data/flag"]
    expect(stage("j", "close")["cures"].map { |cure| cure["id"] }).to eq ["R02"]
  end

  it "puts a job away as referred, shows it apart, takes nothing into it, and brings it back" do
    expect(refused("ask", "referred", {name: "R. Tarn"})).to eq ["kind"]
    entry("j", "ask", "flag", {flag: "R16"})
    expect(refused("ask", "referred", {to: "them"})).to eq ["data/name"]
    entry("j", "ask", "referred", {name: "R. Tarn", to: "Kestrel Works"})
    ids = ->(state) { ask(:get, "/jobs?state=#{state}")["items"].map { |job| job["id"] } }
    expect([ids["open"], ids["referred"], ids["closed"], ids["all"]]).to eq [[], ["j"], [], ["j"]]
    expect(ask(:get, "/jobs?state=referred")["items"].first["referred"]).to include("name" => "R. Tarn",
      "to" => "Kestrel Works")
    expect(refused("ask", "lifted", {flag: "R16", lead: "R", reason: "x"})).to eq ["stage"]
    expect(refused("feel", "reading", {force: 20, travel: 9})).to eq ["stage"]
    ask(:post, "/jobs", {id: "second", circuit_id: "front"})
    expect(last_response.status).to eq 422
    entry("j", "ask", "returned", {note: "done with their tool"})
    expect([ids["open"], ids["referred"]]).to eq [["j"], []]
  end

  it "stops the count at the reservoir, and counts on after a top-up or when the port was uncovered" do
    ready("j")
    limit = stage("j", "bleed")["plan"]["strokes_to_uncover"]
    limit.times { entry("j", "bleed", "stroke") }
    expect(stage("j", "bleed")["reservoir"]).to include("spent" => true, "warning" => "stop")
    expect(refused("bleed", "stroke")).to eq ["kind"]
    entry("j", "bleed", "topped_up")
    entry("j", "bleed", "stroke")
    (limit - 1).times { entry("j", "bleed", "stroke") }
    expect(refused("bleed", "stroke")).to eq ["kind"]
    entry("j", "bleed", "uncovered")
    expect(refused("bleed", "stroke")).to eq ["kind"]
    entry("j", "bleed", "topped_up")
    entry("j", "bleed", "stroke")
    expect(last_response.status).to eq 201
  end

  it "takes a place that is there and a size that can be worked, and no other" do
    ready("j")
    entry("j", "ask", "route", {route: "renew_slave"})
    expect(refused("ask", "at", {places: ["joint.master"]})).to eq ["data/places"]
    expect(refused("ask", "at", {places: []})).to eq ["data/places"]
    entry("j", "ask", "at", {places: ["far_end.left_caliper"]})
    expect(refused("choose", "size", {part: "left_hose", size: "30"})).to eq ["data/part"]
    ["", "none", "4", "34 34 34 34 34 34 34 34 34 34 34 34 34"].each do |size|
      expect(refused("choose", "size", {part: "left_caliper", size: size}).first).to start_with "data/size"
    end
    expect(refused("choose", "size", {part: "left_caliper", size: "80 80 80 80"})).to eq ["data/size"]
    entry("j", "choose", "size", {part: "left_caliper", size: "32 32 30 30"})
    expect(stage("j", "choose")["far_ends"].first).to include("id" => "left_caliper", "size" => [32, 32, 30, 30])
  end

  it "reads a job that was put away and signed jobs of older editions alike" do
    older = {
      "stages" => {
        "ask" => {
          "intake" => [{"id" => "abs"}],
          "flags" => [{"id" => "R02"}],
          "route" => "bleed"
        },
        "close" => {
          "gates" => []
        },
        "bleed" => {
          "reservoir" => {
            "warning" => "ok"
          },
          "ladder" => [{"warning" => "ok"}]
        },
        "strip" => {
          "section" => {
            "parts" => []
          }
        }
      }
    }
    read = Store::Document.load(JSON.generate("v" => 1, **older))["stages"]
    expect(read["ask"]).to include(
      "offers" => [],
      "routes" => ["bleed"],
      "intake" => [{"id" => "abs", "stops" => false}],
      "flags" => [{"id" => "R02", "holds_work" => true, "cured" => false}]
    )
    expect(
      [read["close"]["cures"], read["bleed"]["ladder"].first["spent"], read["strip"]["section"]["reservoir"]]
    ).to eq [[], false, true]
    expect(read["bleed"]).to include("begun" => true, "method" => a_hash_including("by_ml" => false), "slips" => [])
    expect(Store::Document.load(JSON.generate("v" => 1, "kind" => "brake_hand"))).to eq("kind" => "brake_hand")
  end
end
