# frozen_string_literal: true

require "date"

RSpec.describe "Limits of bubbles, files and lists" do
  let(:found) { sheet(twin_disc_plain) }
  let(:glycol) { Sandbag::Fluid::FlowingFluid.of("glycol") }

  both_sides "Hydraulics::Bubble::ARREST", 3.378 => true, 3.40 => false do |bore|
    Sandbag::Hydraulics::Bubble.new(bore, glycol).arrested?
  end

  # Under an Eötvös number of 6 it is uncertain; a slope is at most half as quick again as an upright line.
  both_sides "Hydraulics::Bubble::SURE", "Hydraulics::Bubble::FILM_FIRST", "Hydraulics::Bubble::FILM_SECOND",
    4.51 => [true, 5.87], 4.53 => [false, 6.05] do |bore|
    bubble = Sandbag::Hydraulics::Bubble.new(bore, glycol)
    [bubble.uncertain?, bubble.drift_mm_s.round(2)]
  end

  both_sides "Hydraulics::Bubble::STEEPEST", "Hydraulics::Bubble::WEBER",
    0.44 => 1.41, 0.45 => 1.43, 0.6 => 1.5 do |slope|
    tilted, upright = [slope, 1.0].map { |sine| Sandbag::Hydraulics::Bubble.new(4.8, glycol, slope: sine).drift_mm_s }
    (tilted / upright).round(2)
  end

  # Warm glycol through a metre of 6 mm: as fast as by friction and kinetic head alone, or slower.
  both_sides "Hydraulics::Flow::TURBULENT", "Hydraulics::Flow::ENTRY_AND_EXIT",
    0.027 => true, 0.031 => false do |mpa|
    warm = Sandbag::Fluid::FlowingFluid.of("glycol", celsius: 40)
    line = [Sandbag::Hydraulics::Flow::Segment.new(1000, 6.0)]
    flow = Sandbag::Hydraulics::Flow.ml_s(mpa, line, warm)
    speed = flow * 1e-6 / (Math::PI * 0.006**2 / 4)
    friction = Sandbag::Hydraulics::Flow.resistance_mpa_s_ml(line, warm) * flow
    (friction + 1050 * speed**2 * 1e-6 - mpa).abs < 1e-9
  end

  both_sides "Wording::MINUTES_FROM_S", 119 => "119 s", 120 => "2 min", 121 => "3 min" do |seconds|
    Sandbag::Wording.duration(seconds)
  end

  # A slug runs at 1.2 of the mean flow, less its own rise: in 6 mm it rises at 31.9 mm/s.
  both_sides "Hydraulics::Bubble::NOSE", "Airway::Plan::LOSS", 26.0 => "stalls", 27.0 => "comes_back" do |flow_mm_s|
    points = [500.0, 0.0].map { |height| Sandbag::Airway::HeightProfile::Point.new(at_mm: 500 - height, height_mm: height) }
    leg = Sandbag::Airway::HeightProfile::Leg.new(from: points.first, to: points.last, bore_mm: 6.0)
    flow_ml_s = flow_mm_s * Math::PI * 9 / 1000
    drive = Struct.new(:flow_ml_s, :go_ml, :back_ml, :pause_s) { def flows? = true }.new(flow_ml_s, flow_ml_s, 0.0, 2.0)
    Sandbag::Airway::Carriage.new(leg, drive, glycol, reverse: false, spent_ml: 0.0).state
  end

  # 500 mm upright, at 0.139 mm/s or a little less: within the hour, or not.
  both_sides "Airway::Carriage::LONGEST_S", 0.1 => "rises", 1.0 => "rises", 3100.0 => "stays" do |onward_s|
    points = [500.0, 0.0].map { |height| Sandbag::Airway::HeightProfile::Point.new(at_mm: 500 - height, height_mm: height) }
    leg = Sandbag::Airway::HeightProfile::Leg.new(from: points.first, to: points.last, bore_mm: 4.0)
    drive = Struct.new(:flow_ml_s, :go_ml, :back_ml, :pause_s) { def flows? = false }.new(0.0, 0.0, 0.0, 0.0)
    Sandbag::Airway::Carriage.new(leg, drive, glycol, reverse: false, spent_ml: 0.0, onward_s: onward_s).state
  end

  # A slug that 42 strokes take past a loop of 5.5 mm, where 32 are planned, goes with twice as many; 163 of 5.6 mm not.
  both_sides "Airway::Way::LONGER", 5.5 => true, 5.6 => false do |bore|
    plain = Sandbag::Circuit::Template.sheet("road_front_single").set("fluid", "stamped", "dot4", "part_marking")
    line = plain.parts_of("line").first["id"]
    looped = plain.change(line, "bore", bore, "measured").change(line, "high_spot", 1150, "measured")
    way = Sandbag::Airway::Way.all(looped).first
    method = Sandbag::Tables.find("bleed_methods", "hold_cycle")
    Sandbag::Airway::MethodVerdict.new(way, method).changes.include?("longer")
  end

  it "plans strokes as the master sweeps them, with none lost" do
    plan = Sandbag::Airway::Plan.new(found, opened: false)
    expect(plan.stroke_ml).to eq twin_disc.volume_per_stroke_ml
  end

  # What a sound lever answers counts four times as often as anything else.
  both_sides "Ask::NextTest::ORDINARY", 1 => 0.571 do |_|
    row = {"id" => "level", "values" => {"ok_stable" => "", "low" => "", "high" => "", "none" => ""},
           "ordinary" => "ok_stable"}
    diagnosis = Sandbag::Ask::Diagnosis.new(Sandbag::Ask::Findings.new({}), {"side" => "brake", "abs" => "none"})
    allow(Sandbag::Ask::Matrix).to receive(:steps).and_return(Hash.new(0))
    Sandbag::Ask::NextTest.new(diagnosis, []).send(:likelihoods, row, "AL")["ok_stable"].round(3)
  end

  both_sides "Bleed::Rounds::MOST", 2 => false, 3 => true do |count|
    rounds = Array.new(count) do |place|
      Sandbag::Job::Entry.new(id: "r#{place}", stage: "bleed", kind: "round", data: {"lever" => "spongy"},
        at: "2026-03-14T09:00:00Z", by: "spec", position: place + 1)
    end
    Sandbag::Bleed::Rounds.new(Sandbag::Job::Journal.new(rounds), Sandbag::Tables.ids("findings")).back_to_ask?
  end

  both_sides "Choose::NippleMatch::SAME_MM", "M8.25" => true, "M8.26" => false, "M7.74" => false do |thread|
    Sandbag::Choose::NippleMatch.objections({"thread" => thread}, found).first.nil?
  end

  both_sides "Choose::ToolSizes::SMALL_NM", 11.9 => true, 12.0 => false do |aim|
    Sandbag::Choose::ToolSizes.new(found, [aim]).of("torque_wrench")[:said].include?("1/4 in drive")
  end

  both_sides "Choose::FluidChoice::COLD_C", "dot4" => "120 mm²/s at −20 °C", "dot5" => "110 mm²/s at −20 °C" do |fluid|
    Sandbag::Choose::FluidChoice.judged(fluid, abs: false, cold: true).find { |row| row[:id] == fluid }[:cold][
      /\d+ mm²\/s at −20 °C/
    ]
  end

  # an intake of 15 min
  both_sides "Ask::Minutes::FIRST_TIME", [] => 15, ["first_time"] => 23 do |pace|
    minutes = Sandbag::Ask::Minutes.new(Sandbag::Job::Route.find("flush"), "road", pace: pace)
    minutes.of(Sandbag::Tables.find("step_minutes", "intake"))
  end

  both_sides "Measure::InnerComparison::EPSILON_MM", 50.2 => [], 50.201 => ["length"] do |new_mm|
    row = Sandbag::Tables.find("inner_comparisons", "piston")
    Sandbag::Measure::InnerComparison::Line.new(row: row, figures: {"length" => {"old" => 50.0, "new" => new_mm}}).apart
  end

  both_sides "Choose::LeverCurves::MOST", 4 => false, 5 => true do |count|
    options = Array.new(count) { |place| Sandbag::Choose::Option.new(found, changes: [["master", "bore", 14 + place]]) }
    refused? { Sandbag::Choose::LeverCurves.of(options) }
  end

  both_sides "Choose::LeverCurves::BEYOND", 1 => 1.3 do |_|
    option = Sandbag::Choose::Option.new(found)
    shown = Sandbag::Choose::LeverCurves.of([option]).first[:normal].last[:force_n]
    (shown / twin_disc.finger_force_n(option.pressure_mpa)).round(6)
  end

  both_sides "Choose::Candidate::NO_ROOM", 20.0 => false, 71.0 => true do |safe_gap|
    lever = changed(twin_disc_plain, "lever", safe_gap: safe_gap)
    circuit = Sandbag::Circuit::Assembly.build(lever)
    Sandbag::Choose::Candidate.new(circuit, bore_mm: 19, push_offset_mm: 20).at(3.0)[:reserve_travel_share] > 20
  end

  both_sides "Planner::DayPlan::MOST_BENCHES", 8 => false, 9 => true, 0 => true do |benches|
    refused? { Sandbag::Planner::DayPlan.new([], benches: benches, minutes: 60) }
  end

  it "gives work to the bench that has the fluid on it, then to a clean one, then to the one that was free last" do
    piece = ->(minutes) { Sandbag::Planner::Work::Piece.new(label: "work", minutes: minutes, wait: 0, at: nil) }
    work = ->(id, minutes, family) { Sandbag::Planner::Work.new(id: id, pieces: [piece[minutes]], family: family) }
    plan = Sandbag::Planner::DayPlan.new([work["g", 10, "glycol"], work["m", 10, "mineral"], work["g2", 30, "glycol"],
      work["m2", 30, "mineral"]], benches: 2, minutes: 60)
    on = plan.slots.to_h { |slot| [slot.work.id, slot.bench] }
    expect([on["g"] == on["g2"], on["m"] == on["m2"], on["g"] == on["m"]]).to eq [true, true, false]
  end

  both_sides "Job::People::MOST", 60 => false, 61 => true do |count|
    list = Array.new(count) { |number| {"name" => "A. #{("a".."zz").to_a[number]}tarn", "role" => "mechanic"} }
    refused? { Sandbag::Job::People.new(list) }
  end

  both_sides "Strip::Stage::MOST", 20 => false, 21 => true do |count|
    job = JobInMemory.new(found.set("master", "bore", 19, "part_marking"))
    job.answer_stops
    job.add("ask", "route", {"route" => "reseal_mc"})
    refused? { job.add("strip", "counted", {"part" => "lid_screw", "count" => count}) }
  end

  describe "a gauge's file" do
    # A pull that meets the pads at a third of its travel.
    def file(rows, time: nil, force: ->(share) { 100 * share**2 })
      lines = (0...rows).map do |row|
        share = row.fdiv([rows - 1, 1].max)
        [time && (time * share).round(3), force[share].round(3), (30 * share).round(3)].compact.join(",")
      end
      "#{"time_s," if time}force_n,travel_mm\n#{lines.join("\n")}\n"
    end

    def curve(...) = Sandbag::Feel::GaugeCurve.new(file(...))

    both_sides "Feel::GaugeFile::LEAST_ROWS", 3 => true, 4 => false do |rows|
      refused? { Sandbag::Feel::GaugeFile.new(file(rows)) }
    end

    both_sides "Feel::GaugeFile::MOST_ROWS", 250_000 => false, 250_001 => true do |rows|
      refused? { Sandbag::Feel::GaugeFile.new("force_n,travel_mm\n#{"1,1\n" * rows}") }
    end

    both_sides "Feel::GaugeCurve::KEPT", 8 => 7, 4000 => 12 do |rows|
      curve(rows).readings.size
    end

    both_sides "Feel::GaugeCurve::STEADY_SHARE", 0.10 => true, 0.11 => false do |share|
      curve(30, time: 60, force: ->(at) { 100 * (1 - share * at) }).steady?
    end

    both_sides "Feel::GaugeCurve::KEPT_TIMES", 24 => 24, 48 => 24, 49 => 17 do |rows|
      curve(rows, time: 60, force: ->(_) { 100.0 }).to_h[:hold][:times_s].size
    end

    # A pull whose first tenth only takes up slack, as a file of so many rows has it: dropped where it is long enough to
    # be told from noise.
    both_sides "Feel::GaugeCurve::SLACK_ROWS", "Feel::GaugeCurve::SLACK_SHARE", "Feel::GaugeCurve::SLACK_SCATTER",
      "Feel::GaugeCurve::BENT_ROWS", 140 => false, 400 => true do |rows|
      force = lambda do |share|
        next 2.5 if share.zero?
        3 + 0.1 * Math.sin(997 * share) + ((share < 0.3) ? 0 : 120 * (share - 0.3)**2)
      end
      taken = curve(rows, force: force).readings
      taken.first[:travel_mm] > 7
    end
  end

  describe "a lever that was last good" do
    def fitted(before: nil)
      forces = [6, 8, 10, 14, 20, 35, 60, 90, 120]
      readings = forces.map do |force|
        pressure = twin_disc.pressure_mpa(force)
        Sandbag::Feel::Reading.new(id: force.to_s, force_n: force.to_f,
          travel_mm: twin_disc.travel_mm(pressure, air_ml: 0.1))
      end
      Sandbag::Feel::LeverFit.new(twin_disc, readings, baseline: before)
    end

    it "may have drifted by 5 % of the gap and of its stiffness" do
      plain = fitted.to_h.transform_keys(&:to_s)
      baseline = Sandbag::Feel::Baseline.new(plain, twin_disc, "2026-01-01")
      gap, stiffness = 0.05 * twin_disc.budget.gap_ml, 0.05 * plain["stiffness_ml_mpa"]
      read = plain["covariance"]
      expect(baseline.covariance[0, 0]).to be_within(1e-12).of(read[0][0] + gap**2)
      expect(baseline.covariance[1, 1]).to be_within(1e-12).of(read[1][1] + stiffness**2)
    end

    # Dead travel and stiffness off by so much of the drift, each: χ² of two, 1 %.
    both_sides "Feel::Baseline::CONTRADICTS", "Feel::Baseline::GAP_SHARE", "Feel::Baseline::STIFFNESS_SHARE",
      3.02 => false, 3.05 => true do |times|
      plain = fitted.to_h.transform_keys(&:to_s)
      sharp = plain.merge("covariance" => [[0.0] * 3] * 3, "dead_volume_ml" => plain["dead_volume_ml"] +
        times * 0.05 * twin_disc.budget.gap_ml)
      fit = Struct.new(:free, :covariance).new([plain["dead_volume_ml"], plain["stiffness_ml_mpa"]], Matrix.zero(3))
      Sandbag::Feel::Baseline.new(sharp, twin_disc, "2026-01-01").contradicts?(fit)
    end

    both_sides "Feel::Expected::SAME", 19.09 => [], 18.91 => [], 19.1 => ["Larger bore"],
      18.9 => ["Smaller bore"] do |bore|
      job = JobInMemory.new(found)
      now = circuit(twin_disc_plain).worked_by(master: twin_disc.master.with(bore_mm: bore), lever: twin_disc.lever)
      Sandbag::Feel::Expected.new(job.state, twin_disc, now).to_a.map { |row| row[:label].slice(/\A(Larger|Smaller) bore/) }
    end

    # Read to 0.15 mm, a minute's pull: how sure a rate can be at best.
    both_sides "Feel::Student::NORMAL", 1 => 12.706, 1e9 => 1.96 do |degrees|
      Sandbag::Feel::Student.quantile(degrees).round(3)
    end

    both_sides "Feel::HoldSeries::READ_TO_MM", 0.0 => "holds", 0.9 => "cant_tell" do |minute_mm|
      times = [0, 10, 20, 40, 60].map(&:to_f)
      Sandbag::Feel::HoldSeries.new(times, times.map { |time| 20 + minute_mm * time / 60 }).id
    end
  end
end
