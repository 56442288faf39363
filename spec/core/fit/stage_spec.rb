# frozen_string_literal: true

RSpec.describe Sandbag::Fit::Stage do
  include FittedJob

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
      expect(refused(job, "step", {"step" => "weld"})).to include "“weld” is no step here"
      expect(job.add("fit", "free_play", {"at" => "tip", "value" => 3})).not_to be_nil
    end

    it "sends a clash back to Choose by its name, holds the rest, and is done again" do
      job = built
      job.add("fit", "clash", {"clash" => "banjo"})
      expect(job.state.waits_for).to eq "what goes on instead: banjo angle clashed at the dry trial"
      expect(job.view("choose")[:clash]).to include(label: "Banjo angle")
      expect(job.view("choose")[:now])
        .to match [a_hash_including(title: "Say what goes on instead", detail: "Banjo angle")]
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

  it "takes nothing on a job that fits nothing" do
    job = JobInMemory.new(sheet(twin_disc_plain)).bled
    %w[wrench loosened fact].zip([{"scale" => 20}, {"fastener" => "wheel_axle"},
      {"part" => "lever", "field" => "bar", "value" => "carbon"}]).each do |kind, data|
      expect(refusal_at { job.add("fit", kind, data) }).to eq ["kind"]
    end
  end

  it "says of a gap that is wide enough and under 25 mm that it is near" do
    job = tried(built)
    near = [9.9, 10, 24.9, 25].map do |gap|
      job.add("fit", "gap", {"check" => "lock_right_pulled", "value" => gap})
      check = fit(job).checks.all.find { |each| each.row["id"] == "lock_right_pulled" }
      [check.pass, check.near?]
    end
    expect(near).to eq [[false, false], [true, true], [true, true], [true, false]]
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
end
