# frozen_string_literal: true

RSpec.describe Sandbag::Feel::History do
  def brake(at, cost, state: "went", bled: true)
    {"at" => "#{at}T10:00:00Z", "state" => state, "bled" => bled, "cost_mm" => cost, "cost_error_mm" => 0.1,
     "limit_mm" => 1.5}
  end

  it "stands by its newest reading, as a share of the limit" do
    standing = described_class.new([brake("2025-01-01", 0.3), brake("2026-01-01", 0.9, state: "came", bled: false)])
      .standing
    expect(standing).to include("share" => 0.6, "state" => "came")
    expect(standing["share_per_day"]).to be_within(1e-9).of(0.4 / 365)
    expect(standing["due_on"]).to eq "2027-01-01"
  end

  it "has no standing with nothing on file" do
    expect(described_class.new([]).standing).to be_nil
  end

  it "takes a clutch by the lift it wants against the lift it has" do
    share = described_class.share("lift_mm" => 2.0, "lift_error_mm" => 0.05, "wanted_mm" => 1.5)
    expect(share.value).to eq 0.75
    expect(share.error).to be_within(1e-9).of(1.5 * 0.05 / 4)
  end

  describe "of a job" do
    let(:job) { JobInMemory.new(sheet(twin_disc_plain)) }

    def on_file
      Sandbag::Feel::LeverRecord.of(job.state.feel, "2026-01-01T08:00:00Z", "2026-01-01T11:00:00Z")
    end

    it "puts on file how it came in and how it went" do
      job.read_lever(air_ml: 0.5)
      job.bled.felt
      came, went = on_file
      expect(came).to include("state" => "came", "bled" => false, "at" => "2026-01-01T08:00:00Z")
      expect(went).to include("state" => "went", "bled" => true)
      expect(came["air_ml"]).to be_within(0.05).of(0.5)
      expect(went["air_ml"]).to be < 0.05
      expect(went["dead_mm"]).to be_within(1.0).of(came["dead_mm"])
      lever = job.state.feel.report.fit.to_h
      expect(lever[:dead_volume_ml]).to be_between(0, 1)
      expect(went["dead_mm"]).to be_within(1e-9).of(lever[:dead_volume_ml] * lever[:mm_per_ml])
    end

    it "puts nothing on file of a job that read no lever" do
      expect(on_file).to eq []
    end
  end
end
