# frozen_string_literal: true

RSpec.describe "Security", :api do
  before { add_circuit("front", twin_disc_plain) }

  def status_for(headers, method: :post)
    ask(method, "/jobs", (method == :post) ? {id: SecureRandom.uuid, circuit_id: "front", beside: true} : nil,
      headers: headers)
    last_response.status
  rescue JSON::ParserError
    last_response.status
  end

  it "writes for its own page and for programs" do
    expect(status_for({"Sec-Fetch-Site" => "same-origin", "Origin" => "http://127.0.0.1"})).to eq 201
    expect(status_for({})).to eq 201
  end

  it "refuses writes from other sites" do
    [
      {"Sec-Fetch-Site" => "cross-site"},
      {"Sec-Fetch-Site" => "same-site"},
      {"Origin" => "http://elsewhere.example"},
      {"Origin" => "null"}
    ].each { |headers| expect(status_for(headers)).to eq(403), headers.to_s }
  end

  it "answers only to its own names" do
    {
      "127.0.0.1:4747" => 200,
      "localhost:4747" => 200,
      "[::1]:4747" => 200,
      "elsewhere.example" => 403,
      "127.0.0.1.elsewhere.example" => 403,
      "10.0.0.8" => 403
    }.each { |host, status| expect(status_for({"Host" => host}, method: :get)).to eq(status), host }
  end

  it "sends a strict policy with everything, and a nonce that is never the same" do
    policies = Array.new(2) do
      header "Host", "127.0.0.1"
      get "/"
      last_response.headers["content-security-policy"]
    end
    expect(policies.uniq.size).to eq 2
    expect(policies.first).to include("default-src 'none'", "script-src 'self'").and not_include("unsafe")
    expect(last_response.body).to include(policies.last[/nonce-([^']+)/, 1])
    ask(:get, "/jobs")
    expect(last_response.headers).to include("x-content-type-options" => "nosniff",
      "content-security-policy" => a_string_including("default-src 'none'"))
  end

  it "serves no file outside the page's own" do
    header "Host", "127.0.0.1"
    ["/assets/../../app/base.rb", "/assets/%2e%2e/%2e%2e/app/base.rb", "/sw.js/../../Gemfile"].each do |path|
      get path
      expect(last_response.body).not_to include("Sinatra", "rubygems")
    end
  end

  RSpec::Matchers.define_negated_matcher :not_include, :include
end
