# frozen_string_literal: true

require_relative "../support/fell_gate_copy"

RSpec.describe "An archive that was imported", :api do
  before do
    FellGateCopy.into(store, Time.utc(2026, 3, 14, 9, 26))
    header "Host", "127.0.0.1"
    get "/api/archive"
    @text = last_response.body.dup.force_encoding(Encoding::UTF_8)
    @store = @app = @_rack_test_current_session = @_rack_test_sessions = nil
    add_circuit("own", twin_disc_plain)
    ask(:get, "/machines")
    @before = dump
    @import = ask(:post, "/archive", raw: @text.dup)["id"]
  end

  def database = store.instance_variable_get(:@database)

  def dump
    (database.tables - %i[schema_info imports settings]).to_h { |table| [table, database[table].all] }
  end

  def back = ask(:post, "/archive/imports/#{@import}/taken-back")

  def resting = ask(:get, "/archive/imports")["items"].first["resting"]

  it "is taken back whole, and nothing of it is left in any table, list or memory" do
    expect(ask(:get, "/archive/imports")["items"]).to match [a_hash_including("id" => @import, "machines" => 7,
      "resting" => [])]
    expect(ask(:get, "/machines")["items"].size).to eq 8
    ask(:get, "/shelf")
    expect(back).to include("machines" => 7)
    expect(dump).to eq @before
    expect(ask(:get, "/machines")["items"].map { |machine| machine["id"] }).to eq ["m-own"]
    expect(ask(:get, "/shelf")["items"]).to eq []
    expect([ask(:get, "/archive/imports")["items"], ask(:get, "/levers")["items"]]).to eq [[], []]
    back
    expect(last_response.status).to eq 404
    expect(ask(:post, "/archive", raw: @text.dup)["added"]["machines"]).to eq 7
  end

  {
    "an entry in a job" => ["something was entered in a job",
      ->(api) { api.entry("job-kart", "ask", "note", {text: "x"}) }],
    "a job on a circuit" => ["a job was opened on it",
      ->(api) { api.ask(:post, "/jobs", {id: "new", circuit_id: "ridgeline-front", beside: true}) }],
    "a corrected record" => ["a circuit was added or its record was corrected", lambda { |api|
      api.ask(:patch, "/circuits/ridgeline-front", {changes: [{part: "master", field: "bore", value: 16}]})
    }],
    "a move of the shelf" => ["something on the shelf was used or counted", lambda { |api|
      item = api.ask(:get, "/shelf")["items"].find { |each| each["kind"] == "kit" }["id"]
      api.ask(:post, "/shelf/moves", {id: "mv", item: item, kind: "received", data: {count: 1}})
    }],
    "a saved comparison" => ["a comparison was saved", lambda { |api|
      sheet = api.ask(:get, "/circuits/ridgeline-front")["sheet"]
      api.ask(:post, "/comparisons", {id: "cmp", circuit_id: "ridgeline-front", name: "two", body: {sheet: sheet}})
    }]
  }.each do |what, (said, act)|
    it "stays once #{what} rests on it, and says so" do
      act[self]
      expect([last_response.status, resting]).to match [be_between(200, 201), include(said)]
      expect(pointers(back)).to eq ["id"]
      expect(ask(:get, "/machines")["items"].size).to eq 8
    end
  end

  it "takes back only the jobs where the machine was here before" do
    back
    machine = JSON.parse(@text).tap { |all| all["jobs"] = [] }
    ask(:post, "/archive", raw: JSON.generate(machine))
    levers = ask(:get, "/levers")["items"].size
    @import = ask(:post, "/archive", raw: @text.dup)["id"]
    expect(ask(:get, "/levers")["items"].size).to be > levers
    expect(back).to include("machines" => 0)
    expect([ask(:get, "/levers")["items"].size, ask(:get, "/jobs?limit=100")["items"]]).to eq [levers, []]
  end
end
