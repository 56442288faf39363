# frozen_string_literal: true

# The way to bleed is chosen first, its steps are led at every point, and what goes wrong is heard.
RSpec.describe Sandbag::Bleed::Stage, "led" do
  def ready(template, method = nil, route: "bleed")
    sheet = Sandbag::Circuit::Template.filled(template)
    sheet = sheet.set("vehicle", "abs", "none", "measured") unless sheet.clutch?
    JobInMemory.new(sheet, careful: false).tap do |job|
      job.ready_to_bleed(route)
      job.choose_what_is_wanted
      job.add("bleed", "method", {"method" => method}) if method
      job.look_before_fluid if method
    end
  end

  def card(job) = job.view("bleed")[:now].first

  def beat(job, *beats) = beats.each { |each| job.add("bleed", "beat", {"beat" => each}) }

  it "asks for the way to bleed where another is proposed, and moves nothing before" do
    job = ready("bike_front")
    expect(card(job)).to include(id: "method", title: "How is it bled?")
    expect(card(job)[:answers].map { |each| each[:label] }).to eq ["Two syringes", "Hold, open, close, release"]
    expect(problems { job.add("bleed", "stroke") }.first.message)
      .to include "the way to bleed: two syringes is proposed"
    expect(job.view("bleed")[:proposed]).to include(id: "two_syringe")
    job.add("bleed", "method", {"method" => "hold_cycle"})
    job.look_before_fluid
    job.add("bleed", "stroke")
    expect(job.view("bleed")).not_to have_key :proposed
  end

  it "asks for none where it begins with the one that is proposed" do
    job = ready("road_front_single")
    expect(job.view("bleed")).not_to have_key :proposed
    expect(card(job)).to include(id: "round.start", all: include(label: /\AAll \d+ done\z/))
  end

  it "asks alone, before fluid moves, for what is answered or found not right, and on a pressure vessel" do
    job = ready("road_front_single")
    job.add("bleed", "check", {"check" => "nipple_sound", "value" => "worn"})
    together = card(job)[:all][:looks].map { |look| look[:entry][:data][:check] }
    expect(together).not_to include "nipple_sound"
    expect(job.view("bleed")[:now].map { |each| each[:id] }).to include "check.nipple_sound"
    job = ready("road_front_single", nil)
    job.add("bleed", "method", {"method" => "pressure_cap"})
    expect(card(job)[:all][:looks].map { |look| look[:entry][:data][:check] }).not_to include "cap_rated"
  end

  # @return [Array(Integer, Integer, String)] strokes to go, those to the next top-up, and what is offered at once
  def in_a_row(job)
    count = job.state.bleed.count
    [count.current.strokes_to_go, count.reservoir.strokes_to_top_up, card(job).dig(:all, :label)]
  end

  it "writes strokes down together: as many as are to go, and none past the next top-up" do
    job = ready("kart_rear", "check_valve")
    beat(job, "screw_in", "open_flow")
    expect(card(job)).not_to have_key :all
    beat(job, "first_press")
    expect(card(job)).to include(kind: "step", act: include(entry: {kind: "beat", data: {beat: "slow_stroke"}}))
    expect(in_a_row(job)).to eq [11, 3, "3 strokes done"]
    card(job)[:all][:looks].each { beat(job, "slow_stroke") }
    expect(in_a_row(job)).to eq [8, 0, nil]
    4.times do
      job.add("bleed", "topped_up")
      2.times { beat(job, "slow_stroke") }
    end
    expect(job.state.bleed.count.current.strokes_to_go).to eq 0
  end

  it "writes down no two strokes of a method that opens and closes at each" do
    job = ready("kart_rear", "hold_cycle")
    12.times do
      expect(card(job)).not_to have_key :all
      job.add("bleed", "beat", {"beat" => job.state.bleed.count.cycle.turn})
    end
    expect(job.state.bleed.count.total_strokes).to be_positive
  end

  it "leads a one-way valve: screw it in, open, one light press; slow strokes, a refill with it open; close" do
    job = ready("kart_rear", "check_valve")
    %w[screw_in open_flow first_press].each do |step|
      expect(card(job)).to include(id: "beat.#{step}", kind: "step")
      beat(job, step)
    end
    beat(job, "slow_stroke")
    expect([job.state.bleed.count.total_strokes, job.state.bleed.count.cycle.turn]).to eq [1, "slow_stroke"]
    expect(job.view("bleed")[:loose]).to include "judge it when all is closed"
    expect(problems { beat(job, "open_flow") }.first.accepted).to eq "slow stroke first"
    job.add("bleed", "topped_up")
    expect(job.view("bleed").dig(:cycle, :open)).to be true
    expect(refusal_at { beat(job, "shut_refill") }).to eq ["data/beat"]
  end

  it "shuts the nipple for a refill, and opens it again" do
    job = ready("road_front_single", "jar_open")
    beat(job, "open_flow", "first_press", "slow_in", "in_fluid_out")
    expect(problems { job.add("bleed", "topped_up") }.first.message).to include "the nipple is open"
    beat(job, "shut_refill")
    job.add("bleed", "topped_up")
    expect(job.state.bleed.count.cycle.turn).to eq "open_again"
    beat(job, "open_again", "slow_in", "in_fluid_out")
    expect(job.state.bleed.count.total_strokes).to eq 2
  end

  it "takes the mL as the step that they are, and snaps three times" do
    job = ready("bike_front", "two_syringe")
    beat(job, "open_ports")
    expect(card(job)).to include(id: "run", kind: "reading")
    expect(problems { beat(job, "push_pull") }.first.accepted).to eq "the mL that went through"
    job.add("bleed", "run", {"ml" => 5, "out" => 5})
    3.times do
      expect(job.state.bleed.count.cycle.turn).to eq "snap"
      beat(job, "snap")
    end
    expect(job.state.bleed.count.cycle.turn).to eq "push_pull"
  end

  it "begins its steps again at the next point, without those that are done once" do
    job = ready("road_front_twin", "pressure_cap")
    beat(job, "pressurise", "look_leaks", "open_flow")
    job.add("bleed", "run", {"ml" => 5})
    beat(job, "shut")
    job.add("bleed", "point", {"point" => job.state.bleed.count.points.keys.last})
    expect(job.state.bleed.count.cycle.turn).to eq "open_flow"
  end

  it "hears what goes wrong, counts the bubbles again, and offers the rest that froth wants" do
    job = ready("kart_rear", "check_valve")
    beat(job, "screw_in", "open_flow", "first_press", "slow_stroke")
    job.add("bleed", "slip", {"slip" => "pumped_fast"})
    expect(job.state.bleed.count.current.clean_strokes).to eq 0
    expect(job.view("bleed").dig(:method, :wait)).to eq "aerated_fluid"
    expect(job.view("bleed")[:slips].last[:why]).to include "let it rest"
    expect(problems { job.add("bleed", "slip", {"slip" => "overflowed"}) }.first.message).to include "cannot happen"
  end

  it "asks what finishes after a method that only helps" do
    job = ready("road_front_single", "power_vacuum")
    job.add("bleed", "tool_tight", {"first" => 0.06, "after" => 0.06}) if job.state.bleed.checks.tight_wanted?
    8.times do
      job.add("bleed", "run", {"ml" => 7})
      job.add("bleed", "topped_up")
    end
    job.add("bleed", "colour", {"colour" => "as_fresh"})
    expect(card(job)).to include(id: "beat.shut_drawing")
    expect(card(job)[:act]).not_to include :following
    beat(job, "shut_drawing")
    expect(card(job)).to include(id: "method", title: "How is it finished?")
    expect(card(job)[:answers].map { |each| each[:label] }).not_to include "Powered extractor"
  end

  it "asks a snowmobile for its track, and a bicycle for the block" do
    [["snow_jackshaft", "track_lifted"], ["bike_front", "block_in"]].each do |template, check|
      job = ready(template)
      job.add("bleed", "method", {"method" => "hold_cycle"}) if job.state.bleed.proposed
      expect(job.state.bleed.checks.start.map(&:id)).to include check
    end
  end
end
