# frozen_string_literal: true

require_relative "../support/fell_gate_copy"

RSpec.describe "/api/shop/tool-worth", :api do
  it "is worked out from the jobs that were signed in twelve months, at the shop's rate" do
    expect(ask(:get, "/shop/tool-worth")).to include("jobs" => 0, "points" => 0, "since" => "2025-03-14")
    FellGateCopy.into(store, Time.utc(2026, 3, 14, 9, 26))
    found = ask(:get, "/shop/tool-worth")
    signed = ask(:get, "/jobs?state=closed&limit=100")["items"].select { |job| job["closed_at"] >= "2025-03-14" }
    expect(found).to include("jobs" => signed.size, "points" => be >= signed.size)
    valve = found["tools"].find { |tool| tool["id"] == "check_valve" }
    expect(valve).to include("minutes" => be_positive,
      "saved_minor" => (valve["minutes"] * 6000 / 60.0).round)
  end

  it "leaves out what was signed longer ago" do
    FellGateCopy.into(store, Time.utc(2026, 3, 14, 9, 26))
    now = ask(:get, "/shop/tool-worth")["jobs"]
    @app = nil
    @clock = Time.utc(2028, 3, 14)
    @_rack_test_current_session = @_rack_test_sessions = nil
    expect(now).to be_positive
    expect(ask(:get, "/shop/tool-worth")["jobs"]).to eq 0
  end
end
