# frozen_string_literal: true

RSpec.describe App::Crowd do
  def request(method, path)
    {"REQUEST_METHOD" => method, "PATH_INFO" => path}
  end

  # Long work that does not end before it is told to.
  let(:inside) { Queue.new }
  let(:release) { Queue.new }
  let(:crowd) do
    work = lambda do |env|
      if App::Crowd::LONG.match?(env["PATH_INFO"]) && env["REQUEST_METHOD"] == "POST"
        inside << true
        release.pop
      end
      [200, {}, []]
    end
    described_class.new(work, at_once: 2)
  end

  it "asks what comes on top of its places to come again, and keeps nothing else waiting" do
    busy = %w[/api/archive /api/jobs/j/photos].map { |path| Thread.new { crowd.call(request("POST", path)) } }
    2.times { inside.pop }
    status, _, body = crowd.call(request("POST", "/api/plans"))
    expect([status, body.first]).to match [503, /2 large files are worked on/]
    expect(crowd.call(request("POST", "/api/jobs/j/entries")).first).to eq 200
    expect(crowd.call(request("GET", "/api/archive")).first).to eq 200
    2.times { release << true }
    expect(busy.map { |each| each.value.first }).to eq [200, 200]
    release << true
    expect(crowd.call(request("POST", "/api/plans")).first).to eq 200
  end

  it "gives its place back when the work broke" do
    broken = described_class.new(->(_) { raise "broken" }, at_once: 1)
    2.times { expect { broken.call(request("POST", "/api/plans")) }.to raise_error("broken") }
  end
end
