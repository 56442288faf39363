# frozen_string_literal: true

require "open3"

RSpec.describe "A killed server" do
  let!(:served) { Served.new }

  after { served.remove }

  def post(path, body)
    Net::HTTP.post(URI("#{served.url}/api#{path}"), JSON.generate(body), "content-type" => "application/json")
  end

  it "has lost nothing that it acknowledged" do
    ids = Array.new(5) { SecureRandom.uuid }
    ids.each do |id|
      answer = post("/jobs/job-tourer-front/entries", {id: id, stage: "bleed", kind: "bubbles", data: {}})
      expect(answer.code).to eq "201"
    end
    served.stop("KILL")
    served.start
    journal = JSON.parse(Net::HTTP.get(URI("#{served.url}/api/jobs/job-tourer-front/entries")))["items"]
    expect(journal.map { |entry| entry["id"] }.last(5)).to eq ids
  end

  it "serves on this machine's own address only" do
    listening =
      File
        .readlines("/proc/net/tcp")
        .map { |line| line.split[1] }
        .select { |address| address&.end_with?(format(":%04X", served.port)) }
    expect(listening.uniq).to eq [format("0100007F:%04X", served.port)]
    ipv6 =
      if File.exist?("/proc/net/tcp6")
        File.readlines("/proc/net/tcp6").grep(/:#{format("%04X", served.port)} 0{32}/)
      else
        []
      end
    expect(ipv6).to be_empty
  end
end

RSpec.describe "Two writers, killed fifty times" do
  # In a process of its own, which has no connections for the writers to inherit.
  it "lose nothing that was acknowledged, double nothing, and leave the file whole" do
    said, status = Open3.capture2e(RbConfig.ruby, "#{ROOT}/bench/kill.rb", "50", Kernel.rand(2**31).to_s, chdir: ROOT)
    expect(status.success?).to be(true), said
    expect(said[/(\d+) acknowledged/, 1].to_i).to be >= 50
  end
end

RSpec.describe "A full disc", :api do
  it "refuses what cannot be stored, keeps what was, and goes on when there is room" do
    add_circuit("front", twin_disc_plain)
    ask(:post, "/jobs", {id: "j", circuit_id: "front"})
    entry("j", "ask", "note", {text: "kept"})
    database = store.instance_variable_get(:@database)
    database.run("PRAGMA max_page_count = #{database.get(Sequel.lit("(SELECT page_count FROM pragma_page_count)"))}")
    refused =
      (1..60).map do |number|
        entry("j", "ask", "note", {text: "x" * 1_900}, id: "n#{number}").then { last_response.status }
      end
    expect(refused.uniq).to match_array [201, 507]
    expect(refused.last).to eq 507
    database.run("PRAGMA max_page_count = 1000000")
    expect(stage("j", "ask")["notes"].size).to eq 1 + refused.count(201)
    entry("j", "ask", "note", {text: "room again"})
    expect(last_response.status).to eq 201
  end
end

RSpec.describe "While another program holds the write lock", :api do
  around { |example| Dir.mktmpdir { |folder| @folder = folder and example.run } }

  def store
    stub_const("Store::Database::BUSY_TIMEOUT_MS", 200)
    @store ||= Store::All.new(Store::Database.open("#{@folder}/records.db"))
  end

  it "reads go on, and a write says that it is busy and stores nothing" do
    add_circuit("front", twin_disc_plain)
    ask(:post, "/jobs", {id: "j", circuit_id: "front"})
    other = Sequel.sqlite("#{@folder}/records.db")
    other.transaction(mode: :immediate) do
      other[:machines].insert(id: "x", name: "x", kind: "road", note: "")
      %w[/jobs /jobs/j /jobs/j/stages/ask /machines /shelf /circuits/front].each do |path|
        ask(:get, path)
        expect([path, last_response.status]).to eq [path, 200]
      end
      expect(ask(:get, "/jobs")["items"]).to all(satisfy { |job| !job.key?("damaged") })
      entry("j", "ask", "note", {text: "too early"}, id: "n")
      expect(last_response.status).to eq 503
      raise Sequel::Rollback
    end
    entry("j", "ask", "note", {text: "now"}, id: "n")
    expect(last_response.status).to eq 201
  ensure
    other&.disconnect
  end
end
