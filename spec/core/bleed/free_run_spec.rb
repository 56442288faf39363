# frozen_string_literal: true

RSpec.describe Sandbag::Bleed::FreeRun do
  let(:job) do
    JobInMemory.new(sheet(twin_disc_plain)).tap do |job|
      job.ready_to_bleed("flush")
      job.choose_what_is_wanted
    end
  end

  def run = described_class.new(job.state.bleed).to_h

  it "times what flows while nobody pumps by its own flow and by what stands over the port" do
    expect(run).to be_nil
    job.add("bleed", "method", {"method" => "gravity_start"})
    flow = run[:flow_ml_s]
    way = Sandbag::Airway::Way.all(job.state.sheet).find { |each| each.far_end["id"] == job.state.bleed.count.current_id }
    expect(flow).to eq way.drive(Sandbag::Tables.find("bleed_methods", "gravity_start")).flow_ml_s
    expect(run[:port_s]).to eq((28 / flow).floor)
    expect(run[:top_up_s]).to eq((0.6 * 28 / flow).floor)
    job.look_before_fluid
    job.add("bleed", "run", {"ml" => 20})
    expect(run[:port_s]).to eq((8 / flow).floor)
    expect(run[:top_up_s]).to eq 0
    job.add("bleed", "topped_up")
    expect(run[:port_s]).to eq((28 / flow).floor)
  end

  it "is slower in the cold, and says nothing of an uncovered port or of a hose that hangs above the master" do
    job.add("bleed", "method", {"method" => "gravity_start"})
    warm = run[:flow_ml_s]
    job.add("bleed", "temperature", {"celsius" => 0})
    expect(run[:flow_ml_s]).to be < warm / 2
    job.look_before_fluid
    job.add("bleed", "run", {"ml" => 5})
    job.add("bleed", "uncovered")
    expect(run).to be_nil
    job.add("bleed", "topped_up")
    job.add("bleed", "method", {"method" => "gravity_raised"})
    expect(run).to be_nil
  end

  it "is no longer a wait of twenty minutes" do
    expect(refusal_at { job.add("ask", "wait", {"wait" => "gravity_run"}) }).to eq ["data/wait"]
    expect(Sandbag::Ask::Wait.of({"wait" => "gravity_run"}, "2026-03-14T09:00:00Z"))
      .to include(until: "2026-03-14T09:20:00Z")
  end
end
