# frozen_string_literal: true

require "rack/test"

# The whole Rack app over an empty database in memory, every JSON answer checked against the contract.
module Api
  include Rack::Test::Methods

  CONTRACT = App::Contract.load

  def store
    @store ||= Store::All.new(Store::Database.open(":memory:"))
  end

  def app
    @app ||= App::Server.build(store, clock: -> { clock })
  end

  # The server's; what happens later is sent later.
  def clock
    @clock ||= Time.utc(2026, 3, 14, 9, 26, 0)
  end

  def wait_until(time)
    @clock = [clock, Time.iso8601(time)].max
  rescue ArgumentError
    nil # no time: for the server to refuse
  end

  def add_circuit(id, plain, machine: "m-#{id}")
    store.machines.add(id: machine, name: machine, kind: "road")
    store.circuits.add(id: id, machine_id: machine, name: "Front brake", sheet: sheet(plain).to_h)
  end

  # Sends a request and returns the parsed answer; fails when the answer is not what the contract says.
  def ask(method, path, body = nil, raw: nil, headers: {})
    wait_until(body[:at]) if body.is_a?(Hash) && body[:at] && !body[:sent] && path.end_with?("/entries")
    header "Host", "127.0.0.1"
    headers.each { |name, value| header(name, value) }
    header "Content-Type", headers.fetch("Content-Type", "application/json") if body || raw
    custom_request(method.to_s.upcase, "/api#{path}", {}, {input: raw || (body && JSON.generate(body)) || ""})
    headers.each_key { |name| header(name, nil) }
    answer = JSON.parse(last_response.body)
    faults = faults_of(method, path, answer)
    raise "the answer breaks the contract: #{faults.join("; ")}" if faults.any?
    answer
  end

  def entry(job_id, stage, kind, data = {}, id: SecureRandom.uuid, **more)
    ask(:post, "/jobs/#{job_id}/entries", {id: id, stage: stage, kind: kind, data: data, **more})
  end

  # A job on which fluid may move: its questions answered, its repair chosen, machine and mechanic protected.
  def ready(job_id, route: "bleed")
    answer_stops(job_id)
    entry(job_id, "ask", "route", {route: route})
    lay_out(job_id)
    stage(job_id, "strip")["setup"].each do |row|
      next if row["word"] != "block" || row.key?("value")
      entry(job_id, "strip", "setup", {item: row["id"], value: row["values"]&.keys&.first}.compact)
    end
    look_before_fluid(job_id)
  end

  # The fluid of the cap, and what nothing is opened without.
  def lay_out(job_id)
    marked = stage(job_id, "ask")["intake"].find { |each| each["id"] == "fluid_marked" }["value"]
    entry(job_id, "choose", "fluid", {fluid: marked, stamped: marked})
    ask(:get, "/jobs/#{job_id}/supplies")["lines"].select { |line| line["needed"] && !line["done"] }
      .each { |line| entry(job_id, "choose", "pulled", {line: line["id"], reason: "bought for this job"}) }
  end

  # The checks of the bleeding method, each with its first good answer.
  def look_before_fluid(job_id)
    stage(job_id, "bleed")["checks"]["start"].reject { |check| check["good"] }.each do |check|
      good = Sandbag::Tables.find("bleed_checks", check["id"])["good"].first
      entry(job_id, "bleed", "check", {check: check["id"], value: good})
    end
  end

  # The safe answer to every question that can stop the job and that the record does not know.
  def answer_stops(job_id)
    while (row = stage(job_id, "ask")["intake"].find { |each| each["stops"] && !each.key?("value") })
      marked = stage(job_id, "ask")["intake"].find { |each| each["id"] == "fluid_marked" }["value"]
      entry(job_id, "ask", "intake", {question: row["id"], value: JobInMemory.safe(row["id"], marked)})
    end
  end

  # What a stage of a job shows.
  def stage(job_id, stage)
    ask(:get, "/jobs/#{job_id}/stages/#{stage}").fetch(stage)
  end

  def pointers(answer)
    answer.fetch("errors").map { |error| error["pointer"] }
  end

  private

  def faults_of(method, path, answer)
    operation_id, _ = CONTRACT.operations.find do |_, operation|
      pattern = operation.path.gsub(/\{\w+\}/, "[^/]+")
      operation.method == method.to_s && path.sub(/\?.*/, "").match?(/\A#{pattern}\z/)
    end
    return CONTRACT.response_faults("getJob", 422, answer) unless operation_id
    CONTRACT.response_faults(operation_id, last_response.status, answer)
  end
end

RSpec.configure { |config| config.include Api, :api }
