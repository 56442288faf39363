# frozen_string_literal: true

RSpec.describe App::DeviceClock do
  let(:now) { Time.utc(2026, 3, 14, 9, 26) }

  it "takes a time as it is said while the device's clock is about right, however long ago it was" do
    ["2026-03-14T09:20:00Z", "2026-03-12T08:00:00Z", "2026-03-15T09:00:00Z"].each do |said|
      [nil, "2026-03-14T09:30:00Z"].each do |sent|
        expect(described_class.new(now, sent).stamp(said)).to eq(at: said, received_at: "2026-03-14T09:26:00.000Z")
      end
    end
  end

  it "puts times right by as much as the clock is off, and says so" do
    ahead = described_class.new(now, "2099-03-14T09:26:00Z")
    expect(ahead.stamp("2099-03-14T09:16:00Z")).to eq(at: "2026-03-14T09:16:00.000Z",
      received_at: "2026-03-14T09:26:00.000Z", said_at: "2099-03-14T09:16:00Z")
    expect(ahead.says).to match(/26\d{3} days ahead/)
    behind = described_class.new(now, "2026-03-12T09:26:00Z")
    expect(behind.stamp("2026-03-12T09:25:00Z")).to include(at: "2026-03-14T09:25:00.000Z")
    expect(behind.says).to start_with "This device's clock is 2 days behind."
    expect(described_class.new(now, "2026-03-14T20:00:00Z").says).to be_nil
  end

  it "never dates anything into the future, clock or no clock" do
    [nil, "2099-01-01T00:00:00Z", "2026-03-14T09:26:00Z"].each do |sent|
      expect(described_class.new(now, sent).stamp("2099-06-01T00:00:00Z")[:at]).to be <= "2026-03-15T09:26:00Z"
    end
  end
end

RSpec.describe "A wrong clock", :api do
  it "does not lock a circuit into 2099, is said in the answer, and stands beside the server's time in the journal" do
    add_circuit("front", twin_disc_plain)
    ask(:post, "/jobs", {id: "j", circuit_id: "front"})
    worked = JobInMemory.new(sheet(twin_disc_plain)).bled
    worked.felt
    worked.confirm_all
    worked.entries.each { |given| entry("j", given.stage, given.kind, given.data, id: given.id, at: given.at) }
    answer = entry("j", "close", "signed", {"name" => "R. Tarn"}, at: "2099-01-01T10:00:00Z",
      sent: "2099-01-01T10:00:05Z")
    expect(answer).to include("clock" => a_string_including("days ahead"))
    expect(
      ask(:get, "/circuits/front")["sheet"]["parts"].find { |part| part["part"] == "fluid" }["values"]["changed_on"][
        "value"
      ]
    ).to eq "2026-03-14"
    expect(ask(:get, "/jobs/j/entries")["items"].last).to include(
      "said_at" => "2099-01-01T10:00:00Z",
      "received_at" => "2026-03-14T09:26:00.000Z",
      "at" => "2026-03-14T09:25:55.000Z"
    )
    ask(:patch, "/circuits/front", {changes: [{part: "fluid", field: "changed_on", value: "2026-03-13"}]})
    expect(last_response.status).to eq 200
  end
end
