# frozen_string_literal: true

require "pdf/reader"
require "tmpdir"

RSpec.describe App::ShelfApi, :api do
  include ShelfThings

  def shelve(item, **data)
    ask(
      :post,
      "/shelf/moves",
      {
        id: "#{item}-in",
        item: item,
        kind: "added",
        data: {
          kind: "kit",
          name: "Kit #{item}",
          count: 1,
          fields: kit_fields,
          **data
        }
      }
    )
  end

  def ready_job(id, circuit)
    ask(:post, "/jobs", {id: id, circuit_id: circuit})
    entry(id, "ask", "route", {route: "reseal_mc"})
    entry(id, "choose", "fluid", {fluid: "dot4", stamped: "dot4"})
  end

  def circuit(id)
    add_circuit(id, clutch_plain)
    %w[bore spring].zip([14, "fitted"]) do |field, value|
      ask(
        :patch,
        "/circuits/#{id}",
        {changes: [{part: "master", field: field, value: value, source: "part_marking"}]}
      )
    end
  end

  it "puts a thing on the shelf once, however often it is sent, and keeps its moves" do
    shelve("a")
    expect(last_response.status).to eq 201
    shelve("a")
    expect(last_response.status).to eq 200
    expect(ask(:get, "/shelf")["items"].map { |item| item.slice("id", "amount", "free") }).to eq [
      {"id" => "a", "amount" => 1.0, "free" => 1.0}
    ]
    ask(:post, "/shelf/moves", {id: "more", item: "a", kind: "received", data: {count: "2"}})
    expect(ask(:get, "/shelf/a/moves")["items"].map { |each| each["kind"] }).to eq %w[received added]
    newest = ask(:get, "/shelf/a/moves?limit=1")
    expect(newest["items"].map { |each| each["kind"] }).to eq %w[received]
    expect(
      ask(:get, "/shelf/a/moves?limit=1&after=#{CGI.escape(newest["next"])}")["items"].map { |each| each["kind"] }
    ).to eq %w[added]
    ask(:get, "/shelf/nothing/moves")
    expect(last_response.status).to eq 404
  end

  it "refuses another move under a used id" do
    shelve("a")
    shelve("b")
    ask(:post, "/shelf/moves", {id: "a-in", item: "b", kind: "received", data: {count: 1}})
    expect(last_response.status).to eq 409
  end

  {
    "nothing" => [{}, ""],
    "a move nobody makes" => [{id: "x", item: "a", kind: "eaten", data: {}}, "kind"],
    "less than no pieces" => [{id: "x", item: "a", kind: "counted", data: {count: -1}}, "data/count"],
    "a count that is no number" => [{id: "x", item: "a", kind: "counted", data: {count: "many"}}, "data/count"],
    "a thing that is not there" => [{id: "x", item: "ghost", kind: "counted", data: {count: 1}}, "item"],
    "a script for a name" => [
      {id: "x", item: "z", kind: "added", data: {kind: "kit", name: "x" * 200, fields: {}}},
      "data/name"
    ],
    "a kind of thing nobody keeps" => [
      {id: "x", item: "z", kind: "added", data: {kind: "dog", name: "Rex", fields: {}}},
      "data/kind"
    ]
  }.each do |what, (body, pointer)|
    it "answers #{what} with 422 and moves nothing" do
      shelve("a")
      answer = ask(:post, "/shelf/moves", body)
      expect([last_response.status, pointers(answer).first]).to eq [422, pointer]
      expect(ask(:get, "/shelf")["items"].size).to eq 1
    end
  end

  it "promises what a tick takes, gives it back, and uses it up at signing" do
    shelve("a")
    circuit("one")
    ready_job("j", "one")
    entry("j", "choose", "pulled", {line: "kit", item: "a"}, id: "tick")
    expect(ask(:get, "/shelf")["items"].first).to include("free" => 0.0, "reserved" => {"j" => 1.0})
    entry("j", "choose", "undo", {}, corrects: "tick")
    expect(ask(:get, "/shelf")["items"].first).to include("free" => 1.0, "reserved" => {})
    entry("j", "choose", "pulled", {line: "kit", item: "a"})
    App::ShelfDesk.new(store, App::Memory.new).use_up(
      "j",
      Sandbag::Job::Entry.new(
        id: "signed",
        stage: "close",
        kind: "signed",
        data: {},
        at: "2026-03-14T10:00:00Z",
        by: "spec"
      )
    )
    expect(ask(:get, "/shelf")["items"].first).to include("amount" => 0.0, "reserved" => {})
  end

  it "frees and uses nothing by hand that is promised to a job" do
    {"reserved" => {job: "j", count: 1}, "released" => {job: "j", count: 1}, "used" => {job: "j"}}.each do |kind, data|
      refused = ask(:post, "/shelf/moves", {id: "by-hand-#{kind}", item: "a", kind: kind, data: data})
      expect(refused["errors"].first).to include("pointer" => "kind", "message" => "that is the job's own move")
    end
  end

  # Every entry of a bleed from findings to signature.
  def finished(brake)
    job = JobInMemory.new(brake).bled
    job.read_lever(air_ml: 0.01)
    job.add("feel", "hold", {"creep" => 0.4})
    job.confirm_all
    job.add("close", "signed", {"name" => "R. Tarn"})
    job.entries
  end

  it "uses up at signing what the job still needs, and gives back what its route has left behind" do
    shelve("a")
    ask(
      :post,
      "/shelf/moves",
      {
        id: "b-in",
        item: "b",
        kind: "added",
        data: {
          kind: "bottle",
          name: "Bottle",
          fields: {
            fluid: "dot4",
            size: 1000
          }
        }
      }
    )
    brake =
      sheet(twin_disc_plain).change("master", "bore", 14, "part_marking").change(
        "master",
        "spring",
        "fitted",
        "measured"
      )
    add_circuit("one", brake.to_h)
    ready_job("j", "one")
    entry("j", "choose", "pulled", {line: "kit", item: "a"})
    entry("j", "choose", "pulled", {line: "fluid", item: "b"})
    entry("j", "ask", "route", {route: "bleed"})
    expect(ask(:get, "/jobs/j/supplies")["stale"].map { |pulled| pulled["line"] }).to eq ["kit"]
    finished(brake).each { |each| entry("j", each.stage, each.kind, each.data, at: each.at) }
    expect(ask(:get, "/jobs/j")["signed"]).to be true
    kit, bottle = ask(:get, "/shelf")["items"]
    expect(kit).to include("amount" => 1.0, "reserved" => {})
    expect(bottle).to include("reserved" => {}, "opened_on" => "2026-03-14")
    expect(bottle["amount"]).to be < 1000
  end

  it "promises one job's kit to no other" do
    shelve("a")
    %w[one two].each do |id|
      circuit(id)
      ready_job("job-#{id}", id)
    end
    entry("job-one", "choose", "pulled", {line: "kit", item: "a"})
    answer = entry("job-two", "choose", "pulled", {line: "kit", item: "a"})
    expect(last_response.status).to eq 422
    expect(answer["errors"].first["message"]).to include("0 free").and include("job-one")
    expect(stage("job-two", "choose")["pulled"]).to be_empty
  end

  it "shows what the shelf has for a job, and prints it" do
    shelve("a", count: 1, fields: kit_fields(bore: "9/16"))
    circuit("one")
    ready_job("j", "one")
    supplies = ask(:get, "/jobs/j/supplies")
    expect(supplies["kits"].first).to include("verdict" => "no", "near_miss" => a_hash_including("hundredths" => 29))
    get "/api/jobs/j/pull-list.pdf"
    expect([last_response.content_type, last_response.body[0, 5]]).to eq ["application/pdf", "%PDF-"]
    get "/api/jobs/j/buy-list.csv"
    expect(CSV.parse(last_response.body).first).to eq %w[label detail count unit like supplier price_minor]
    expect(last_response.body).to include("Seal kit")
    get "/api/jobs/j/buy-list.pdf"
    expect([last_response.content_type, last_response.body[0, 5]]).to eq ["application/pdf", "%PDF-"]
  end

  it "buys from where the last one came, and prints a label for a kit and for an opened bottle" do
    shelve("kit", count: 0, fields: kit_fields, supplier: "North Counter", price_minor: 3100)
    shelve("bottle", kind: "bottle", fields: {fluid: "dot4", size: 500, batch: "made-up 7"})
    ask(:post, "/shelf/moves", {id: "o", item: "bottle", kind: "opened", data: {on: "2026-03-01"}})
    circuit("one")
    ready_job("j", "one")
    bought = ask(:get, "/jobs/j/supplies")["buy"].find { |row| row["label"] == "Seal kit" }
    expect(bought).to include("supplier" => "North Counter", "price_minor" => 3100, "count" => 1)
    labels = {"kit" => ["Holds: Primary cup (EPDM)", "14 mm"],
              "bottle" => ["DOT 4 glycol", "Batch: made-up 7", "Use by: 1 Jun 2026", "Throw away on: 1 Mar 2027"]}
    labels.each do |id, said|
      get "/api/shelf/#{id}/label.pdf"
      expect(last_response.status).to eq 200
      words = PDF::Reader.new(StringIO.new(last_response.body)).pages.map(&:text).join("\n")
      expect(said.reject { |each| words.include?(each) }).to be_empty
    end
    get "/api/shelf/none/label.pdf"
    expect(last_response.status).to eq 404
  end

  it "reads the simulated pen the same for the same seed and turn" do
    read = ->(turn) do
      ask(
        :post,
        "/compute/instrument-readings",
        {instrument: "moisture_pen", sheet: sheet(clutch_plain).to_h, seed: "s", turn: turn}
      )
    end
    expect(read[1]).to eq read[1]
    expect(read[1]).to include("simulated" => true, "unit" => "%")
    answer =
      ask(
        :post,
        "/compute/instrument-readings",
        {instrument: "ouija", sheet: sheet(clutch_plain).to_h, seed: "s", turn: 1}
      )
    expect([last_response.status, pointers(answer)]).to eq [422, ["instrument"]]
  end
end

RSpec.describe "Two tabs after the last kit", :api do
  include ShelfThings

  it "gives one a yes and the other a clear no, however they race" do
    Dir.mktmpdir do |folder|
      @store = Store::All.new(Store::Database.open("#{folder}/shelf.db"))
      ask(
        :post,
        "/shelf/moves",
        {id: "in", item: "last", kind: "added", data: {kind: "kit", name: "Last kit", count: 1, fields: kit_fields}}
      )
      %w[one two].each do |id|
        add_circuit(id, clutch_plain)
        %w[bore spring].zip([14, "fitted"]) do |field, value|
          ask(
            :patch,
            "/circuits/#{id}",
            {changes: [{part: "master", field: field, value: value, source: "part_marking"}]}
          )
        end
        ask(:post, "/jobs", {id: "job-#{id}", circuit_id: id})
        entry("job-#{id}", "ask", "route", {route: "reseal_mc"})
        entry("job-#{id}", "choose", "fluid", {fluid: "dot4", stamped: "dot4"})
      end
      gate = Queue.new
      threads =
        %w[one two].map do |id|
          tab =
            App::Server.build(
              Store::All.new(Store::Database.open("#{folder}/shelf.db")),
              clock: -> { Time.utc(2026, 3, 14) }
            )
          Thread.new do
            gate.pop
            Rack::MockRequest.new(tab).post(
              "/api/jobs/job-#{id}/entries",
              "HTTP_HOST" => "127.0.0.1",
              "CONTENT_TYPE" => "application/json",
              :input =>
                JSON.generate(id: "tick-#{id}", stage: "choose", kind: "pulled", data: {line: "kit", item: "last"})
            )
          end
        end
      2.times { gate << :go }
      answers = threads.map(&:value)
      expect(answers.map(&:status).sort).to eq [201, 422]
      expect(answers.find { |answer| answer.status == 422 }.body).to include("0 free")
      expect(ask(:get, "/shelf")["items"].first["free"]).to eq 0
    end
  end
end
