# frozen_string_literal: true

require "zlib"

RSpec.describe App::Compressed do
  let(:long) { JSON.generate((1..900).to_a) }

  def answer(text, accept: "gzip", verb: "GET", **headers)
    sent = {"content-type" => "application/json", "content-length" => text.bytesize.to_s, **headers}
    app = described_class.new(->(_env) { [200, sent, [text]] })
    env = Rack::MockRequest.env_for("/", :method => verb, "HTTP_ACCEPT_ENCODING" => accept)
    status, got, body = app.call(env)
    [status, got, body.to_enum.to_a.join]
  end

  it "sends a long answer smaller, and whole" do
    status, headers, body = answer(long)
    expect(status).to eq 200
    expect(headers).to include("content-encoding" => "gzip", "vary" => "accept-encoding",
      "content-length" => body.bytesize.to_s)
    expect(body.bytesize).to be < long.bytesize / 2
    expect(Zlib.gunzip(body)).to eq long
  end

  it "leaves a short one, a picture and what is compressed already as they are" do
    [
      ["[1]", {}], [long, {"content-type" => "image/png"}], [long, {"content-encoding" => "br"}]
    ].each do |text, headers|
      _, got, body = answer(text, **headers)
      expect(body).to eq text
      expect(got["content-encoding"]).to eq headers["content-encoding"]
    end
  end

  it "sends it plain to who does not take gzip, and says that it depends on that" do
    ["", "identity", "gzip;q=0", "br"].each do |accept|
      _, headers, body = answer(long, accept: accept)
      expect(body).to eq long
      expect(headers).to include("vary" => "accept-encoding").and(satisfy { |all| !all.key?("content-encoding") })
    end
  end

  it "keeps what the answer depends on already" do
    expect(answer(long, "vary" => "origin")[1]["vary"]).to eq "origin, accept-encoding"
  end

  it "touches no answer to HEAD" do
    expect(answer(long, verb: "HEAD")[1]["content-length"]).to eq long.bytesize.to_s
  end

  it "stands before every answer", :api do
    header "Accept-Encoding", "gzip"
    header "Host", "127.0.0.1"
    get "/api/knowledge"
    expect(last_response.headers["content-encoding"]).to eq "gzip"
    expect(JSON.parse(Zlib.gunzip(last_response.body))).to be_a Hash
  end
end
