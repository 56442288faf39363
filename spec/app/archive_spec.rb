# frozen_string_literal: true

require "vips"
require_relative "../support/fell_gate_copy"

RSpec.describe "Archives", :api do
  before { FellGateCopy.into(store, Time.utc(2026, 3, 14, 9, 26)) }

  let(:elsewhere) { Store::All.new(Store::Database.open(":memory:")) }

  def exported(path = "/archive")
    header "Host", "127.0.0.1"
    get "/api#{path}"
    last_response.body.dup.force_encoding(Encoding::UTF_8)
  end

  # The application over another shop's records from here on.
  def move_to(other)
    @store = other
    @app = nil
    @_rack_test_current_session = nil
    @_rack_test_sessions = nil
  end

  def self.size_of(all, bore)
    master = all["machines"][0]["circuits"][0]["sheet"]["parts"].find { |part| part["part"] == "master" }
    master["values"]["bore"] = {"value" => bore, "source" => "measured"}
  end

  def import(text)
    ask(:post, "/archive", raw: text.dup)
  end

  def without(text)
    JSON.generate(JSON.parse(text).tap { |document| yield document })
  end

  it "are what the published schema says, as JSON Schema 2020-12" do
    schema = JSON.parse(exported("/archive/schema.json"))
    expect(JSONSchemer.valid_schema?(schema)).to be true
    expect(schema["$schema"]).to end_with "2020-12/schema"
    expect(JSONSchemer.schema(schema).valid?(JSON.parse(exported))).to be true
    expect(JSONSchemer.schema(schema).valid?(JSON.parse(exported("/archive/machines/packmule")))).to be true
  end

  it "read back in an empty shop are the same, byte for byte" do
    ask(:put, "/shop", ask(:get, "/shop").slice("name", "units", "school", "band", "limits"))
    jpeg = Vips::Image.black(40, 30).jpegsave_buffer
    ask(:post, "/jobs/job-kart/photos?photo=p1", raw: jpeg, headers: {"Content-Type" => "image/jpeg"})
    first = exported
    expect(JSON.parse(first)["jobs"].sum { |job| job["photos"].size }).to eq 1
    move_to(elsewhere)
    expect(import(first)["added"]).to include("machines" => 7, "jobs" => JSON.parse(first)["jobs"].size)
    expect(exported).to eq first
  end

  it "let a job go on where it stood, and show a signed one as it was" do
    line = ask(:get, "/jobs?limit=100")["items"]
    signed = %w[ask bleed feel close].to_h { |id| [id, stage("job-bicycle", id)] }
    shelf = ask(:get, "/shelf")
    due = ask(:get, "/due?days=3650&limit=100")
    text = exported
    move_to(elsewhere)
    import(text)
    expect(ask(:get, "/jobs?limit=100")["items"]).to eq line
    expect(%w[ask bleed feel close].to_h { |id| [id, stage("job-bicycle", id)] }).to eq signed
    expect(ask(:get, "/shelf")).to eq shelf
    expect(ask(:get, "/due?days=3650&limit=100")).to eq due
    entry("job-kart", "feel", "hold", {"creep" => 0.4})
    expect(last_response.status).to eq 201
  end

  it "of one machine go into another shop beside what is there, and again without doubling anything" do
    text = exported("/archive/machines/packmule")
    move_to(elsewhere)
    add_circuit("front", twin_disc_plain)
    expect(import(text)["added"]).to include("machines" => 1)
    expect(import(text)).to include("added" => {"machines" => 0, "jobs" => 0, "moves" => 0})
    expect(exported("/archive/machines/packmule")).to eq text
    expect(ask(:get, "/machines")["items"].size).to eq 2
  end

  it "admit the entries of an open job one by one: what could not have been sent stays out, and the job is on hold" do
    text = without(exported) do |all|
      job = all["jobs"].find { |each| each["id"] == "job-tourer-front" }
      last = job["entries"].last
      job["entries"] << {**last, "id" => "forged", "stage" => "close", "kind" => "signed",
                         "data" => {"v" => last["data"]["v"], "name" => "R. Tarn"}, "corrects" => nil}.compact
    end
    move_to(elsewhere)
    refused = import(text)["refused"]
    expect(refused.map { |each| each.slice("job", "stage", "kind") })
      .to eq ["job" => "job-tourer-front", "stage" => "close", "kind" => "signed"]
    expect(refused.first["why"]).to include "cannot be signed: still open"
    job = ask(:get, "/jobs/job-tourer-front")
    expect(job["do_not_use"]).to include "on hold, not released: brought in from an archive without 1 of its entries"
    expect(job).to include("signed" => false)
  end

  describe "that are wrong" do
    let(:text) { exported }

    # Nothing of it came in.
    def refused(body, pointer)
      move_to(elsewhere)
      answer = import(body)
      expect([last_response.status, pointers(answer).first]).to eq [422, pointer]
      expect(ask(:get, "/machines")["items"]).to eq []
      expect(ask(:get, "/shelf")["items"]).to eq []
    end

    {
      "of a newer Sandbag" => ["version", ->(all) { all["version"] = 2 }],
      "of another kind" => ["format", ->(all) { all["format"] = "other" }],
      "with a machine of no kind" => ["machines/0/kind", ->(all) { all["machines"][0]["kind"] = "boat" }],
      "with a circuit that is none" => ["machines/0/circuits/0/sheet/kind",
        ->(all) { all["machines"][0]["circuits"][0]["sheet"]["kind"] = "anchor" }],
      "with a sheet of a newer Sandbag" => ["machines/0/circuits/0/sheet",
        ->(all) { all["machines"][0]["circuits"][0]["sheet"]["v"] = 99 }],
      "with two machines of one id" => ["machines/7", ->(all) { all["machines"] << all["machines"][0] }],
      "with a job on no circuit" => ["jobs/0", ->(all) { all["jobs"][0]["circuit_id"] = "nowhere" }],
      "with a signed job whose record is gone" => ["jobs/0/record", ->(all) { all["jobs"][0].delete("record") }],
      "with a record that no page could show" => ["jobs/0/record",
        ->(all) { all["jobs"][0]["record"]["stages"]["close"] = {"gates" => 3} }],
      "with a record signed by another than its journal" => ["jobs/0/record",
        ->(all) { all["jobs"][0]["record"]["stages"]["close"]["signed_by"] = "N. Obody" }],
      "with a signed job without entries" => ["jobs/0/record", ->(all) { all["jobs"][0]["entries"] = [] }],
      "with a signed job that says it is open" => ["jobs/0/closed_at", ->(all) { all["jobs"][0].delete("closed_at") }],
      "with an entry that says nothing known" => ["jobs/0/entries/1/data", lambda { |all|
        all["jobs"].find { |job| job["closed_at"].nil? }.then { |job| all["jobs"] = [job] }
        all["jobs"][0]["entries"][1]["data"] = {"question" => []}
        all["jobs"][0]["entries"][1]["kind"] = "finding"
      }],
      "with a headline of a newer Sandbag" => ["jobs/0", ->(all) { all["jobs"][0]["headline"]["v"] = 99 }],
      "with a headline that no list could show" => ["jobs/0/headline",
        ->(all) { all["jobs"][0]["headline"].delete("current") }],
      "with a re-check on a day that is none" => ["jobs/0/rechecks/0/due_on",
        ->(all) { all["jobs"][0]["rechecks"][0]["due_on"] = "2026-13-45" }],
      "with a comparison of a newer Sandbag" => ["jobs/0", lambda { |all|
        all["jobs"][0]["comparisons"] << {"id" => "x", "name" => "x", "at" => "2026-03-14T09:26:00Z",
                                          "body" => {"v" => 99}}
      }],
      "with a lever that says nothing" => ["jobs/0/levers/0",
        ->(all) { all["jobs"][0]["levers"][0] = {"v" => 6, "at" => "2026-03-14T09:26:00Z"} }],
      "with an entry of a signed job that cannot be read" => ["jobs/0",
        ->(all) { all["jobs"][0]["entries"][0]["data"] = {"v" => 99} }],
      "with a bore of nothing" => ["machines/0/circuits/0/sheet", ->(all) { size_of(all, 0.0) }],
      "with a bore without end" => ["machines/0/circuits/0/sheet", ->(all) { size_of(all, 1e308) }],
      "with a picture that is none" => ["jobs/0/photos/0/photo", lambda { |all|
        all["jobs"][0]["photos"] << {"id" => "p", "at" => "2026-03-14T09:26:00Z", "width" => 1, "height" => 1,
                                     "jpeg" => "aGVsbG8="}
      }],
      "with a shelf that cannot be" => ["shelf", ->(all) { all["shelf"].reverse! }]
    }.each do |what, (pointer, change)|
      it "#{what} are refused whole" do
        refused(without(text, &change), pointer)
      end
    end

    it "cut short, empty or no JSON are refused whole" do
      [text[0, text.size / 2], "", "[]", "\xFF\xFE", "{}"].each { |body| refused(body, pointers(import(body)).first) }
    end

    it "with something that is here and says something else are refused whole" do
      other = without(text) { |all| all["machines"][0]["name"] = "Somebody else's" }
      answer = import(other)
      expect(last_response.status).to eq 422
      expect(pointers(answer)).to eq ["machines/0"]
      expect(exported).to eq text
    end
  end
end
