# frozen_string_literal: true

require "date"

RSpec.describe "Limits of Feel" do
  let(:found) { sheet(twin_disc_plain) }

  describe "a lever by hand" do
    let(:hand) { circuit(twin_disc_plain) }

    both_sides "Feel::Springiness::LIGHT_SHARE", "twin disc" => 20.0, "bicycle" => 8.0 do |name|
      Sandbag::Feel::Springiness.light_n(circuit((name == "bicycle") ? bicycle_plain : twin_disc_plain)).round(1)
    end

    # Air of a way from one pull to the other, and what each doubt moves it by, worked out here.
    def air(light: 20.0, firm: 100.0, stiffness: 1.0, travel: 10.0)
      low, high = [light, firm].map { |force| hand.pressure_mpa(force) }
      taken = high / (high + 0.101325) - low / (low + 0.101325)
      (travel / hand.travel_of_volume_mm(1.0) - stiffness * hand.budget.stiffness_ml_mpa * (high - low)) / taken
    end

    def reach(side)
      doubts = [{light: 12.0}, {light: 28.0}, {firm: 60.0}, {firm: 140.0}, {stiffness: 0.5}, {stiffness: 1.5},
        {travel: 10 + 2 * Math.sqrt(2) * 0.2}, {travel: 10 - 2 * Math.sqrt(2) * 0.2}]
      moved = doubts.map { |doubt| air(**doubt) - air }.select { |off| (side == "low") ? off.negative? : off.positive? }
      sum = Math.sqrt(moved.sum { |off| off**2 })
      (side == "low") ? air - sum : air + sum
    end

    both_sides "Feel::Springiness::FORCE", "Feel::Springiness::READINGS", "low" => true, "high" => true do |side|
      found = Sandbag::Feel::Springiness.new(hand, light_mm: 15.0, firm_mm: 25.0, error_mm: 0.2, reference_mpa: 2.5)
        .interval_ml.public_send((side == "low") ? :first : :last)
      (found - reach(side)).abs < 1e-6
    end

    both_sides "Feel::ByHand::TRAVEL_LEAST", "Feel::ByHand::TRAVEL_MOST", 14.3 => false, 14.5 => true, 43.1 => true,
      43.3 => false do |firm|
      job = JobInMemory.new(found).bled
      job.add("feel", "squeeze", {"light" => firm - 3, "firm" => firm, "gap" => 72})
      job.state.feel.hand.items.find { |item| item.id == "travel" }.good
    end

    both_sides "Feel::Hung::MOST_PIECES", 1.5 => true, 2.0 => false do |mass|
      hung = Sandbag::Feel::Hung.new([0.5] * 4, hand, 90.0)
      !hung.load(mass * 9.80665).nil?
    end

    both_sides "Feel::FreeFit::KNOWN_DEGREES", nil => 4, 0.5 => 24 do |step|
      readings = [8, 12, 18, 25, 45, 70, 100].map do |force|
        Sandbag::Feel::Reading.new(id: force.to_s, force_n: force.to_f, step_mm: step,
          travel_mm: hand.travel_mm(hand.pressure_mpa(force)))
      end
      Sandbag::Feel::LeverFit.new(hand, readings).degrees
    end
  end

  describe "a verdict" do
    # A fit whose air costs a millimetre a millilitre.
    fit = Struct.new(:air_ml, :air_error_ml, :low_ml, :high_ml, :stiffness_ml_mpa, :low_readings, :low_wanted,
      :readings, keyword_init: true) do
      def air_cost_mm(_pressure, air) = air
    end

    define_method(:verdict) do |plain = twin_disc_plain, low: 0.1, high: 0.2, air: low, stiffness: 0.1, readings: 3|
      Sandbag::Feel::Verdict.new(fit.new(air_ml: air, air_error_ml: 0.1, low_ml: low, high_ml: high,
        stiffness_ml_mpa: stiffness, low_readings: readings, low_wanted: 3, readings: []), circuit(plain), 3.0)
    end

    both_sides "Feel::Verdict::PASS_MM", 1.49 => "pass", 1.5 => "marginal" do |high|
      verdict(high: high).id
    end

    both_sides "Feel::Verdict::AGAIN_MM", 3.0 => "marginal", 3.01 => "bleed_again" do |air|
      verdict(air: air, low: 2.0, high: 3.5).id
    end

    it "is never marginal over the upper limit: bleed again, or can't tell where the interval reaches a pass" do
      expect([1.5, 1.49].map { |low| verdict(air: 3.01, low: low, high: 5.0).id }).to eq %w[bleed_again cant_tell]
    end

    it "halves both on a bicycle" do
      expect([0.74, 0.75].map { |high| verdict(bicycle_plain, high: high).id }).to eq %w[pass marginal]
      expect([1.5, 1.51].map { |low| verdict(bicycle_plain, low: low, high: 2.0).id }).to eq %w[marginal bleed_again]
    end

    it "can't tell where the interval spans both limits, or too few readings are light" do
      expect([1.49, 1.5].map { |low| verdict(low: low, high: 3.01).id }).to eq %w[cant_tell marginal]
      expect([2, 3].map { |readings| verdict(readings: readings).id }).to eq %w[cant_tell pass]
    end

    both_sides "Feel::Verdict::SOFT", 1.49 => nil, 1.51 => "by more than 50 %" do |times|
      verdict(stiffness: times * twin_disc.budget.stiffness_ml_mpa).soft_says&.slice(/by more than \d+ %/)
    end

    both_sides "Feel::NextReading::MOST", 23 => false, 24 => true do |count|
      taken = Struct.new(:readings, :circuit).new([nil] * count, twin_disc)
      Sandbag::Feel::NextReading.new(taken, Struct.new(:id).new("marginal"), 100.0).enough?
    end
  end

  describe "a fit" do
    forces = [6, 8, 10, 14, 20, 35, 60, 90, 120]

    # Readings of a lever that has this much air, and of whose seals this share gives.
    def readings(forces, air_ml: 0.4, give: 0.0)
      forces.map do |force|
        pressure = twin_disc.pressure_mpa(force)
        more = give * twin_disc.budget.gap_ml * (1 - Math.exp(-pressure / 0.1))
        travel = twin_disc.travel_mm(pressure, air_ml: air_ml) + twin_disc.travel_of_volume_mm(more)
        Sandbag::Feel::Reading.new(id: force.to_s, force_n: force.to_f, travel_mm: travel)
      end
    end

    define_method(:fitted) { |**given| Sandbag::Feel::LeverFit.new(twin_disc, readings(forces, **given)) }

    it "lets the air be less by what seals give of 4 % of the gap, to 0.1 MPa, and no more for it" do
      fit = fitted
      below, above = fit.free[2] - fit.low_ml, fit.high_ml - fit.free[2]
      given = fitted(give: 0.04).free[2] - fit.free[2]
      expect(given).to be > 0.005
      expect(below - above).to be_within(0.03 * given).of(given)
    end

    both_sides "Feel::LeverFit::LOW_MPA", "Feel::Doubt::GIVE_SHARE", "Feel::Doubt::GIVE_MPA", 0.499 => 1,
      0.501 => 0 do |mpa|
      light = twin_disc.finger_force_n(mpa)
      taken = readings([light, 60, 70, 80, 90, 100])
      Sandbag::Feel::LeverFit.new(twin_disc, taken).low_readings
    end

    both_sides "Feel::LeverFit::LOW_READINGS", nil => 3 do |baseline|
      Sandbag::Feel::LeverFit.new(twin_disc, readings(forces), baseline: baseline).low_wanted
    end

    it "doubts the efficiency by 4.4 % and the spring's preload by 22 %" do
      expect(Sandbag::Feel::Doubt.new(twin_disc).errors).to eq [0.044, 0.22]
      expect(Sandbag::Feel::Doubt.new(twin_disc, preload_known: true).errors).to eq [0.044]
    end

    both_sides "Feel::PlainFit::READABLE_MM", "Feel::PlainFit::OUTLIER", "Feel::Doubt::PRELOAD", "Feel::Doubt::EFFICIENCY",
      0.3 => 0, 3.0 => 1 do |off_mm|
      taken = readings(forces)
      taken[4].travel_mm += off_mm
      Sandbag::Feel::PlainFit.new(twin_disc, taken).outliers.size
    end

    it "marks a reading over three typical residuals away, and none under it" do
      judged = (20..80).map do |off|
        taken = readings(forces)
        taken.each_with_index { |reading, at| reading.travel_mm += 0.6 * (at.even? ? 1 : -1) }
        taken[4].travel_mm += off / 20.0
        fit = Sandbag::Feel::PlainFit.new(twin_disc, taken)
        sizes = fit.residuals_mm.map(&:abs).sort
        [sizes.last / sizes[sizes.size / 2], fit.outliers.any?]
      end
      marked, left = judged.partition(&:last).map { |each| each.map(&:first) }
      expect(left.max).to be_between(2.9, 3.0)
      expect(marked.min).to be_between(3.0, 3.1)
    end

    # A firm pull, and the lightest one.
    asked = lambda do |found, circuit, pick, apart|
      report = ->(taken) { Sandbag::Feel::LeverReport.new(found, circuit, taken).to_h[:suggested_n] }
      wanted = report.call([]).public_send(pick)
      read = Sandbag::Feel::Reading.new(id: "r", force_n: wanted + apart.call(wanted), travel_mm: 15.0)
      report.call([[read, false]]).include?(wanted)
    end

    both_sides "Feel::LeverReport::SAME_N", 1.49 => false, 1.51 => true do |apart|
      asked.call(found, twin_disc, :last, ->(_) { apart })
    end

    both_sides "Feel::LeverReport::SAME_SHARE", 0.14 => false, 0.16 => true do |share|
      asked.call(found, twin_disc, :first, ->(wanted) { share * wanted })
    end
  end

  describe "a hold and a pump" do
    let(:control) { found.kind.control }

    both_sides "Feel::HoldCheck::CREEP_LIMIT_MM", 2.0 => true, 2.01 => false do |creep|
      Sandbag::Feel::HoldCheck.of(creep, control)[:pass]
    end

    both_sides "Feel::HoldSeries::LEAST", 3 => true, 4 => false do |count|
      refused? { Sandbag::Feel::HoldSeries.check(Array.new(count) { |place| 20.0 * place }, [10.0] * count) }
    end

    both_sides "Feel::HoldSeries::LEAST_S", 19.9 => true, 20.0 => false do |long|
      refused? { Sandbag::Feel::HoldSeries.check([0, 1, 2, long], [10.0] * 4) }
    end

    both_sides "Feel::HoldSeries::APART_S", 0.49 => true, 0.5 => false do |apart|
      refused? { Sandbag::Feel::HoldSeries.check([0, apart, 10, 30], [10.0] * 4) }
    end

    # A straight creep of so much in a minute, read for two.
    both_sides "Feel::HoldSeries::LIMIT_MM_S", "Feel::HoldSeries::MINUTE_S", "Feel::HoldCheck::SECONDS", 0.0 => "holds",
      3.0 => "sinks" do |minute_mm|
      times = (0..12).map { |place| 10.0 * place }
      Sandbag::Feel::HoldSeries.new(times, times.map { |time| 20 + minute_mm * time / 60 }).id
    end

    it "reckons creep over a minute, and the leak a minute" do
      times = (0..12).map { |place| 10.0 * place }
      series = Sandbag::Feel::HoldSeries.new(times, times.map { |time| 20 + 1.2 * time / 60 })
      expect(series.creep_mm).to be_within(1e-6).of(1.2)
      expect(series.leak_ml_min(twin_disc)).to be_within(1e-6).of(1.2 / twin_disc.travel_of_volume_mm(1.0))
    end

    both_sides "Feel::Pump::LEAST", 2 => true, 3 => false do |pulls|
      refused? { Sandbag::Feel::Pump.new([20.0] * pulls, nil, found.kind) }
    end

    both_sides "Feel::Pump::COMES_BACK", 12.9 => "clearance", 13.0 => "air" do |rest|
      Sandbag::Feel::Pump.new([16.0, 12.0, 10.0], rest, found.kind).id
    end

    it "gains by pumping over 3 mm, 5 on a bicycle" do
      bicycle = sheet(bicycle_plain).kind
      gains = ->(mm, kind) { Sandbag::Feel::Pump.new([10.0 + mm, 11.0, 10.0], nil, kind).id }
      expect([gains[3.0, found.kind], gains[3.01, found.kind], gains[5.0, bicycle], gains[5.01, bicycle]])
        .to eq %w[steady gains steady gains]
    end

    both_sides "Feel::ClutchLiftCheck::GAUGE_ERROR_MM", 1.949 => "bleed_again", 1.951 => "marginal" do |lift|
      Sandbag::Feel::ClutchLiftCheck.new(circuit(clutch_plain), lift).id
    end
  end

  describe "what changed, and how fast" do
    def trend(*values, error: 0.05)
      points = values.each_with_index.map do |value, month|
        Sandbag::Feel::Trend::Point.new(day: 2_460_000 + 30 * month, value: value, error: error, renewed: month.zero?)
      end
      Sandbag::Feel::Trend.new(points)
    end

    # Two readings 30 days apart, each ± 0.05: the rate's error is 0.05 √2 / 30.
    both_sides "Feel::Trend::SURE", 0.13 => false, 0.15 => true do |more|
      trend(0.1, 0.1 + more).known?
    end

    both_sides "Feel::Trend::LEAST_ERROR", 0.05 => false, 0.06 => true do |more|
      trend(0.1, 0.1 + more, error: 0.001).known?
    end

    both_sides "Feel::Trend::LIMIT", "Feel::Trend::FAR", 0.9 => 3, 0.5 => 30 do |newest|
      trend(0.0, newest).due.first.jd - (2_460_000 + 30)
    end

    it "puts what falls due no further off than ten years" do
      expect(trend(0.1, 0.101, error: 0.0001).due).to be_nil
      expect(trend(0.1, 0.1 + 0.06, error: 0.001).due.last.jd - 2_460_030).to eq 3650
    end

    def fit(air:, dead: 1.0, stiffness: 0.1, error: 0.05)
      {"air_ml" => air, "air_error_ml" => error, "dead_volume_ml" => dead, "stiffness_ml_mpa" => stiffness,
       "mm_per_ml" => 5.0, "covariance" => [[0.0025, 0, 0], [0, 0.000001, 0], [0, 0, 0.0025]]}
    end

    # Both ± 0.05: the difference is sure from 2 × 0.0707.
    both_sides "Feel::Changes::SURE", 0.14 => nil, 0.143 => "Air came out.", -0.143 => "More air than before." do |less|
      Sandbag::Feel::Changes.new(fit(air: 0.5), fit(air: 0.5 - less), nil).to_a.first[:says]
    end

    both_sides "Feel::Changes::SOFTER", 0.109 => nil,
      0.111 => "Softer than it was: hose, caliper or tapered pads." do |now|
      Sandbag::Feel::Changes.new(fit(air: 0.5), fit(air: 0.5, stiffness: now), nil).to_a.last[:says]
    end

    both_sides "Feel::Baseline::SAME", 1.02 => true, 1.021 => false do |times|
      plain = {"mm_per_ml" => twin_disc.travel_of_volume_mm(1.0) * times, "degrees" => 5, "scale" => 1.0,
               "expected_ml_mpa" => twin_disc.budget.stiffness_ml_mpa, "dead_volume_ml" => 1.0,
               "stiffness_ml_mpa" => 0.1}
      Sandbag::Feel::Baseline.new(plain, twin_disc, "2026-01-01").same_lever?
    end

    both_sides "Feel::Baseline::MOST_DEGREES", 7 => 7, 9 => 8 do |degrees|
      Sandbag::Feel::Baseline.new({"degrees" => degrees, "scale" => 1.0}, twin_disc, "2026-01-01").degrees
    end
  end
end
