# frozen_string_literal: true

RSpec.describe Sandbag::Fit::Stage do
  # A reseal of a radial master, built and waiting to go back on the bar.
  def built(circuit = changed(twin_disc_plain, "master", construction: "bar_radial"))
    JobInMemory.new(circuit).laid_out.set_up.strip_all.passed.build_all
  end

  def template(id, route)
    JobInMemory.new(Sandbag::Circuit::Template.sheet(id)).tap do |job|
      job.answer_stops
      job.add("ask", "route", {"route" => route})
    end
  end

  def fit(job)
    job.state.fit
  end

  def refused(job, kind, data)
    problems { job.add("fit", kind, data) }.map { |each| Sandbag::Said.plain(each.message) }.first
  end

  def tried(job)
    job.add("fit", "step", {"step" => "dry_trial"})
    job
  end

  it "is a stage of every route that moves something, between Build and Bleed, and of no other" do
    Sandbag::Job::Route.all.each do |route|
      expect(route.stages.include?("fit")).to eq(route.moves.any?), route.id
    end
    expect(built.state.stages.keys).to eq %w[ask choose strip measure build fit bleed feel close]
  end

  describe "the dry trial" do
    it "comes before everything else, and nothing goes on before the cylinder is together" do
      job = JobInMemory.new(changed(twin_disc_plain, "master", construction: "bar_radial")).laid_out.set_up.strip_all
      expect(refused(job, "step", {"step" => "dry_trial"})).to include("under Measure").or include("under Build")
      job = built
      expect(refused(job, "free_play", {"at" => "tip", "value" => 3})).to include "the trial fit, dry, comes first"
      expect(refused(job, "step", {"step" => "clamp"})).to include "the trial fit, dry, comes first"
      tried(job)
      expect(job.add("fit", "free_play", {"at" => "tip", "value" => 3})).not_to be_nil
    end

    it "sends a clash back to Choose by its name, holds the rest, and is done again" do
      job = built
      job.add("fit", "clash", {"clash" => "banjo"})
      expect(job.state.waits_for).to eq "what goes on instead: banjo angle clashed at the dry trial"
      expect(job.view("choose")[:clash]).to include(label: "Banjo angle")
      expect(refused(job, "step", {"step" => "dry_trial"})).to include "settled under Choose"
      expect(problems { job.add("bleed", "stroke") }.first.message).to include "under Fit"
      expect(refusal_at { job.add("choose", "clash_solved", {"clash" => "bracket", "how" => "x"}) }).to eq [
        "data/clash"
      ]
      job.add("choose", "clash_solved", {"clash" => "banjo", "how" => "20 degree ends, as on the sister machine"})
      expect(job.view("choose")).not_to have_key(:clash)
      expect(refused(job, "free_play", {"at" => "tip", "value" => 3})).to include "the trial fit, dry, comes first"
      tried(job)
      expect(fit(job).sequence.step("before").id).to eq "clamp"
      job.add("fit", "clash", {"clash" => "connector"})
      expect(fit(job).sequence.step("before").id).to eq "dry_trial"
    end
  end

  describe "the torque list" do
    it "has every fastener once, in the order of tightening, the clamp, nipples and lid after the bleed" do
      lines = fit(built).torques.lines
      expect(lines.map(&:id)).to eq %w[clamp pivot_bolt pivot_nut banjo.master nipple.left_caliper
        nipple.right_caliper switch_screw lid_screw]
      expect(lines.select { |line| line.when == "after" }.map(&:id)).to eq %w[clamp nipple.left_caliper
        nipple.right_caliper lid_screw]
    end

    it "names no figure for a banjo bolt before it is known to be steel or alloy, and never the steel one for alloy" do
      job = tried(built)
      expect(fit(job).torques.line("banjo.master").range).to be_nil
      job.add("fit", "wrench", {"scale" => 40})
      expect(refused(job, "torque", {"fastener" => "banjo.master", "value" => 25})).to include "steel or alloy"
      master = job.state.sheet.id_of("master")
      job.add("fit", "fact", {"part" => master, "field" => "bolt_material", "value" => "alloy"})
      job.add("fit", "torque", {"fastener" => "banjo.master", "value" => 25})
      line = fit(job).torques.line("banjo.master")
      expect([line.verdict, line.done?]).to eq ["over", false]
      expect(line.due).to include "renew the bolt"
      shown = job.view("fit")[:torques].find { |each| each[:id] == "banjo.master" }
      expect(shown).to include(verdict: "over", over: a_string_including("renew the bolt"))
      job.add("fit", "torque", {"fastener" => "banjo.master", "value" => 15})
      shown = job.view("fit")[:torques].find { |each| each[:id] == "banjo.master" }
      expect(shown).not_to have_key(:over)
      expect(refusal_at { job.add("fit", "estimate", {"fastener" => "banjo.master"}) }).to eq ["data/fastener"]
    end

    it "takes no reading without a wrench, nor by one whose scale the figure is not in" do
      job = tried(built)
      reading = {"fastener" => "pivot_nut", "value" => 6}
      expect(refused(job, "torque", reading)).to eq "with which wrench?"
      job.add("fit", "wrench", {"scale" => 31})
      expect(refused(job, "torque", reading)).to include "under a fifth of a wrench that reads to 31 N·m"
      job.add("fit", "wrench", {"scale" => 5})
      expect(refused(job, "torque", reading)).to include "over the end"
      job.add("fit", "wrench", {"scale" => "20 Nm", "name" => "beam wrench"})
      job.add("fit", "torque", reading.merge("value" => "53 in-lb"))
      expect(fit(job).torques.line("pivot_nut")).to have_attributes(
        verdict: "in",
        wrench: include("name" => "beam wrench")
      )
    end

    it "puts the service figure before the default, and into the machine's record" do
      job = tried(built)
      job.add("fit", "figure", {"fastener" => "clamp", "from" => "11 Nm", "to" => "13 Nm"})
      line = fit(job).torques.line("clamp")
      expect(line.range).to have_attributes(from: 11, to: 13, source: "service_info")
      expect(job.state.sheet.value("master", "torque_clamp")).to eq [11, 13]
      expect(refused(job, "figure", {"fastener" => "clamp", "from" => 13, "to" => 11})).to include "holds nothing"
    end

    it "asks for caliper bolts only where they were loosened, and takes no tick before their service figure" do
      job = template("road_front_single", "friction_work")
      expect(fit(job).torques.lines).to be_empty
      job.add("fit", "loosened", {"fastener" => "caliper_bolt.caliper"})
      job.add("fit", "wrench", {"scale" => 60})
      bolts = {"fastener" => "caliper_bolt.caliper", "value" => 30}
      expect(refused(job, "torque", bolts)).to include "there is no default"
      job.add("fit", "loosened", {"fastener" => "wheel_axle"})
      expect(fit(job).torques.lines.map(&:id)).to eq %w[caliper_bolt.caliper wheel_axle]
      expect(refusal_at { job.add("fit", "loosened", {"fastener" => "wheel_axle"}) }).to eq ["data/fastener"]
      job.add("fit", "figure", {"fastener" => "caliper_bolt.caliper", "from" => 30})
      job.add("fit", "torque", {"fastener" => "caliper_bolt.caliper", "value" => 31})
      expect(fit(job).torques.line("caliper_bolt.caliper")).to be_done
    end

    it "holds a carbon bar to 5 N·m, asks what a bicycle's bar is made of, and says what more would mean" do
      job = template("bike_front", "renew_mc")
      job.choose_what_is_wanted("mineral")
      job.compare_all.set_up.strip_all
      line = -> { fit(job).torques.line("clamp") }
      expect([line[].asks, line[].range]).to eq ["bar", nil]
      lever = job.state.sheet.id_of("lever")
      job.add("fit", "fact", {"part" => lever, "field" => "bar", "value" => "carbon"})
      expect(line[].range).to have_attributes(to: 5, ceiling: 5)
      expect([line[].turns, line[].row["over"]]).to match [nil, a_string_including("not ridden")]
    end

    it "takes an estimate where the trade allows one, and asks the lead for it at release" do
      job = built.fit_all
      job.bleed_all
      job.felt
      expect(job.state.close.gates.map(&:id)).not_to include "estimate"
      job.undo("fit", fit(job).torques.line("nipple.left_caliper").reading.id)
      expect(job.open_gates).to include "torque"
      job.add("fit", "estimate", {"fastener" => "nipple.left_caliper"})
      expect(job.open_gates & %w[estimate torque]).to eq ["estimate"]
      job.closed
      expect(job.state).to be_signed
    end
  end

  describe "washers" do
    it "counts old out and new in at each joint, and says what does not add up" do
      job = tried(built)
      job.add("fit", "washers", {"joint" => "master", "old" => 2, "new" => 2})
      stack = fit(job).washers.stacks.first
      expect([stack.wanted, stack.due]).to eq [3, "master outlet: 2 new washers went in, 3 belong there"]
      expect(stack.warning).to include "one may stick to the hose end"
      job.add("fit", "washers", {"joint" => "master", "old" => 4, "new" => 3})
      expect(fit(job).washers.stacks.first).to have_attributes(due: nil, warning: a_string_including("one too many"))
      expect(refusal_at { job.add("fit", "washers", {"joint" => "elbow", "old" => 2, "new" => 2}) }).to eq [
        "data/joint"
      ]
      expect(refusal_at { job.add("fit", "washers", {"joint" => "master", "old" => 2.5, "new" => 2}) }).to eq [
        "data/old"
      ]
    end
  end

  describe "the hose" do
    it "is refused when too short, measured wherever the machine can pull at it" do
      job = template("road_front_single", "renew_hose")
      job.choose_what_is_wanted
      job.compare_all
      job.set_up
      tried(job)
      expect(fit(job).hoses.positions.map { |row| row["id"] }).to eq %w[
        left_lock
        straight
        right_lock
        extended
        compressed
      ]
      path = ->(position, length) { {"line" => "hose", "position" => position, "length" => length} }
      %w[left_lock straight right_lock extended].each { |position| job.add("fit", "path", path[position, 900]) }
      job.add("fit", "path", path["compressed", 945])
      job.add("fit", "bend", {"line" => "hose", "radius" => 110})
      expect(
        Sandbag::Said.plain(fit(job).due("before").find { |due| due.include?("too short") })
      ).to include "10 mm too short"
      expect(refused(job, "path", path["straight", 300])).to include "670 mm apart in height alone"
      job.add("fit", "fact", {"part" => "hose", "field" => "length", "value" => "990 mm"})
      expect(fit(job).hoses.laid.first.run).to have_attributes(verdict: "fine", slack_mm: 30)
    end

    it "carries a high spot made by its routing into the circuit" do
      job = template("road_front_single", "renew_hose")
      before = Sandbag::Circuit::Heights.new(job.state.sheet).high_spots
      job.add("fit", "fact", {"part" => "hose", "field" => "high_spot", "value" => "1080"})
      expect(before).to be_empty
      expect(Sandbag::Circuit::Heights.new(job.state.sheet).high_spots.first[:height_mm]).to eq 1080
    end

    it "has the cut and the joining in order, the stop mark asked, on a hose with ends the user fits" do
      job = template("bike_front", "reend_hose")
      steps = fit(job).sequence.of("before").map(&:id)
      expect(steps.first(8)).to eq %w[
        dry_trial
        ends_route
        ends_sleeve
        ends_cut
        ends_slide
        ends_insert
        ends_stop
        joints_on
      ]
    end
  end

  describe "free play" do
    let(:job) { tried(built) }

    it "blocks at none, with its reason, and no reason passes it" do
      job.add("fit", "free_play", {"at" => "tip", "value" => 0})
      expect(fit(job).free_play.verdict).to eq "zero"
      expect(refused(job, "by_service", {"reason" => "the maker says so"})).to include "the port stays shut"
    end

    it "is in its range from the first figure to the last" do
      {1.9 => "under", 2 => "in", 5 => "in", 5.1 => "over"}.each do |value, verdict|
        job.add("fit", "free_play", {"at" => "tip", "value" => value})
        expect(fit(job).free_play.verdict).to eq verdict
      end
    end

    it "passes another range only by the service information, of the reading it was given for" do
      job.add("fit", "free_play", {"at" => "piston", "value" => 0.8})
      expect(fit(job).free_play.verdict).to eq "over"
      job.add("fit", "by_service", {"reason" => "manual: up to 1 mm"})
      expect(fit(job).free_play).to be_fine
      job.add("fit", "free_play", {"at" => "piston", "value" => 0.9})
      expect(fit(job).free_play).not_to be_fine
    end

    it "is set before the bleed and checked again after" do
      worked = built.fit_all
      expect(fit(worked)).to be_enough
      worked.run_all_clean
      expect(fit(worked).due("after")).to include "free play, checked again after the bleed"
    end
  end

  it "holds the fluid until everything before the bleed is done, and comes back after it" do
    job = built
    expect(problems { job.add("bleed", "stroke") }.first.message).to end_with "under Fit"
    job.fit_all
    expect([fit(job).enough?, fit(job).done?, job.state.current]).to eq [true, true, "bleed"]
    job.run_all_clean
    expect([fit(job).done?, job.state.current, fit(job).phase]).to eq [false, "fit", "after"]
    job.fit_all
    expect([fit(job).done?, job.state.current]).to eq [true, "feel"]
  end

  it "takes last figures only after the bleed, and all of them again after another one" do
    job = built.fit_all
    job.add("fit", "wrench", {"scale" => 20})
    expect(refused(job, "torque", {"fastener" => "clamp", "value" => 9})).to include "comes after the bleed"
    job.bleed_all
    expect(fit(job)).to be_done
    job.add("bleed", "uncovered")
    job.run_all_clean
    expect(fit(job).due("after")).to include("lid", "clamp bolts: its torque", "paint marks")
    expect(job.open_gates).to include("fitted", "torque")
  end

  it "asks for the lever's gap at a hard pull on the bled circuit, not on a dry one" do
    job = tried(built)
    dry = fit(job).checks
    expect(dry.of_phase("after").map { |check| check.row["id"] }).to include("grip_gap", "parking")
    expect(dry.of_phase("before").map { |check| check.row["id"] }).to include("rest_gap", "lock_left_pulled")
    expect(refused(job, "gap", {"check" => "grip_gap", "value" => 30})).to include "only a bled circuit shows it"
    adjusted = template("road_front_twin", "adjust_free_play")
    expect(fit(adjusted).checks.of_phase("after")).to be_empty
  end

  it "paints its marks after the last figure" do
    job = built.fit_all
    job.run_all_clean
    work = FitWork.new(job)
    work.step while fit(job).step
    expect(fit(job).sequence.step("after").id).to eq "paint"
    expect(refused(job, "step", {"step" => "paint"})).to include "marks come after the last figure"
    job.fit_all
    expect(fit(job)).to be_done
  end

  it "tightens a screw of one or two newton metres by a short driver, where no wrench reads so little" do
    job = built.fit_all
    job.run_all_clean
    job.add("fit", "wrench", {"scale" => 25})
    expect(refused(job, "torque", {"fastener" => "lid_screw", "value" => 1.5})).to include "under a fifth"
    expect(refused(job, "snug", {"fastener" => "clamp"})).to include "only a torque wrench"
    job.add("fit", "snug", {"fastener" => "lid_screw"})
    line = fit(job).torques.line("lid_screw")
    expect([line.done?, line.snugged?, line.estimated?]).to eq [true, true, false]
  end

  it "takes nothing on a job that fits nothing" do
    job = JobInMemory.new(sheet(twin_disc_plain)).bled
    %w[wrench loosened fact].zip([{"scale" => 20}, {"fastener" => "wheel_axle"},
      {"part" => "lever", "field" => "bar", "value" => "carbon"}]).each do |kind, data|
      expect(refusal_at { job.add("fit", kind, data) }).to eq ["kind"]
    end
  end

  it "fails by name what is too near or does not work, and holds the release" do
    job = tried(built)
    job.add("fit", "gap", {"check" => "lock_right_pulled", "value" => "6 mm"})
    expect(
      Sandbag::Said.plain(fit(job).open("clear").join("; "))
    ).to include "full lock right, squeezed hard: 6 mm, at least 10 mm"
    expect(refusal_at { job.add("fit", "check", {"check" => "adjacent", "value" => "none"}) }).to eq ["data/value"]
    expect(refusal_at { job.add("fit", "check", {"check" => "lock_left_rest", "value" => "good"}) }).to eq ["kind"]
    expect(refusal_at { job.add("fit", "gap", {"check" => "second_link", "value" => 20}) }).to eq ["data/check"]
  end

  it "asks a kart for its second link, its stop and its rod, and a cornering tilt on top of the one at rest" do
    job = template("kart_rear", "renew_mc")
    expect(fit(job).checks.of("pedal").map { |check| check.row["id"] }).to eq %w[
      rod_clear
      pedal_travel
      second_link
      rod_locked
      pedal_stop
    ]
    reservoir =
      Sandbag::Fit::Reservoir.new(
        fit(job).scope,
        Sandbag::Job::Entries.new(
          [Sandbag::Job::Entry.new(id: "a", stage: "fit", kind: "tilt", data: {"angle" => 3.0}, at: "", by: "")]
        ),
        fluid_ml: 25
      )
    expect(reservoir.beyond).to include(label: "steady cornering", deg: be_within(1e-9).of(48))
  end

  describe "the switch" do
    let(:job) { tried(built) }

    it "is closed when pulled, open at rest, and its lamp on before the bite" do
      job.add("fit", "ohms", {"state" => "rest", "ohms" => "12 kohm"})
      job.add("fit", "ohms", {"state" => "pulled", "ohms" => "1.4"})
      expect(refused(job, "lamp", {"travel" => 3})).to include "only a bled circuit shows"
      expect(fit(job).electrics.due("before").size).to eq 2
      job.add("fit", "ohms", {"state" => "rest", "open" => true})
      job.add("fit", "ohms", {"state" => "pulled", "ohms" => 0.4})
      expect(fit(job).electrics.due("before")).to be_empty
      expect(fit(job).electrics.due("after").map { |each| Sandbag::Said.plain(each) }).to eq [
        "lamp: the travel at which it comes on"
      ]
    end

    it "has its lamp on before the bite of the bled circuit, or has none" do
      bled = built.fit_all
      bled.run_all_clean
      bled.add("fit", "lamp", {"travel" => fit(bled).electrics.bite_mm + 1})
      expect(Sandbag::Said.plain(fit(bled).electrics.due("after").first)).to include "the brake bites at"
      bled.add("fit", "lamp", {"travel" => fit(bled).electrics.bite_mm - 1})
      expect(fit(bled).electrics.due("after")).to be_empty
      bled.add("bleed", "stroke")
      expect(fit(bled).electrics.due("after")).not_to be_empty
      bled.add("fit", "lamp", {"none" => true})
      expect(fit(bled).electrics.due("after")).to be_empty
    end

    it "reads the take-up of its own circuit as the bite" do
      circuit = Sandbag::Circuit::Assembly.build(job.state.sheet)
      expect(fit(job).electrics.bite_mm).to be_within(1e-9).of(
        circuit.lever.travel_mm(circuit.master.stroke_for_mm(circuit.budget.gap_ml))
      )
    end
  end

  it "refuses by name what cannot be, and keeps the journal as it was" do
    job = tried(built)
    before = job.entries.size
    {
      "torque" => {
        "fastener" => "pivot_nut",
        "value" => -3
      },
      "wrench" => {
        "scale" => 0
      },
      "ohms" => {
        "state" => "rest",
        "ohms" => -1
      },
      "path" => {
        "line" => "left_hose",
        "position" => "straight",
        "length" => 900
      },
      "tilt" => {
        "angle" => 120
      },
      "free_play" => {
        "at" => "elbow",
        "value" => 1
      },
      "fact" => {
        "part" => "fluid",
        "field" => "stamped",
        "value" => "dot5"
      },
      "clash" => {
        "clash" => "mood"
      },
      "figure" => {
        "fastener" => "sun",
        "from" => 3
      }
    }.each { |kind, data| expect(refusal_at { job.add("fit", kind, data) }.first).to start_with("data/"), kind }
    expect(refusal_at { job.add("fit", "torque", {"fastener" => "pivot_nut", "value" => "500 Nm"}) }).to eq [
      "data/value"
    ]
    expect(refusal_at { job.add("fit", "torque", {"fastener" => "pivot_nut", "value" => "tight"}) }).to eq [
      "data/value"
    ]
    expect(job.entries.size).to eq before
  end

  describe "what is left to do at the switch" do
    let(:job) { tried(built) }

    it "names the reading that is missing, and what a bad one must be" do
      due = -> { fit(job).electrics.due("before").map { |each| Sandbag::Said.plain(each) } }
      expect(due.call.first(2)).to eq ["switch at rest: its reading", "switch pulled: its reading"]
      job.add("fit", "ohms", {"state" => "rest", "ohms" => "0.4"})
      expect(due.call.first).to eq "switch at rest: must be open"
    end

    it "has its contacts read before the bleed, and nothing where nobody asks for a switch" do
      expect(fit(job).electrics.due("before").size).to eq 2
      expect(fit(template("bike_front", "reseal_mc")).electrics.due("before")).to be_empty
    end
  end
end
