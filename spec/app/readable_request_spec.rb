# frozen_string_literal: true

require "tmpdir"

RSpec.describe "A request that cannot be read", :api do
  def send_raw(method, path, body = nil, type: "application/json")
    header "Host", "127.0.0.1"
    header "Content-Type", type
    custom_request(method, path, {}, body ? {input: body} : {})
    header "Content-Type", nil
    [last_response.status, last_response.media_type]
  end

  problem = "application/problem+json"

  it "with more parameters than are taken, or deeper ones, is a bad request" do
    expect(send_raw("GET", "/api/jobs?#{Array.new(6000) { |at| "a#{at}=1" }.join("&")}")).to eq [400, problem]
    expect(send_raw("GET", "/api/jobs?a#{"[b]" * 5000}=1")).to eq [400, problem]
    expect(send_raw("GET", "/api/jobs?a=1&a[b]=1")).to eq [400, problem]
  end

  it "with a media type that is no text, or a form, is refused before it is read" do
    expect(send_raw("POST", "/api/machines", "{}", type: "application/\xFFjson".b)).to eq [400, problem]
    form = Array.new(6000) { |at| "a#{at}=1" }.join("&")
    expect(send_raw("POST", "/api/machines", form, type: "application/x-www-form-urlencoded")).to eq [415, problem]
    expect(send_raw("POST", "/api/machines", "--x", type: "multipart/form-data; boundary=x")).to eq [415, problem]
  end

  it "nested without end is a bad request" do
    expect(send_raw("POST", "/api/machines", "[" * 100_000)).to eq [400, problem]
    expect(send_raw("POST", "/api/machines", "#{'{"a":' * 5000}1#{"}" * 5000}")).to eq [400, problem]
  end

  it "is kept by no browser, as no answer of the API is" do
    %w[/api/jobs /api/nothing /api/shop].each do |path|
      send_raw("GET", path)
      expect(last_response["cache-control"]).to eq "no-store"
    end
  end

  describe "the log" do
    around { |example| Dir.mktmpdir { |folder| @path = "#{folder}/log" and example.run } }

    def app
      @app ||= App::Server.build(store, clock: -> { clock }, log: App::RequestLog.logger(@path))
    end

    it "has a line for each write and each refusal, with its fields, and nothing that was typed" do
      send_raw("GET", "/api/jobs")
      send_raw("POST", "/api/machines", '{"id":"m","name":"Secret name","kind":"road"}')
      send_raw("POST", "/api/machines", '{"id":"n","name":"Secret name","kind":"tank"}')
      send_raw("GET", "/api/jobs/none%0Aother?find=secret")
      lines = File.readlines(@path).map { |line| line.split(" ", 2).last.gsub(/\d+ ms/, "0 ms").strip }
      expect(lines).to eq ["POST /api/machines 201 0 ms", "POST /api/machines 422 0 ms at kind",
        "GET /api/jobs/none%0Aother 404 0 ms at id"]
      expect(File.read(@path)).not_to match(/secret/i)
      expect(File.stat(@path).mode & 0o077).to eq 0
    end
  end
end
