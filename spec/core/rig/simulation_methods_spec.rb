# frozen_string_literal: true

# By other methods than the lever and the nipple.
RSpec.describe Sandbag::Rig::Simulation do
  include SimulatedLine

  describe "quick strokes" do
    # Travel to a firm pull before and after five of them, mm.
    def pumped(**given)
      now = rig(**given)
      press = lambda do
        now.act("do" => "lever", "to" => now.lever_mm + 0.5, "s" => 0.02) until now.force_n >= 100
        now.lever_mm
      end
      first = press.call
      6.times do
        now.act("do" => "lever", "to" => 0, "s" => 0.1)
        now.act("do" => "lever", "to" => first, "s" => 0.1)
      end
      now.act("do" => "lever", "to" => 0, "s" => 0.1)
      [first, press.call, now]
    end

    it "bring a lever up that has air in its line, until it has rested" do
      first, then_mm, now = pumped(air: [slug(1.0, 400.0)])
      expect(first - then_mm).to be > 2
      now.act("do" => "lever", "to" => 0, "s" => 0.5)
      now.act("do" => "wait", "s" => 5)
      expect(now.excess_ml).to be_within(0.01).of(0)
    end

    it "bring pads up that stood off, for good" do
      gap = circuit.budget.gap_ml
      first, then_mm, now = pumped(faults: Sandbag::Rig::Faults.new(knocked_back: 2.0))
      expect(first - then_mm).to be_within(1.5).of(circuit.travel_of_volume_mm(2 * gap))
      now.act("do" => "lever", "to" => 0, "s" => 0.5)
      now.act("do" => "wait", "s" => 5)
      now.act("do" => "lever", "to" => circuit.travel_mm(2.0), "s" => 1)
      expect(now.pressure_mpa).to be_within(1e-3).of(2.0)
    end

    it "do little on a lever that is sound, or whose hose swells" do
      [{}, {faults: Sandbag::Rig::Faults.new(softer: 3.0)}].each do |given|
        first, then_mm, = pumped(**given)
        expect(first - then_mm).to be < 2
      end
    end

    it "with every nipple shut are noticed as froth" do
      expect(pumped.last.events.map(&:what)).to include "frothed"
    end
  end

  it "is pushed from below: what comes up leaves by the port, into a reservoir that has to have room" do
    now = rig(air: [slug(0.4, 300.0)])
    now.act("do" => "take", "ml" => 15)
    now.act("do" => "nipple", "end" => "left_caliper", "turns" => 0.25)
    before = now.reservoir_ml
    4.times { now.act("do" => "push", "end" => "left_caliper", "ml" => 3, "s" => 3) }
    expect(now.air_ml).to be_within(1e-9).of(0)
    expect(now.reservoir_ml).to be_within(0.7).of(before + 12)
    expect(now.events).to be_empty
    2.times { now.act("do" => "push", "end" => "left_caliper", "ml" => 10, "s" => 10) }
    expect(now.events.map(&:what)).to eq ["overfull"]
    expect(now.spilled_ml).to be > 0
  end

  it "takes nothing from a syringe at a shut nipple, and notices it" do
    now = rig
    before = now.fluid_ml
    now.act("do" => "push", "end" => "left_caliper", "ml" => 3, "s" => 1)
    expect([now.poured_ml, now.fluid_ml, now.events.map(&:what)]).to eq [0, before, ["pushed_shut"]]
  end

  describe "what is fitted to a nipple" do
    # Two strokes with the nipple left open.
    def left_open(what)
      now = rig
      now.act("do" => "fit", "end" => "left_caliper", "what" => what)
      now.act("do" => "nipple", "end" => "left_caliper", "turns" => 0.5)
      2.times do
        now.act("do" => "lever", "to" => now.travel_mm, "s" => 1)
        now.act("do" => "lever", "to" => 0, "s" => 1)
      end
      now
    end

    it "lets air back, nothing, or the fluid that it stands in" do
      hose, valve, tube, hung = %w[hose valve tube hung].map { |what| left_open(what) }
      expect([hose, valve, tube, hung].map { |now| now.events.map(&:what) }).to eq [["released_open"], [], [], []]
      expect(hose.air_ml).to be > 0.1
      expect([valve, tube, hung].map(&:air_ml)).to eq [0, 0, 0]
      expect(tube.used_ml).to be < valve.used_ml - 0.2
    end

    it "hangs above the master: nothing runs by itself, and air at the nipple rises into the hose" do
      now = rig(air: [slug(0.2, 1e6)])
      now.act("do" => "fit", "end" => "left_caliper", "what" => "hung")
      now.act("do" => "nipple", "end" => "left_caliper", "turns" => 0.25)
      now.act("do" => "wait", "s" => 10)
      expect([now.air_ml, now.jar_ml]).to match [0, be_within(1e-9).of(0)]
      expect(rig.act("do" => "nipple", "end" => "left_caliper", "turns" => 0.25).act("do" => "wait", "s" => 10).jar_ml)
        .to be > 1
    end
  end

  it "is pushed from the master: a syringe there sends air out by the nipple, and nothing by the port" do
    now = rig(air: [slug(0.3, 300.0)])
    before = now.reservoir_ml
    now.act("do" => "nipple", "end" => "left_caliper", "turns" => 0.5)
    now.act("do" => "feed", "end" => "left_caliper", "ml" => 15, "s" => 15)
    expect(now.air_ml).to eq 0
    expect(now.jar_ml).to be_within(0.5).of(15 - 0.3 + before - now.reservoir_ml)
    shut = rig.act("do" => "feed", "end" => "left_caliper", "ml" => 3, "s" => 1)
    expect([shut.poured_ml, shut.events.map(&:what)]).to eq [0, ["pushed_shut"]]
  end

  it "gives air at the master up by its cracked joint, under pressure only, and wets the cloth" do
    blocked = Sandbag::Rig::Faults.new(port_blocked: true)
    now = rig(air: [slug(0.3)], faults: blocked)
    now.act("do" => "crack", "to" => 0, "s" => 0.4)
    expect(now.air_ml).to be_within(1e-12).of(0.3)
    4.times do
      now.act("do" => "lever", "to" => now.travel_mm * 0.5, "s" => 0.5)
      now.act("do" => "crack", "to" => now.travel_mm, "s" => 0.4)
      now.act("do" => "lever", "to" => 0, "s" => 0.5)
    end
    expect(now.air_ml).to eq 0
    expect(now.leaked_ml).to be > 0.1
  end

  it "sends what is over up to the reservoir when pistons are pressed home, and wants it back with the next strokes" do
    now = rig
    before = now.reservoir_ml
    now.act("do" => "press", "end" => "left_caliper", "ml" => 1.5, "s" => 3).act("do" => "wait", "s" => 5)
    expect(now.reservoir_ml).to be_within(0.02).of(before + 1.5)
    firm = circuit.travel_mm(2.0)
    expect(now.snapshot.act("do" => "lever", "to" => firm, "s" => 0.5).pressure_mpa).to be < 0.5
    5.times { [firm * 1.5, 0].each { |to| now.act("do" => "lever", "to" => to, "s" => 0.5) } }
    now.act("do" => "wait", "s" => 10)
    expect(now.reservoir_ml).to be_within(0.05).of(before)
    expect(now.act("do" => "lever", "to" => firm, "s" => 1).pressure_mpa).to be_within(0.05).of(2.0)
    expect(rig.act("do" => "press", "end" => "left_caliper", "ml" => 20, "s" => 5).homes_ml).to be_within(1e-9).of(0)
  end

  it "keeps the air behind an ABS unit's valves from the lever, until they are cycled" do
    travel = circuit.travel_mm(2.0)
    firm = ->(now) { now.snapshot.act("do" => "lever", "to" => travel, "s" => 1).pressure_mpa }
    now = rig(unit_ml: 0.4)
    expect(firm.call(now)).to be_within(1e-6).of(2.0)
    10.times { stroke(now, "left_caliper") && now.act("do" => "pour", "ml" => 1.5) }
    expect(now.unit.ml).to eq 0.4
    now.act("do" => "cycle", "s" => 4)
    expect(now.unit.ml).to be_within(1e-9).of(0.2)
    expect(now.air_ml).to be_within(1e-9).of(0.2)
    expect(firm.call(now)).to be < 1.5
  end
end
