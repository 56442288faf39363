# frozen_string_literal: true

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
    listening = File.readlines("/proc/net/tcp").map { |line| line.split[1] }.select { |address| address&.end_with?(format(":%04X", served.port)) }
    expect(listening.uniq).to eq [format("0100007F:%04X", served.port)]
    ipv6 = File.exist?("/proc/net/tcp6") ? File.readlines("/proc/net/tcp6").grep(/:#{format("%04X", served.port)} 0{32}/) : []
    expect(ipv6).to be_empty
  end
end
