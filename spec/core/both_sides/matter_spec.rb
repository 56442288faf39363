# frozen_string_literal: true

RSpec.describe "Limits of fluid, cylinder, line and fastener" do
  let(:found) { sheet(twin_disc_plain) }

  describe "the reservoir that is counted down" do
    def reservoir(**given)
      Sandbag::Airway::ReservoirCount.new(full_ml: 20.0, stroke_ml: 2.0, **given)
    end

    both_sides "Airway::ReservoirCount::REFILL_SHARE", 5 => "soon", 6 => "now" do |strokes|
      reservoir(strokes: strokes).warning
    end

    both_sides "Airway::ReservoirCount::SOON_STROKES", 3 => "ok", 4 => "soon" do |strokes|
      reservoir(strokes: strokes).warning
    end

    # Ten strokes empty it: the tenth may uncover the port, so the ninth is the last before the stop.
    it "stops one stroke before the port may be uncovered, not at it" do
      expect((7..10).map { |strokes| reservoir(strokes: strokes).warning }).to eq %w[now now stop stop]
      expect((9..10).map { |strokes| reservoir(strokes: strokes).spent? }).to eq [false, true]
    end

    both_sides "Airway::ReservoirCount::MOST_RUNGS", 198 => 200, 500 => 201 do |strokes|
      Sandbag::Airway::ReservoirCount.new(full_ml: strokes.to_f, stroke_ml: 1.0).ladder.size
    end

    it "read off in millilitres, is to be refilled at 12 of 20 mL and stops when nothing is left" do
      expect([11.99, 12.0, 19.99, 20.0].map { |ml| reservoir(by_ml: true, run_ml: ml).warning })
        .to eq %w[ok now now stop]
    end
  end

  describe "a point that is counted" do
    def point(stroke_ml, **given)
      planned = Sandbag::Airway::Plan::Point.new(id: "p", label: "P", flush_ml: 1.0, strokes: 1, why: "")
      Sandbag::Airway::PointCount.new(plan_point: planned, stroke_ml: stroke_ml, colour: "as_fresh", **given)
    end

    both_sides "Airway::PointCount::CLEAN_STROKES", 4 => 1, 5 => 0 do |strokes|
      point(1.0).with_strokes(strokes).strokes_to_go
    end

    both_sides "Airway::PointCount::CLEAN_ML", 19.9 => false, 20.0 => true do |ml|
      point(1.0, by_ml: true).with_run(ml).missing.empty?
    end

    it "wants no more clean strokes than make 20 mL" do
      expect([1, 2].map { |strokes| point(10.0).with_strokes(strokes).strokes_to_go }).to eq [1, 0]
    end
  end

  describe "a line along its heights" do
    # A point of the line is a high spot of the circuit where it stands over both its neighbours by more.
    both_sides "Circuit::Heights::LEVEL_MM", 5.0 => false, 5.1 => true do |over|
      high = found.change("left_hose", "high_spot", found.value("master", "height") + over, "measured")
      Sandbag::Circuit::Heights.new(high).high_spots.any?
    end

    # The master stands 800 to 1100 mm high, the caliper lower: between the two a "high spot" is none.
    it "has a high spot only where it stands over both its ends" do
      master = found.value("master", "height")
      spots = [-1.0, 1.0].map do |over|
        now = found.change("left_hose", "high_spot", (master + over).to_s, "measured")
        Sandbag::Airway::HeightProfile.new(now, now.part("left_caliper")).high_spot?
      end
      expect(spots).to eq [false, true]
    end

    both_sides "Airway::MethodVerdict::SMALL_ML", 0.01 => false, 0.011 => true do |pocket_ml|
      way = Sandbag::Airway::Way.all(found).first
      profile = Struct.new(:pocket_ml, :legs).new(pocket_ml, [])
      standing = Struct.new(:profile, :turned, :fluid).new(profile, false, way.fluid)
      standing.define_singleton_method(:drive) { |_method| nil }
      Sandbag::Airway::MethodVerdict.new(standing, {}).pocket?
    end
  end

  describe "a drive" do
    def drive(by, found = self.found, **given)
      method = {"drive" => {"by" => by, "fills" => true, "seconds" => 0.001, "mpa" => 0.0, "ml_s" => 1.0, "ml" => 30}}
      profile = Sandbag::Airway::HeightProfile.new(found, found.part("left_caliper"))
      Sandbag::Airway::Drive.new(method, profile, fluid: Sandbag::Fluid::FlowingFluid.of("glycol"),
        opening: {"bore" => 2.0}, stroke_ml: 3.0, **given)
    end

    def head_mpa(mm)
      1050 * 9.80665 * mm / 1e9
    end

    it "is a hand of 1 MPa, or the head from the level 40 mm over the outlet to the jar 100 mm under the nipple" do
      expect(drive("stroke").pressure_mpa).to eq 1.0
      fall = found.value("master", "height") - found.values(found.part("left_hose"))["end_height"].value
      expect(drive("head").pressure_mpa).to be_within(1e-9).of(head_mpa(40 + fall + 100))
      expect(drive("head", hose_raised: true).pressure_mpa).to be_within(1e-9).of(head_mpa(40 - 100))
    end

    it "goes through 20 mm of nipple, and rests 2 s between strokes and pushes, none where it runs" do
      expect(drive("stroke").segments.last.last.to_a).to eq [20.0, 2.0]
      expect(%w[stroke syringe head].map { |by| drive(by).pause_s }).to eq [2.0, 2.0, 0.0]
      expect(drive("head").go_ml).to eq 15.0
    end

    both_sides "Airway::HeightProfile::RESERVOIR_MM", "Airway::Drive::HAND_MPA", "Airway::Drive::JAR_MM",
      "Airway::Drive::NIPPLE_MM", "Airway::Drive::PAUSE_S", "Airway::Drive::RUN_ML", "Airway::Drive::SUCTION_MPA",
      39.0 => false, 41.0 => true do |over|
      master = found.value("master", "height")
      !drive("head", found.change("left_hose", "high_spot", (master + over).to_s, "measured")).held_by.nil?
    end
  end

  both_sides "Airway::Way::WARM_C", 19.9 => false, 20.0 => true do |celsius|
    Sandbag::Airway::Way.all(found, celsius: celsius).first.changed?("celsius")
  end

  both_sides "Circuit::NearMiss::REACH_MM", 15.815 => true, 15.8 => false, 16.06 => true, 16.07 => false do |bore|
    !Sandbag::Circuit::NearMiss.pair(bore).nil?
  end

  both_sides "Hydraulics::Circuit::RESERVE_CLEARANCE", 1 => 1.5 do |_|
    circuit = twin_disc
    gap = circuit.budget.gap_ml
    worn = circuit.reserve_stroke_mm(2.0) - circuit.stroke_mm(2.0)
    air = Sandbag::Hydraulics::VolumeBudget.air_taken_ml(circuit.reserve_air_ml, 2.0)
    (1 + (worn * circuit.master.area_mm2 / 1000 - air) / gap).round(6)
  end

  both_sides "Hydraulics::LeverCurve::STEPS", 1 => 49 do |_|
    Sandbag::Circuit::Summary.new(found, today: Date.new(2026, 3, 14)).to_h[:curve].size
  end

  describe "a fastener" do
    both_sides "Fastening::TorqueRange::TOLERANCE", 8.99 => "under", 9.01 => "in", 10.99 => "in",
      11.01 => "over" do |torque|
      Sandbag::Fastening::TorqueRange.service([10.0]).judge(torque)
    end

    both_sides "Fastening::TorqueRange::LOWEST_SHARE", 50.0 => true, 50.1 => false, 9.9 => false do |scale|
      Sandbag::Fastening::TorqueRange.service([10.0]).unfit(scale).nil?
    end
  end

  describe "fluid" do
    def bottle(today, clutch: false, **given)
      item = Sandbag::Shelf::Item.new(id: "b", kind: "bottle", name: "B", fields: {"fluid" => "dot4"},
        opened_on: "2026-01-10", **given)
      Sandbag::Fluid::Bottle.new(item, Date.iso8601(today), clutch: clutch).refusal
    end

    both_sides "Fluid::Bottle::BRAKE_MONTHS", "2026-04-10" => nil,
      "2026-04-11" => "open since 2026-01-10, over 3 months" do |today|
      bottle(today)
    end

    both_sides "Fluid::Bottle::DISCARD_MONTHS", "2027-01-10" => nil,
      "2027-01-11" => "open since 2026-01-10, over 12 months: throw it away" do |today|
      bottle(today, clutch: true)
    end

    it "is thrown away the day after twelve months, which a brake's bottle passes by being too old" do
      expect([bottle("2027-01-10"), bottle("2027-01-11")]).to match [/over 3 months\z/, /throw it away\z/]
      expect(bottle("2026-04-11", clutch: true)).to be_nil
    end

    both_sides "Fluid::ChangeDue::HARD_MONTHS", [24, "road"] => 24, [24, "hire"] => 12, [11, "hire"] => 11,
      [nil, "hire"] => 12 do |months, use|
      Sandbag::Fluid::ChangeDue.most_months(months, use)
    end

    def due(percent)
      water = {percent: percent, source: "measured"}
      Sandbag::Fluid::ChangeDue.new(found.set("fluid", "changed_on", "2026-03-01", "measured"),
        today: Date.new(2026, 3, 14), water: water).dates.first
    end

    it "is due for its water on the day that it reaches 2 %" do
      expect([due(2.0), due(1.9)].map { |date| date.values_at(:by, :on).map(&:to_s) })
        .to match [%w[reading 2026-03-14], ["reading", a_string_matching(/2026-0[3-6]/)]]
      expect(due(1.9)[:on]).to be > Date.new(2026, 3, 14)
    end

    it "takes so many days to it as its rate says: 1 % at its own rate a year" do
      rate = Sandbag::Fluid::WaterEstimate.rate(found)
      expect(due(1.0)[:on]).to eq Date.new(2026, 3, 14) + (365.25 / rate).floor
    end

    it "is never estimated wetter than 6 %, from half to half as much again, and twice as fast in the damp" do
      estimate = Sandbag::Fluid::WaterEstimate
      rate = estimate.rate(found)
      expect(estimate.of(found, 5.9 / rate)[:percent]).to be_within(1e-9).of(5.9)
      expect(estimate.of(found, 6.1 / rate)).to eq(percent: 6.0, low: 3.0, high: 9.0)
      expect(estimate.rate(found.set("fluid", "storage", "damp", "measured"))).to be_within(1e-9).of(2 * rate)
    end

    it "boils as the formula says between dry and wet, and the curve goes to 6 %" do
      dot4 = Sandbag::Tables.find("fluids", "dot4")
      curve = Sandbag::Fluid::BoilingPoint
      expect([0, 3.7].map { |water| curve.c(dot4, water).round(6) }).to eq [230.0, 155.0]
      expect(curve.c(dot4,
        1.85)).to be_within(0.01).of(155 + 75 * (Math.exp(-0.8325) - Math.exp(-1.665)) / (1 - Math.exp(-1.665)))
      expect(curve.curve(dot4).last[:water]).to eq 6.0
      expect(curve::WATER_C).to eq 100
    end

    # Water under 1 MPa boils at 183 °C by this (184 in the tables).
    both_sides "Fluid::BoilingPoint::KELVIN", "Fluid::BoilingPoint::GAS", "Fluid::BoilingPoint::VAPORISING",
      0.0 => [100.0, 155.0], 1.0 => [183.0, 267.9] do |mpa|
      [100.0, 155.0].map { |celsius| Sandbag::Fluid::BoilingPoint.under_c(celsius, mpa).round(1) }
    end

    # Beyond the table it goes on as between its last two points.
    both_sides "Fluid::WaterEstimate::MOST_PERCENT", "Fluid::WaterEstimate::BAND", "Fluid::WaterEstimate::DAMP",
      "Fluid::BoilingPoint::FALL", "Fluid::BoilingPoint::WET_PERCENT", "Fluid::BoilingPoint::WATER_C",
      "Fluid::Age::DAYS_A_YEAR", 40 => 0.5, 50 => 0.354, 60 => 0.25, -30 => 14.03 do |celsius|
      of = ->(degrees) { Sandbag::Fluid::FlowingFluid.of("glycol", celsius: degrees).viscosity_pa_s }
      (of[celsius] / of[20]).round((celsius < 0) ? 2 : 3)
    end
  end
end
