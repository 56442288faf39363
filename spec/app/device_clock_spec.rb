# frozen_string_literal: true

RSpec.describe App::DeviceClock do
  let(:now) { Time.utc(2026, 3, 14, 9, 26) }

  let(:opened) { Time.utc(2026, 3, 12, 8) }

  def stamp(said, sent: nil, newest: nil)
    described_class.new(now, sent).stamp(said, opened: opened, newest: newest)
  end

  it "takes a time as it is said while the device's clock is right, however long ago it was" do
    ["2026-03-14T09:20:00Z", "2026-03-12T08:00:00Z"].each do |said|
      [nil, "2026-03-14T09:26:30Z"].each do |sent|
        expect(stamp(said, sent: sent)).to eq(at: said, received_at: "2026-03-14T09:26:00.000Z")
      end
    end
  end

  it "lets nothing be earlier than the entry before it or the opening of the job, nor later than it was received" do
    newest = Time.utc(2026, 3, 14, 9, 20)
    expect(stamp("2026-03-14T09:05:00Z", newest: newest)).to include(at: "2026-03-14T09:20:00.000Z",
      said_at: "2026-03-14T09:05:00Z")
    expect(stamp("2026-03-11T09:00:00Z", sent: "2026-03-14T09:26:00Z")).to include(at: "2026-03-12T08:00:00.000Z")
    expect(stamp("2026-03-14T12:00:00Z", sent: "2026-03-14T12:00:00Z")).to include(at: "2026-03-14T09:26:00.000Z")
  end

  it "takes nothing off a wait, by however little two clocks differ" do
    newest = Time.utc(2026, 3, 14, 9, 20)
    expect(stamp("2026-03-14T09:19:30Z", newest: newest)).to eq(at: "2026-03-14T09:20:00.000Z",
      received_at: "2026-03-14T09:26:00.000Z")
    expect(stamp("2026-03-14T09:26:40Z")).to eq(at: "2026-03-14T09:26:00.000Z",
      received_at: "2026-03-14T09:26:00.000Z")
  end

  it "refuses a time in the future or before the job, where no clock came with it" do
    expect { stamp("2026-03-14T09:28:00Z") }.to raise_error(Sandbag::Refusal, /\Aat: that is in the future/)
    expect { stamp("2026-03-12T07:58:00Z") }
      .to raise_error(Sandbag::Refusal, /\Aat: that is before the job was opened/)
    expect { stamp("0000-03-12T07:58:00Z") }.to raise_error(Sandbag::Refusal, /before the job/)
  end

  it "puts times right by as much as the clock is off, and says so" do
    ahead = described_class.new(now, "2099-03-14T09:26:00Z")
    expect(stamp("2099-03-14T09:16:00Z", sent: "2099-03-14T09:26:00Z")).to eq(at: "2026-03-14T09:16:00.000Z",
      received_at: "2026-03-14T09:26:00.000Z", said_at: "2099-03-14T09:16:00Z")
    expect(ahead.says).to match(/26\d{3} days ahead/)
    behind = described_class.new(now, "2026-03-12T09:26:00Z")
    expect(stamp("2026-03-12T09:25:00Z", sent: "2026-03-12T09:26:00Z")).to include(at: "2026-03-14T09:25:00.000Z")
    expect(behind.says).to start_with "This device's clock is 2 days behind."
    expect(described_class.new(now, "2026-03-14T20:00:00Z").says).to be_nil
  end

  it "never dates anything into the future, whatever clock comes with it" do
    ["2099-01-01T00:00:00Z", "2026-03-14T09:26:00Z"].each do |sent|
      expect(stamp("2099-06-01T00:00:00Z", sent: sent)[:at]).to be <= "2026-03-14T09:26:00.000Z"
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
      "received_at" => "2026-03-14T09:41:29.000Z",
      "at" => "2026-03-14T09:41:29.000Z"
    )
    ask(:patch, "/circuits/front", {changes: [{part: "fluid", field: "changed_on", value: "2026-03-13"}]})
    expect(last_response.status).to eq 200
  end
end
