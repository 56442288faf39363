# frozen_string_literal: true

RSpec.describe "Practice", :api do
  def start(lesson = "one_caliper", id: "run")
    ask(:post, "/practice/runs", {id: id, lesson: lesson})
  end

  def practise(*actions, id: "run")
    ask(:post, "/practice/runs/#{id}/actions", {actions: actions})
  end

  # One stroke of the cycle at an end.
  def stroke(end_id, travel)
    practise({do: "lever", to: travel / 2, s: 0.5}, {do: "nipple", end: end_id, turns: 0.25},
      {do: "lever", to: travel, s: 1.5}, {do: "nipple", end: end_id, turns: 0}, {do: "lever", to: 0, s: 0.5},
      {do: "wait", s: 1})
  end

  it "offers at least ten lessons, each of which a good hand does" do
    lessons = ask(:get, "/practice/lessons")["items"]
    expect(lessons.size).to be >= 10
    lessons.each_with_index do |lesson, index|
      start(lesson["id"], id: "r#{index}")
      result = ask(:get, "/practice/runs/r#{index}/result")
      good = result["good_hand"]
      expect(good["air_left_ml"]).to be <= result["goal_ml"]
      expect(good["openings"]).to be <= result.fetch("goal_openings", 100)
      expect(good["fresh"]).to be >= result.fetch("goal_fresh", 0)
      expect(result["done"]).to be false
    end
  end

  it "starts any circuit without a lesson, spongy or dry" do
    circuits = ask(:get, "/practice/lessons")["circuits"].map { |circuit| circuit["id"] }
    expect(circuits).to match_array(Sandbag::Tables.rows("circuit_templates").map { |row| row["id"] })
    circuits.product(%w[spongy dry]).each do |circuit, begun|
      run = ask(:post, "/practice/runs", {id: "free", circuit: circuit, start: begun})
      expect([circuit, last_response.status]).to eq [circuit, 201]
      expect(run["frame"]["slugs"].size).to be >= ((begun == "dry") ? 10 : 1)
    end
    {{lesson: "one_caliper", circuit: "kart_rear"} => "lesson", {circuit: "kart_rear"} => "lesson", {} => "lesson",
     {circuit: "tram", start: "dry"} => "circuit"}.each do |body, pointer|
      expect(pointers(ask(:post, "/practice/runs", {id: "x", **body}))).to eq [pointer]
    end
  end

  it "lays a loop down, and shows the way as it lies then" do
    run = start("high_loop")
    expect(run["lesson"]["places"].map { |place| place["id"] }).to include "loop_down"
    highest = ->(ends) { ends[0]["points"].map { |point| point["height_mm"] }.max }
    laid = practise({do: "place", what: "loop_down"})
    expect(highest.call(laid["ends"])).to be < highest.call(run["ends"])
    expect(practise({do: "wait", s: 0.1})).not_to have_key "ends"
    expect(pointers(practise({do: "place", what: "elsewhere"}))).to eq ["actions/0/what"]
  end

  it "reads the lever as it is, and leaves it so; not of a clutch" do
    start("twin_disc")
    before = practise({do: "wait", s: 0})["frames"]
    read = ask(:post, "/practice/runs/run/lever-pulls", {turn: 0})
    expect(read).to include("instrument" => "lever gauge", "simulated" => true)
    expect(read["report"]["verdict"]["air_ml"]).to be_within(0.05).of(0.6)
    expect(ask(:post, "/practice/runs/run/lever-pulls", {turn: 1})["report"]).not_to eq read["report"]
    expect(practise({do: "wait", s: 0})["frames"]).to eq before
    start("clutch")
    expect(pointers(ask(:post, "/practice/runs/run/lever-pulls", {turn: 0}))).to eq [""]
  end

  it "answers each action with a frame, and says afterwards what came of it beside a good hand" do
    run = start
    12.times do
      frame = stroke(run["ends"][0]["id"], run["travel_mm"])["frames"].last
      practise({do: "pour", ml: run["reservoir_full_ml"] - frame["reservoir_ml"]})
    end
    result = ask(:get, "/practice/runs/run/result")
    expect(result["done"]).to be true
    expect(result["used_ml"]).to be > result["good_hand"]["used_ml"]
    expect(practise({do: "wait", s: 1}, {do: "tap"})["frames"].size).to eq 2
  end

  it "notices a nipple that was open when the lever came back, and a reservoir run dry" do
    run = start
    practise({do: "nipple", end: run["ends"][0]["id"], turns: 0.5}, {do: "lever", to: run["travel_mm"], s: 1},
      {do: "lever", to: 0, s: 0.3}, {do: "nipple", end: run["ends"][0]["id"], turns: 0})
    20.times { stroke(run["ends"][0]["id"], run["travel_mm"]) }
    slips = ask(:get, "/practice/runs/run/result")["slips"].map { |slip| slip["label"] }
    expect(slips).to contain_exactly("Released with the nipple open", "Reservoir run dry")
  end

  it "says a slip as it is made, once, and what a good hand would do now when it is asked" do
    run = start
    at = run["ends"][0]["id"]
    expect(ask(:get, "/practice/runs/run/hint")["says"]).to eq "Hold: lever in, steady."
    practise({do: "nipple", end: at, turns: 0.5}, {do: "lever", to: run["travel_mm"], s: 1})
    made = practise({do: "lever", to: 0, s: 0.3})
    expect(made["slips"].map { |slip| slip["label"] }).to eq ["Released with the nipple open"]
    expect(practise({do: "wait", s: 0.1})).not_to have_key "slips"
    expect(ask(:get, "/practice/runs/none/hint")["status"]).to eq 404
  end

  it "keeps results by name, each run once, and how far somebody is" do
    start("four_strokes")
    kept = ask(:post, "/practice/runs/run/results", {name: " R. Tarn ", exam: true})
    expect(kept["items"]).to match [a_hash_including("name" => "R. Tarn", "lesson" => "four_strokes", "exam" => true,
      "done" => false, "slips" => 0)]
    ask(:post, "/practice/runs/run/results", {name: "R. Tarn"})
    seen = ask(:get, "/practice/results?name=R.+Tarn")
    expect([seen["items"].size, seen["path"].first.slice("id", "tries", "next")])
      .to eq [1, {"id" => "four_strokes", "tries" => 1, "next" => true}]
    expect(ask(:get, "/practice/results?name=O.+Fell")["items"]).to eq []
    expect(pointers(ask(:post, "/practice/runs/run/results", {name: "  "}))).to eq ["name"]
    expect(ask(:get, "/practice/results")["status"]).to eq 422
  end

  it "prints how far somebody is" do
    start("four_strokes")
    ask(:post, "/practice/runs/run/results", {name: "R. Tarn", exam: true})
    get "/api/practice/sheet.pdf?name=R.+Tarn"
    expect([last_response.content_type, last_response.body[0, 5]]).to eq ["application/pdf", "%PDF-"]
    expect(ask(:get, "/practice/sheet.pdf")["status"]).to eq 422
    expect(ask(:get, "/practice/sheet.pdf?name=")["status"]).to eq 422
  end

  it "starts on the circuit of a job of this shop" do
    add_circuit("front", twin_disc_plain)
    ask(:post, "/jobs", {id: "job", circuit_id: "front"})
    run = ask(:post, "/practice/runs", {id: "own", job: "job", start: "spongy"})
    expect(last_response.status).to eq 201
    expect(run["ends"].map { |path| path["id"] }).to match_array %w[left_caliper right_caliper]
    expect(run["frame"]["slugs"]).not_to be_empty
    expect(ask(:post, "/practice/runs", {id: "x", job: "none", start: "dry"})["status"]).to eq 404
    expect(pointers(ask(:post, "/practice/runs", {id: "x", job: "job"}))).to eq ["lesson"]
  end

  it "says what is at hand, and takes what it is for" do
    burp = start("burp")
    expect(burp["lesson"]).to include("tools" => ["crack"], "fits" => [])
    travel = burp["travel_mm"]
    frames = practise({do: "lever", to: travel / 2, s: 1}, {do: "crack", to: travel, s: 0.4},
      {do: "lever", to: 0, s: 1})
    expect(frames["frames"].last["air_out_ml"]).to be > 0.1
    unit = start("abs_unit")
    expect(unit["lesson"]["tools"]).to eq ["abs"]
    expect(practise({do: "cycle",
s: 2})["frames"].last["unit_ml"]).to be_within(1e-6).of(unit["frame"]["unit_ml"] - 0.1)
    start("down_the_pass")
    pen = ->(turn) { ask(:post, "/practice/runs/run/water-readings", {turn: turn}) }
    expect(pen.call(0)).to include("instrument" => "moisture pen", "simulated" => true, "value" => be_within(0.6).of(4))
    expect(pen.call(1)["value"]).not_to eq pen.call(0)["value"]
    expect(practise({do: "descend", s: 60}, {do: "wait", s: 0.1})["status"]).to eq 422
    hot = Array.new(4) { practise({do: "descend", s: 60})["frames"].last }.last
    expect(hot).to include("steam_ml" => be > 0.3, "celsius" => be > 150)
    valve = start("one_way_valve")
    expect(valve["lesson"]["fits"].map { |fit| fit["id"] }).to eq %w[hose valve]
    expect(pointers(practise({do: "fit", end: valve["ends"][0]["id"], what: "cork"}))).to eq ["actions/0/what"]
  end

  it "takes all of what hands did, or nothing" do
    run = start
    before = practise({do: "wait", s: 0})["frames"].last
    answer = practise({do: "lever", to: run["travel_mm"], s: 1}, {do: "nipple", end: "elbow", turns: 1})
    expect([last_response.status, pointers(answer)]).to eq [422, ["actions/1/end"]]
    expect(practise({do: "wait", s: 0})["frames"].last).to eq before
  end

  it "refuses lessons and runs that are not there, and strange hands" do
    expect(start("nothing")["status"]).to eq 404
    expect(practise({do: "wait", s: 1}, id: "nobody")["status"]).to eq 404
    start
    expect(practise({do: "whistle"})["status"]).to eq 422
    expect(practise({do: "lever", to: 1e12, s: 1})["status"]).to eq 422
    expect(practise({do: "wait", s: 61})["status"]).to eq 422
  end

  describe "a mystery lever" do
    def try(finding, id: "m1")
      ask(:post, "/practice/mysteries/#{id}/tests", {finding: finding})
    end

    it "says what the rider says, counts the minutes of what is tried, and tells the truth once a cause is named" do
      start = ask(:post, "/practice/mysteries", {id: "m1", circuit: "road_front_single"})
      expect(start["says"].size).to be_between(1, 2)
      expect(start).to include("tried" => [], "minutes" => 0)
      expect(start["circuit"]["id"]).to eq "road_front_single"
      best = start["next_tests"].first
      after = try(best["finding"])
      expect(after).to include("tried" => [best["finding"]], "minutes" => best["minutes"])
      expect(after["findings"]).to have_key best["finding"]
      expect(after["next_tests"].map { |test| test["finding"] }).not_to include best["finding"]
      expect(try(best["finding"])).to eq after
      start["askable"].each { |finding| try(finding) }
      found = try(best["finding"])["ranks"].first["cause"]
      truth = ask(:post, "/practice/mysteries/m1/answers", {cause: found})
      expect(truth["right"]).to be true
      expect(truth["causes"].map { |cause| cause["id"] }).to include found
      wrong = (start["causes"].map { |cause| cause["id"] } - truth["causes"].map { |cause| cause["id"] }).first
      expect(ask(:post, "/practice/mysteries/m1/answers", {cause: wrong})).to include("right" => false)
    end

    it "is ranked as Ask ranks a job in which the same was found, with what each answer would change" do
      ask(:post, "/practice/mysteries", {id: "m1", circuit: "road_front_single"})
      left = try("lever_feel")
      add_circuit("front", Sandbag::Rig::Mystery.new("m1").sheet.to_h)
      ask(:post, "/jobs", {id: "j", circuit_id: "front"})
      write = ->(kind, data) { entry("j", "ask", kind, data) }
      write.call("complaint", {text: left["says"].join(" ")})
      left["findings"].each { |finding, values|
        values.each { |value|
          write.call("finding", {finding: finding, value: value})
        }
      }
      real = stage("j", "ask")
      expect(left["ranks"]).to eq real["ranks"]
      expect(left["next_tests"]).to eq real["next_tests"]
    end

    it "may be any circuit's, a clutch's too" do
      clutch = ask(:post, "/practice/mysteries", {id: "c1", circuit: "offroad_clutch"})
      expect(clutch["askable"]).to include("slave_lift", "clutch_gear")
      expect(try("slave_lift", id: "c1")["findings"]).to have_key "slave_lift"
      expect(pointers(ask(:post, "/practice/mysteries", {id: "x", circuit: "tram"}))).to eq ["circuit"]
    end

    it "refuses a test that is not tried on it, and a lever that is not there" do
      ask(:post, "/practice/mysteries", {id: "m1", circuit: "road_front_single"})
      expect(pointers(try("clutch_gear"))).to eq ["finding"]
      expect(pointers(try("nothing"))).to eq ["finding"]
      expect(try("lever_feel", id: "gone")["status"]).to eq 404
    end
  end

  it "touches no record" do
    database = store.instance_variable_get(:@database)
    run = start
    before = database.tables.to_h { |table| [table, database[table].count] }
    stroke(run["ends"][0]["id"], run["travel_mm"])
    expect(database.tables.to_h { |table| [table, database[table].count] }).to eq before
  end
end
