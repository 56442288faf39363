# frozen_string_literal: true

RSpec.describe "A simulated reading", :api do
  before do
    add_circuit("front", twin_disc_plain)
    ask(:post, "/jobs", {id: "j", circuit_id: "front"})
    ready("j")
  end

  def water(instrument)
    entry("j", "choose", "water", {water: "1.5", instrument: instrument})
    [last_response.status, JSON.parse(last_response.body).dig("errors", 0, "pointer")]
  end

  it "proves nothing about a real machine, however its name is written" do
    ["simulated moisture pen", " Simulated pen", "SIMULATED"].each do |instrument|
      expect(water(instrument)).to eq [422, "data/instrument"]
    end
    expect(water("moisture pen")).to eq [201, nil]
  end

  it "is taken on a machine that is kept for training, and no more once it is a real one again" do
    expect(ask(:patch, "/machines/m-front", {training: true})).to include("training" => true)
    expect(ask(:get, "/jobs/j")["machine"]).to include("training" => true)
    expect(water("simulated moisture pen")).to eq [201, nil]
    ask(:patch, "/machines/m-front", {training: false})
    expect(water("simulated moisture pen")).to eq [422, "data/instrument"]
  end
end
