# frozen_string_literal: true

RSpec.describe "Bad input", :api do
  before do
    add_circuit("front", twin_disc_plain)
    ask(:post, "/jobs", {id: "job", circuit_id: "front"})
    entry("job", "bleed", "stroke", {}, id: "kept")
    @before = ask(:get, "/jobs/job")
  end

  after { expect(ask(:get, "/jobs/job")).to eq @before }

  values = ["abc", -1, 1e308, -1e308, "", "NaN", "1e400", [], [1, [2]], {}, nil, true, "9" * 300,
    "😀", "1; DROP TABLE entries"]
  writes = {
    "/jobs/job/entries" => ->(value) do
      {id: "x1", stage: "feel", kind: "reading", data: {force: value, travel: value}}
    end,
    "/compute/lever-fits" => ->(value) { {sheet: {}, readings: value} },
    "/compute/sizings" => ->(value) { {sheet: value} },
    "/compute/circuits" => ->(value) do
      {
        sheet: {
          kind: "brake_hand",
          parts: [{id: "master", part: "master", values: {bore: {value: value, source: "measured"}}}]
        }
      }
    end,
    "/compute/bleed-plans" => ->(value) { {sheet: value, opened: value} },
    "/jobs" => ->(value) { {id: value, circuit_id: value} }
  }

  writes.each do |path, body|
    it "gets a clear problem from POST #{path}" do
      values.each do |value|
        found = ask(:post, path, body.call(value))
        expect(last_response.status).to be_between(400, 499), "#{value.inspect} got #{last_response.status}"
        expect(found["errors"]).not_to be_empty
      end
    end
  end

  # Every entry a job knows, every name in it, whatever is put there: yes or a clear no, never a fault.
  Sandbag::Tables.rows("entry_kinds").each do |row|
    it "has an answer to anything in #{row["id"]}, and still shows the job after it" do
      ask(:post, "/jobs", {id: "odd", circuit_id: "front", beside: true})
      names = row["data"].keys.map { |name| name.delete_suffix("?") }
      values.each do |value|
        found = entry("odd", row["stage"], row["kind"], names.to_h { |name| [name, value] })
        expect(last_response.status).to eq(201).or(eq(422)), "#{value.inspect} got #{last_response.status}"
        expect(found["errors"]).not_to be_empty if last_response.status == 422
      end
      found = entry("odd", row["stage"], row["kind"], {"beside" => 1})
      expect(pointers(found)).to eq ["data/beside"] unless row["id"] == "close.signed"
      stages = ask(:get, "/jobs/odd")["stages"].map { |each| each["id"] }
      expect(last_response.status).to eq 200
      stages.each { |each| expect(stage("odd", each)).to be_a(Hash) }
    end
  end

  # The same of the shelf.
  Sandbag::Tables.rows("stock_moves").each do |row|
    it "has an answer to anything that happens to a thing nobody has: #{row["id"]}" do
      names = row["data"].keys.map { |name| name.delete_suffix("?") }
      values.first(12).each do |value|
        ask(:post, "/shelf/moves",
          {id: "odd", item: "thing", kind: row["id"], data: names.to_h { |name| [name, value] }})
        expect(last_response.status).to eq(422), "#{value.inspect} got #{last_response.status}"
      end
      expect(ask(:get, "/shelf")["items"]).to be_empty
    end
  end

  it "is refused when it is not JSON: broken text, NaN, no UTF-8, NUL, far too deep" do
    ["{", "", "NaN", "{\"id\": NaN}", "\xff\xfe", "{\"id\":\"a\\u0000b\"}", "#{"[" * 500}#{"]" * 500}"].each do |raw|
      ask(:post, "/jobs/job/entries", raw: raw)
      expect(last_response.status).to eq(400), raw[0, 20]
    end
  end

  it "is refused when a number is too large for any number: 1e400" do
    found = ask(:post, "/jobs/job/entries",
      raw: '{"id":"x","stage":"feel","kind":"reading","data":{"force":1e400,"travel":3}}')
    expect(last_response.status).to eq 422
    expect(pointers(found)).to eq ["data/force"]
  end

  it "is refused when it is no object at all" do
    ["[]", "7", "\"text\"", "null", "true"].each do |raw|
      ask(:post, "/jobs/job/entries", raw: raw)
      expect(last_response.status).to eq(422), raw
    end
  end

  it "is refused with the wrong content type" do
    ["text/plain", "application/x-www-form-urlencoded", "multipart/form-data"].each do |type|
      ask(:post, "/jobs/job/entries", raw: "{}", headers: {"Content-Type" => type})
      expect(last_response.status).to eq 415
    end
  end

  it "is refused over 1 MB, before anybody reads it" do
    ask(:post, "/jobs/job/entries", raw: "x" * 5_000_000)
    expect(last_response.status).to eq 413
  end

  it "is refused in an address that is no text" do
    header "Host", "127.0.0.1"
    %w[
      /api/jobs/%ff
      /api/jobs/%00
      /api/circuits/%fe
      /api/shelf/%00/moves
      /api/jobs?state=%ff
      /api/machines?find=%00
      /jobs/%ff
    ].each do |address|
      get address
      expect([address, last_response.status]).to eq [address, 400]
    end
    get "/api/machines?find=%C3%A9t%C3%A9"
    expect(last_response.status).to eq 200
  end

  it "is told that an id is unknown" do
    [
      [:get, "/jobs/none"],
      [:get, "/jobs/none/entries"],
      [:get, "/machines/none"],
      [:get, "/circuits/none"],
      [:get, "/jobs/..%2f..%2fetc"]
    ].each do |method, path|
      ask(method, path)
      expect(last_response.status).to eq(404), path
    end
    ask(:post, "/jobs", {id: "new", circuit_id: "none"})
    expect(last_response.status).to eq 404
    entry("none", "bleed", "stroke")
    expect(last_response.status).to eq 404
    ask(:patch, "/circuits/none", {changes: [{part: "master", field: "bore", value: 19}]})
    expect(last_response.status).to eq 404
  end

  it "names unknown members and missing ones" do
    found = ask(:post, "/jobs/job/entries", {id: "x", stage: "bleed", kind: "stroke", data: {}, speed: 9})
    expect(pointers(found)).to eq ["speed"]
    found = ask(:post, "/jobs/job/entries", {id: "x"})
    expect(found["errors"].first["message"]).to include("stage").and include("kind")
  end

  it "names a time that is none" do
    expect(pointers(entry("job", "bleed", "stroke", {}, at: "yesterday"))).to eq ["at"]
  end
end
