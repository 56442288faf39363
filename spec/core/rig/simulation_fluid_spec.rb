# frozen_string_literal: true

# Heat, water, froth, vacuum and what runs by its own head.
RSpec.describe Sandbag::Rig::Simulation do
  include SimulatedLine

  it "boils wet fluid down a pass and goes long, comes back when it has cooled, and not where the fluid is fresh" do
    pressed = ->(now) { now.snapshot.act("do" => "lever", "to" => circuit.travel_mm(2.0), "s" => 1).pressure_mpa }
    wet = rig(water: 4.0).act("do" => "descend", "s" => 240)
    # docs/physics.md 5: well under 161.5 °C, the boiling point at 3 %
    expect(wet.heat.celsius).to be > 165
    expect(wet.heat.steam_ml).to be > 0.3
    expect(pressed.call(wet)).to be < 0.5
    expect(wet.fluid_ml).to be_within(1e-9).of(rig.fluid_ml)
    wet.act("do" => "wait", "s" => 900)
    expect(wet.heat.steam_ml).to eq 0
    expect(pressed.call(wet)).to be_within(0.01).of(2.0)
    expect(rig.act("do" => "descend", "s" => 240).heat.steam_ml).to eq 0
  end

  it "boils free water in a fluid that takes none up, and nothing where there is none" do
    oil = Sandbag::Circuit::Template.sheet("bike_front").set("fluid", "stamped", "mineral", "part_marking")
    steam = ->(water) {
      described_class.new(oil, water: water).act("do" => "descend", "s" => 120).heat.steam_ml
    }
    expect([steam.call(0.0), steam.call(1.0)]).to match [0, be > 0.3]
  end

  it "has the water out with the old fluid" do
    now = rig(water: 4.0)
    expect(now.water_percent).to eq 4.0
    Sandbag::Rig::Mechanic.new(now, fresh: 1.0).bleed
    expect(now.water_percent).to eq 0
  end

  # Stokes, bubbles of 0.3 mm: g d² ρ / (18 μ), by hand.
  [["dot4", 20.0, 3.26], ["dot5", 20.0, 1.09], ["mineral", 20.0, 2.11], ["dot4", -10.0, 0.715]]
    .each do |fluid, celsius, rise_mm_s|
    it "lets froth rise by #{rise_mm_s} mm/s in #{fluid} at #{celsius.round} °C, whatever the bore" do
      found = self.found.set("fluid", "stamped", fluid, "part_marking")
      now = described_class.new(found, air: [slug(0.3, 300.0)], celsius: celsius)
      6.times { [0.5, 0].each { |share| now.act("do" => "lever", "to" => now.travel_mm * share, "s" => 0.2) } }
      now.act("do" => "wait", "s" => 10)
      before = now.slugs.map(&:at_mm).min
      now.act("do" => "wait", "s" => 5)
      expect((before - now.slugs.map(&:at_mm).min) / 5).to be_within(0.05).of(rise_mm_s)
    end
  end

  it "breaks a bubble that is pumped to froth, which joins again in time" do
    now = rig(air: [slug(0.3, 300.0)])
    6.times { [0.5, 0].each { |share| now.act("do" => "lever", "to" => now.travel_mm * share, "s" => 0.2) } }
    expect(now.slugs.map(&:fine)).to eq [true] * 5
    expect(now.slugs.sum(&:ml)).to be_within(1e-9).of(0.3)
    now.act("do" => "wait", "s" => 135)
    expect(now.slugs.map(&:fine).uniq).to eq([false]).or eq([])
  end

  it "is drawn by a vacuum as fast as the formula says, and draws air once the reservoir is dry" do
    now = rig
    now.act("do" => "nipple", "end" => "left_caliper", "turns" => 0.5)
    path = now.plumbing.paths.first
    head = Sandbag::Hydraulics::Flow.head_mpa(path.head_mm + Sandbag::Airway::Drive::JAR_MM, now.plumbing.fluid)
    now.act("do" => "draw", "mpa" => 0.05, "s" => 1)
    resistance, kinetic = now.plumbing.resistance(path, 0.5), now.plumbing.kinetic(path, 0.5)
    flow = Sandbag::Hydraulics::Flow.quadratic(0.05 + head, resistance, kinetic)
    expect(now.jar_ml).to be_within(0.01 * now.jar_ml).of(flow)
    now.act("do" => "draw", "mpa" => 0.05, "s" => 10)
    expect(now.air.in_ml).to be > 1
    expect(now.events.map(&:what)).to eq ["port_uncovered"]
  end

  it "has air grow in a vacuum: at half an atmosphere a bubble takes twice its volume to pass the nipple" do
    half = Sandbag::ATMOSPHERE_MPA / 2
    passed = lambda do |air|
      now = rig(air: air)
      now.act("do" => "nipple", "end" => "left_caliper", "turns" => 0.5)
      now.act("do" => "draw", "mpa" => half, "s" => 1)
      [now.jar_ml, now.air.out_ml]
    end
    whole, = passed.call([])
    jar, out = passed.call([slug(0.4, described_class.new(found).plumbing.paths.first.length_mm)])
    expect(out).to be_within(1e-6).of(0.4)
    expect(whole - jar).to be_within(0.02).of(2 * 0.4)
  end

  it "has air take more off the head the nearer it is to a nipple under vacuum, no more than its leg" do
    air = Sandbag::Rig::Air.new([slug(0.4, 600.0)], described_class.new(found).plumbing.fluid)
    path = described_class.new(found).plumbing.paths.first
    lost = [0.0, 0.05].map { |vacuum| air.head_lost_mm(0, path, vacuum) }
    expect(lost.last / lost.first).to be_within(1e-9).of(1 / (1 - 0.05 * 600 / path.length_mm / 0.101325))
    long = Sandbag::Rig::Air.new([slug(40.0, 600.0)], described_class.new(found).plumbing.fluid)
    leg = path.leg_at(600)
    expect(long.head_lost_mm(0, path)).to be_within(1e-9).of(leg.from_height_mm - leg.to_height_mm)
  end

  it "runs by its own head down an empty line, and not over a loop that stands above the reservoir" do
    fall = lambda do |sheet|
      now = described_class.new(sheet, air: described_class.new(sheet).plumbing.dry.select { |each| each.path.zero? })
      start = now.air_ml
      now.act("do" => "nipple", "end" => "left_caliper", "turns" => 0.5)
      now.act("do" => "wait", "s" => 60)
      now.air_ml / start
    end
    expect(fall.call(found)).to be < 0.6
    loop_mm = found.value("master", "height") + 150
    expect(fall.call(found.change(found.parts_of("line").first["id"], "high_spot", loop_mm, "measured"))).to be > 0.8
  end

  # Half the step, and half of that: what passes the nipple, and the air that leaves, are the same within 2 %.
  Sandbag::Rig::Mechanic.ways.each do |way|
    it "moves as much by #{way} in steps half as long" do
      outs = [0.02, 0.01, 0.005].map do |step|
        plain = Sandbag::Circuit::Template.filled("road_front_single").set("fluid", "stamped", "dot4", "part_marking")
        now = described_class.new(plain, air: [slug(0.3, 300.0)], step_s: step)
        Sandbag::Rig::Mechanic.new(now, way: way, most: 4).bleed_end("caliper")
        [now.used_ml, now.air_out_ml]
      end
      outs.each_cons(2) do |longer, shorter|
        longer.zip(shorter).each { |one, other| expect(one).to be_within(0.02 * other + 0.02).of(other) }
      end
    end
  end

  it "flows steadily under a lever that goes in steadily, as fast as the piston sweeps" do
    now = rig
    now.act("do" => "nipple", "end" => "left_caliper", "turns" => 0.25)
    now.act("do" => "lever", "to" => now.travel_mm * 0.4, "s" => 1)
    flows = Array.new(20) do
      before = now.jar_ml
      now.lever_mm += now.travel_mm * 0.01
      now.advance
      (now.jar_ml - before) / 0.02
    end
    circuit = Sandbag::Circuit::Assembly.build(found)
    swept = circuit.master.area_mm2 * now.travel_mm * 0.01 / circuit.lever.ratio / 1000 / 0.02
    expect(flows).to all(be_within(0.05 * swept).of(swept))
  end

  it "goes in no further than a hand is strong: 300 N" do
    now = rig
    now.act("do" => "lever", "to" => now.travel_mm, "s" => 5)
    expect(now.force_n).to be_between(300, 360)
    expect(now.lever_mm).to be < now.travel_mm
  end

  it "ends at the grip" do
    expect(rig.travel_mm).to be_within(1e-9).of([72.0, 1 + 5.5 * 14].min)
  end

  it "boils later under pressure, and steam goes back into the fluid" do
    wet = described_class.new(found, water: 4.0)
    open_c = wet.boils_c
    wet.act("do" => "descend", "s" => 300)
    steam = wet.frame[:steam_ml]
    expect(steam).to be > 0
    wet.act("do" => "lever", "to" => wet.travel_mm, "s" => 2)
    wet.act("do" => "wait", "s" => 5)
    expect(wet.boils_under_pressure_c).to be > open_c + 50
    expect(wet.frame[:steam_ml]).to be < steam
  end
end
