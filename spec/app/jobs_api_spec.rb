# frozen_string_literal: true

RSpec.describe App::JobsApi, :api do
  before do
    add_circuit("front", twin_disc_plain)
    ask(:post, "/jobs", {id: "job", circuit_id: "front"})
  end

  it "opens a job on a circuit and lists it with what it waits for" do
    expect(last_response.status).to eq 201
    line = ask(:get, "/jobs")["items"].first
    expect(line).to include("id" => "job", "current" => "ask", "signed" => false)
    expect(line["waits_for"]).to eq "an answer: have you done this kind of job before?"
  end

  it "opens it once when asked twice, and not on another circuit under the same id" do
    ask(:post, "/jobs", {id: "job", circuit_id: "front"})
    expect(last_response.status).to eq 200
    expect(ask(:get, "/jobs")["items"].size).to eq 1
    add_circuit("rear", bicycle_plain)
    ask(:post, "/jobs", {id: "job", circuit_id: "rear"})
    expect(last_response.status).to eq 409
  end

  it "takes down with each step of Build what wetted it, whatever the shop uses later" do
    apart = JobInMemory.new(sheet(twin_disc_plain)).laid_out.set_up.strip_all.passed
    apart.face(apart.state.build.step)
    apart.entries.each { |each| entry("job", each.stage, each.kind, each.data) }
    ask(:put, "/shop", {lubricant: "rubber_grease"})
    step = stage("job", "build").dig("current")
    expect(pointers(entry("job", "build", "step", {step: step, lubricant: "copper_paste"}))).to eq ["data/lubricant"]
    expect(entry("job", "build", "step", {step: step}).dig("stage", "build", "lubricant")).to eq "rubber_grease"
    ask(:put, "/shop", {lubricant: "own_fluid"})
    expect(stage("job", "build").dig("lubricant")).to eq "rubber_grease"
    expect(
      entry("job", "build", "lubricant", {lubricant: "assembly_paste"}).dig("stage", "build", "lubricant")
    ).to eq "assembly_paste"
  end

  it "stores a retried entry once" do
    ready("job")
    before = ask(:get, "/jobs/job/entries")["items"].size
    entry("job", "bleed", "stroke", {}, id: "s1")
    expect(last_response.status).to eq 201
    again = entry("job", "bleed", "stroke", {}, id: "s1")
    expect(last_response.status).to eq 200
    expect(again.dig("stage", "bleed", "total_strokes")).to eq 1
    expect(ask(:get, "/jobs/job/entries")["items"].size).to eq before + 1
  end

  it "refuses an entry id that was used for something else" do
    ready("job")
    entry("job", "bleed", "stroke", {}, id: "s1")
    entry("job", "bleed", "topped_up", {}, id: "s1")
    expect(last_response.status).to eq 409
  end

  it "keeps the mechanic's time and name" do
    entry("job", "ask", "note", {text: "squeaks"}, at: "2026-03-14T09:27:00Z", by: "R. Tarn")
    expect(ask(:get, "/jobs/job/entries")["items"].first).to include("at" => "2026-03-14T09:27:00Z", "by" => "R. Tarn",
      "position" => 1)
  end

  it "undoes by a correcting entry" do
    ready("job")
    before = ask(:get, "/jobs/job/entries")["items"].size
    entry("job", "bleed", "stroke", {}, id: "s1")
    after = entry("job", "bleed", "undo", {}, corrects: "s1")
    expect(after.dig("stage", "bleed", "total_strokes")).to eq 0
    expect(ask(:get, "/jobs/job/entries")["items"].size).to eq before + 2
  end

  it "answers a refusal with where, what and what would do, and stores nothing" do
    found = entry("job", "choose", "fluid", {"fluid" => "mineral", "stamped" => "dot4"})
    expect(last_response.status).to eq 422
    expect(last_response.media_type).to eq "application/problem+json"
    expect(found["errors"].first).to include("pointer" => "data/fluid",
      "accepted" => "DOT 4 glycol, ISO class 6 glycol, DOT 5.1 glycol, ISO class 7 glycol")
    expect(ask(:get, "/jobs/job/entries")["items"]).to be_empty
  end

  it "cannot be talked into signing over unmet gates" do
    ready("job")
    found = entry("job", "close", "signed", {"name" => "R"})
    expect(last_response.status).to eq 422
    expect(pointers(found)).to include("gates/feel", "gates/leak", "gates/function")
  end

  describe "a job that is signed" do
    before do
      worked = JobInMemory.new(sheet(twin_disc_plain)).tap do |each|
        each.add("choose", "cylinder", {"bore" => 19, "push_offset" => 18})
        each.bled(fluid: "dot4")
        each.read_lever(air_ml: 0.02)
        each.add("feel", "hold", {"creep" => 0.4})
        each.confirm_all
      end
      worked.entries.each { |given| entry("job", given.stage, given.kind, given.data, id: given.id, at: given.at) }
      entry("job", "close", "signed", {"name" => "R. Tarn"}, at: "2026-03-14T10:00:00Z")
    end

    it "moves from the open to the closed list" do
      expect(ask(:get, "/jobs")["items"]).to be_empty
      expect(ask(:get, "/jobs?state=closed")["items"].first).to include("id" => "job", "signed" => true,
        "closed_at" => "2026-03-14T10:00:00Z")
    end

    it "writes what was changed into the machine's record" do
      now = sheet(ask(:get, "/circuits/front")["sheet"])
      expect(now.value("lever", "push_offset")).to eq 18.0
      expect(now.value("fluid", "changed_on")).to eq "2026-03-14"
    end

    it "keeps its own figures when the circuit is changed later" do
      before = stage("job", "feel")
      ask(:patch, "/circuits/front", {changes: [{part: "master", field: "bore", value: 22}]})
      expect(stage("job", "feel")).to eq before
    end

    it "gives its card as a PDF with the verdict on it" do
      header "Host", "127.0.0.1"
      get "/api/jobs/job/card.pdf"
      expect(last_response.media_type).to eq "application/pdf"
      expect(last_response.body).to start_with("%PDF-").and end_with("%%EOF\n")
    end

    it "takes nothing more" do
      entry("job", "bleed", "stroke")
      expect(last_response.status).to eq 422
    end
  end

  it "gives a card for an open job that says not to use it, whatever letters the complaint holds" do
    entry("job", "ask", "complaint", {"text" => "Žluťoučký kůň – ブレーキ 🏍 <b>&amp;"})
    header "Host", "127.0.0.1"
    get "/api/jobs/job/card.pdf"
    expect(last_response.status).to eq 200
    expect(last_response.body).to start_with("%PDF-")
  end

  it "pages its lists" do
    expect(pointers(ask(:get, "/jobs?limit=0"))).to eq ["limit"]
    expect(pointers(ask(:get, "/jobs?limit=abc"))).to eq ["limit"]
    expect(pointers(ask(:get, "/jobs?state=lost"))).to eq ["state"]
    expect(pointers(ask(:get, "/jobs?after[]=x"))).to eq ["after[]"]
    expect(pointers(ask(:get, "/jobs?limit=1&limit=2"))).to eq ["limit"]
    ask(:post, "/jobs", {id: "job2", circuit_id: "front", beside: true})
    first = ask(:get, "/jobs?limit=1")
    rest = ask(:get, "/jobs?limit=1&after=#{CGI.escape(first["next"])}")
    expect([first, rest].flat_map { |page| page["items"].map { |line| line["id"] } }).to eq %w[job2 job]
  end

  it "asks before it opens a second job on a circuit" do
    expect(pointers(ask(:post, "/jobs", {id: "job2", circuit_id: "front"}))).to eq ["circuit_id"]
    ask(:post, "/jobs", {id: "job2", circuit_id: "front", beside: true})
    expect(last_response.status).to eq 201
  end
end
