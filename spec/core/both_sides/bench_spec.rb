# frozen_string_literal: true

RSpec.describe "Limits of the bench, Bleed and Fit" do
  let(:found) { sheet(twin_disc_plain) }
  let(:brake) { JobInMemory.new(found) }

  describe "what is gauged" do
    let(:places) { Sandbag::Tables.rows("gauge_places") }

    def gauging(**gauges)
      readings = {"bore.1.a" => ["bore", 19.06], "piston.1.a" => ["piston", 18.95]}.to_h do |place, (part, value)|
        gauge = {"uncertainty" => gauges.fetch(part.to_sym)}
        [place, Sandbag::Measure::Gauging::Reading.new(entry: place, place: place, value_mm: value, gauge: gauge)]
      end
      Sandbag::Measure::Gauging.new(readings, Sandbag::Cylinder::WearLimits.new(19.0, {}), places: places)
    end

    it "doubts a clearance by both gauges together, and each size by its own" do
      judgements = gauging(bore: 0.003, piston: 0.004).judgements.to_h { |each|
        [each.id, each.uncertainty_mm.round(9)]
      }
      expect(judgements).to eq("bore" => 0.003, "piston" => 0.004, "clearance" => 0.005)
    end

    both_sides "Measure::SpringLength::SHARE", 48.49 => "too_close", 48.0 => "renew", 49.0 => "reuse",
      52.0 => "renew" do |free|
      Sandbag::Measure::SpringLength.judge(free, 50.0).verdict
    end

    both_sides "Measure::Judgement::ARITHMETIC_MM", 0.011 => "too_close", 0.0111 => "renew", -0.011 => "too_close",
      -0.0111 => "reuse" do |beyond|
      Sandbag::Measure::Judgement.new("it", "It", 1.0 + beyond, 1.0, 0.011, most: true, source: "default").verdict
    end

    def gauged(value)
      job = JobInMemory.new(found.set("master", "bore", 19, "part_marking"))
      job.answer_stops
      job.add("ask", "route", {"route" => "reseal_mc"})
      job.add("measure", "gauge", {"place" => "bore.1.a", "value" => value, "gauge" => "bore_gauge"})
    end

    both_sides "Measure::Stage::FAR_MM", 19.5 => false, 19.51 => true, 18.49 => true do |value|
      refused? { gauged(value) }
    end
  end

  describe "a jar, a tool and a syringe" do
    def jar
      Sandbag::Bleed::JarSum.new(full_ml: 4.0)
    end

    both_sides "Bleed::JarSum::LEAST_STROKES", 2 => nil, 3 => 2.0 do |strokes|
      jar.read(6.0, strokes).stroke_ml
    end

    both_sides "Bleed::JarSum::LEAST_SHARE", 12.0 => [1.2, false], 11.0 => [1.2, true], 40.0 => [4.0, false],
      41.0 => [4.0, true] do |held|
      jar.read(held, 10).then { |read| [read.stroke_ml, read.bound] }
    end

    both_sides "Bleed::JarSum::READ_TO_ML", 5 => 0.2, 10 => 0.1 do |strokes|
      jar.read(2.0 * strokes, strokes).error_ml
    end

    # Strokes offered at once from a filled reservoir of so many mL.
    def at_once(usable_ml)
      kart = Sandbag::Circuit::Template.filled("kart_rear")
      job = JobInMemory.new(kart.set("reservoir", "usable", usable_ml, "measured"), careful: false)
      job.ready_to_bleed("bleed")
      job.choose_what_is_wanted
      job.add("bleed", "method", {"method" => "check_valve"})
      job.look_before_fluid
      %w[screw_in open_flow first_press].each { |beat| job.add("bleed", "beat", {"beat" => beat}) }
      [job.state.bleed.count.reservoir.strokes_to_top_up, job.view("bleed")[:now].first[:all][:looks].size]
    end

    both_sides "Bleed::Now::MOST_IN_A_ROW", 40 => [4, 4], 45 => [5, 5], 56 => [6, 5] do |usable_ml|
      at_once(usable_ml)
    end

    def tight?(first, after)
      entry = Sandbag::Job::Entry.new(id: "t", stage: "bleed", kind: "tool_tight",
        data: {"first" => first, "after" => after}, at: "2026-03-14T09:00:00Z", by: "spec", position: 1)
      Sandbag::Bleed::Checks.new(Sandbag::Job::Entries.new([entry]), {"checks" => [], "tight" => true}, found,
        followed: {}, moved: nil).tight?
    end

    both_sides "Bleed::Checks::LEAST_MPA", "Bleed::Checks::HOLDS_SHARE", [0.03, 0.03] => true, [0.029, 0.029] => false,
      [0.05, 0.045] => true, [0.05, 0.0449] => false do |first, after|
      tight?(first, after)
    end

    both_sides "Bleed::Supply::LEFT_IN_ML", 30 => 28.0, 12 => 10.0 do |ml|
      method = {"drive" => {"by" => "syringe", "ml" => ml}, "both" => true, "reverse" => true}
      Sandbag::Bleed::Supply.new(method, nil).ml
    end
  end

  describe "what is fitted" do
    def run(length, bend: nil)
      Sandbag::Fit::HoseRun.new(length_mm: length, paths: {"straight" => 700.0}, outside_mm: 10.0, kind: "braided",
        bend_mm: bend)
    end

    both_sides "Fit::HoseRun::ALLOWANCE_MM", "Fit::HoseRun::SPARE_MM", 714 => "short", 715 => "fine", 775 => "fine",
      776 => "long" do |length|
      run(length).verdict
    end

    it "is bent no tighter than its kind bears" do
      least = run(800).least_bend_mm
      expect([least - 0.1, least].map { |bend| run(800, bend: bend).bend_fine? }).to eq [false, true]
    end

    def ohms(state, **data)
      entry = Sandbag::Job::Entry.new(id: "o", stage: "fit", kind: "ohms",
        data: {"state" => state, **data.transform_keys(&:to_s)}, at: "2026-03-14T09:00:00Z", by: "spec", position: 1)
      scope = Sandbag::Fit::Scope.new(found, Sandbag::Job::Route.find("switch_only"))
      Sandbag::Fit::Electrics.new(scope, Sandbag::Job::Entries.new([entry]), switch: true).good?(state)
    end

    both_sides "Fit::Electrics::CLOSED_OHMS", 1.0 => true, 1.01 => false do |value|
      ohms("pulled", ohms: value)
    end

    both_sides "Fit::Electrics::OPEN_OHMS", 999_999.0 => false, 1_000_001.0 => true do |value|
      ohms("rest", ohms: value)
    end
  end
end
