# frozen_string_literal: true

RSpec.describe App::ComputeApi, :api do
  let(:plain) { Sandbag::Circuit::Template.sheet("road_front_single").to_h }

  def verdicts(**given)
    ask(:post, "/compute/bleed-verdicts", {sheet: plain, **given})
  end

  it "judges every bleeding method, says what is barred, and redraws the line on what is supposed" do
    found = verdicts
    expect(found["methods"].first).to include("id" => "hold_cycle", "verdict" => "suitable")
    expect(found["barred"].map { |row| row["id"] }).to include("two_syringe", "reverse_syringe")
    expect(found["ways"].first["points"].map { |point| point["height_mm"] }).to eq [1000, 330]
    raised = verdicts(raised: 80, celsius: -10, opening: "half")
    expect(raised["ways"].first["points"].first["height_mm"]).to eq 1080
    flow = ->(answer) { answer["methods"].find { |row| row["id"] == "gravity_flush" }["flow_ml_s"] }
    expect(flow[verdicts(celsius: -10)]).to be < flow[found]
  end

  it "refuses by name a temperature, an opening and a height that cannot be" do
    {celsius: 400, opening: "wide", raised: 5000, loop_down: "yes"}.each do |name, value|
      refused = verdicts(name => value)
      expect([last_response.status, refused["errors"].map { |error| error["pointer"] }]).to eq [422, [name.to_s]]
    end
  end
end
