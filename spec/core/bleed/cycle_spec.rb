# frozen_string_literal: true

# Steps of a cycle, each in its turn: practice 7.3.
RSpec.describe Sandbag::Bleed::Cycle do
  let(:job) do
    JobInMemory.new(sheet(twin_disc_plain)).tap do |job|
      job.answer_stops
      job.add("ask", "route", {"route" => "bleed"})
    end
  end

  def beat(*beats)
    beats.each { |each| job.add("bleed", "beat", {"beat" => each}) }
  end

  def count
    job.state.bleed.count
  end

  it "counts one stroke when the last step is through, and none before" do
    beat("hold", "open", "close")
    expect([count.total_strokes, count.cycle.done, count.cycle.turn]).to eq [0, %w[hold open close], "release"]
    beat("release")
    expect([count.total_strokes, count.cycle.done]).to eq [1, []]
  end

  it "is between two goes before a go begins and after it ends, never with the nipple open" do
    between = [[], ["hold"], ["open"], ["close"], ["release"]].map do |beats|
      beat(*beats)
      count.cycle.between_goes?
    end
    expect(between).to eq [true, false, false, false, true]
    valve = described_class.of(Sandbag::Tables.find("bleed_methods", "check_valve"))
    stroking = %w[screw_in open_flow first_press slow_stroke].reduce(valve) { |cycle, each| cycle.after_beat(each) }
    expect([valve.between_goes?, stroking.done, stroking.between_goes?]).to eq [false, [], false]
  end

  it "catches a lever that comes back with the nipple open: the cycle does not count and the last ones are not clean" do
    job.strokes(3)
    beat("hold", "open", "release")
    expect(count.total_strokes).to eq 3
    expect(count.current.clean_strokes).to eq 0
    expect(count.log.slips.first[:why]).to include "with the nipple open: it has drawn air in"
  end

  it "catches a step that was left out, by name" do
    beat("open")
    expect(count.log.slips.first[:why]).to eq "“Hold” was left out before “Open”. The cycle does not count."
    expect(count.cycle.done).to eq []
  end

  it "takes the same step twice for once" do
    beat("hold", "hold", "open")
    expect(count.log.slips).to eq []
  end

  it "lets nothing be refilled, changed or finished with the nipple open" do
    beat("hold", "open")
    expect(problems { job.add("bleed", "topped_up") }.first.message).to include "the nipple is open"
    expect(problems { job.add("bleed", "method", {"method" => "jar_open"}) }.first.message).to include "is open"
    expect(problems { job.add("bleed", "point_done", {"point" => count.current_id}) }.first.message).to include "open"
    beat("close", "release")
    job.add("bleed", "topped_up")
  end

  it "stops at the reservoir's end as strokes do" do
    (28 / job.state.bleed.plan.stroke_ml).floor.times { beat("hold", "open", "close", "release") }
    expect(problems { beat("hold") }.first.message).to include "may uncover the port"
  end

  it "has the steps of its own method and no others" do
    job.add("bleed", "method", {"method" => "jar_open"})
    expect(problems { beat("hold") }.first)
      .to have_attributes(pointer: "data/beat", accepted: "open_flow, first_press, slow_in, in_fluid_out, shut")
  end

  it "is undone step by step" do
    beat("hold", "open")
    job.undo("bleed", job.entries.last.id)
    expect(count.cycle.turn).to eq "open"
  end
end
