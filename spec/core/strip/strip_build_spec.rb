# frozen_string_literal: true

RSpec.describe "Strip and Build" do
  include Stripped

  Sandbag::Cylinder::Construction
    .all
    .map(&:id)
    .each do |construction|
      describe construction do
        it "is built in the reverse of the order it was stripped in, and the tray balances" do
          job = job_on(construction).set_up.strip_all
          stripped = job.state.strip.done_steps.map(&:id)
          expect(job.state.build.steps.map(&:id)).to eq(stripped.reverse & job.state.build.steps.map(&:id))
          out = job.passed.state.strip.tray
          expect(out.pieces).to eq out.cells.sum(&:out)
          job.build_all
          expect(job.state.build.reckoning.leftovers).to be_empty
          expect(job.state.build).to be_done
        end

        it "asks of every part that can be the wrong way round exactly once" do
          job = job_on(construction).set_up.strip_all
          asked =
            job.view("build")[:steps]
              .flat_map { |step| step[:parts] }
              .select { |part| part[:question] }
              .map { |part| part[:id] }
          fit = job.state.fit.put_back
          asked += fit.steps.flat_map { |step| fit.present(step) }.select(&:feature).map(&:id)
          sensitive =
            job
              .state
              .strip
              .done_steps
              .flat_map(&:takes)
              .select { |part| part.feature && (part.stays? || job.state.strip.out?(part.id)) }
              .map(&:id)
          expect(asked).to match_array sensitive
          expect(asked.uniq).to eq asked
        end

        it "takes the piston out before the spring, and nothing inside before the lid and the joint are seen to" do
          steps = job_on(construction).state.strip.work.steps.map(&:plain)
          piston = steps.index("piston") || steps.index("cal_piston") || steps.index("ring_piston")
          expect(steps.index("spring") || steps.index("sc_spring") || steps.index("cal_seal")).to be > piston
          expect(steps.index("drain") || steps.index("on_its_side")).to be < piston
        end
      end
    end

  let(:job) { job_on("bar_radial") }

  it "takes no step before the set-up, out of order, or twice" do
    first = job.state.strip.step.id
    expect(
      problems { job.add("strip", "step", {"step" => first}) }.first.message
    ).to start_with "not yet: machine upright"
    job.set_up
    expect(problems { job.add("strip", "step", {"step" => "piston"}) }.first.message).to include(
      "comes after lid screws out"
    )
    job.add("strip", "step", {"step" => first})
    expect(refusal_at { job.add("strip", "step", {"step" => first}) }).to eq ["data/step"]
    expect(refusal_at { job.add("strip", "step", {"step" => "dance"}) }).to eq ["data/step"]
  end

  it "opens nothing before kit and tools lie on the bench" do
    bare = JobInMemory.new(circuit_with("bar_radial"))
    bare.add("ask", "route", {"route" => "reseal_mc"})
    bare.add("choose", "fluid", {"fluid" => "dot4", "stamped" => "dot4"})
    bare.set_up
    expect(bare.state.strip).not_to be_ready
    expect(
      problems { bare.add("strip", "step", {"step" => "lid_screws"}) }.first.message
    ).to start_with "still to fetch: seal kit, "
  end

  it "builds nothing before Measure has its verdict" do
    job.set_up.strip_all
    job.face(job.state.build.step)
    expect(
      problems { job.add("build", "step", {"step" => job.state.build.step.id}) }.first.message
    ).to start_with "not yet: still to look at"
  end

  it "lets a step be skipped with a reason, and a blocked line of the set-up be passed with one" do
    job.set_up
    job.add("strip", "skipped", {"step" => "lid_screws", "reason" => "rotating lid"})
    expect(job.state.strip.step.id).to eq "lid_lock"
    expect(job.view("strip")[:steps].first).to include(status: "skipped", reason: "rotating lid")
    expect(refusal_at { job.add("strip", "skipped", {"step" => "lid_lock"}) }).to eq ["data/reason"]
    other = job_on("kart_pedal")
    expect(refusal_at { other.add("strip", "setup", {"item" => "pads", "value" => "no"}) }).to eq ["data/value"]
    other.add("strip", "setup", {"item" => "pads", "value" => "no", "reason" => "caliper is off the kart"})
    expect(other.state.strip.setup.missing.map { |row| row["id"] }).not_to include("pads")
  end

  it "warns of a drain that draws air, and of a unit left level" do
    job.add("strip", "setup", {"item" => "drain_method", "value" => "lever"})
    expect(job.view("strip")[:setup].find { |row| row[:id] == "drain_method" }[:warning]).to include("draws air")
  end

  it "is not drained by the lever where ABS is or may be fitted" do
    drain = lambda do |abs|
      machine = circuit_with("bar_radial").set("vehicle", "abs", abs, "measured")
      setup = Sandbag::Cylinder::Setup.new({}, machine, hoses: [])
      refusal_at { setup.admit({"item" => "drain_method", "value" => "lever"}) }
    end
    expect(%w[none fitted unknown].to_h { |abs| [abs, drain[abs]] })
      .to eq("none" => [], "fitted" => ["data/value"], "unknown" => ["data/value"])
  end

  it "has every hose that stays on looked at by name, stops for one that bulges, and does not release with a bad one" do
    bleed = JobInMemory.new(sheet(twin_disc_plain))
    bleed.add("ask", "route", {"route" => "bleed"})
    asked = bleed.state.strip.setup.rows.select { |row| row["each"] }.map { |row| row["id"] }
    expect(asked).to eq %w[hose.left_hose hose.right_hose]
    look = ->(hose, value) { bleed.add("strip", "setup", {"item" => "hose.#{hose}", "value" => value}) }
    gate = -> { bleed.state.close.gates.find { |each| each.id == "hose" } }
    expect([gate[].state, gate[].why]).to eq [:open, "Left hose: not looked at"]
    look["left_hose", "sound"]
    look["right_hose", "cracked"]
    expect(gate[].why).to eq "Right hose: cracked, chafed or twisted"
    look["right_hose", "sound"]
    expect(gate[].state).to eq :met
    expect(bleed.flags).to be_empty
    look["right_hose", "bulges"]
    expect([bleed.flags, bleed.state.stop]).to match [["R02"], a_string_starting_with("Hose bulges")]
    bleed.add("ask", "route", {"route" => "renew_hose"})
    bleed.add("ask", "at", {"places" => ["line.right_hose"]})
    expect(bleed.state.stop).to be_nil
    expect(bleed.state.strip.setup.rows.select { |row| row["each"] }).to be_empty
  end

  it "keeps ABS in mind only where there may be one" do
    rows = ->(sheet) { Sandbag::Cylinder::Setup.new({}, sheet, hoses: []).rows.map { |row| row["id"] } }
    expect(rows[circuit_with("bar_radial")]).not_to include("abs")
    expect(rows[circuit_with("bar_radial").change("vehicle", "abs", "unknown", "measured")]).to include("abs")
    expect(rows[circuit_with("bike_stop_plate")]).not_to include("upright")
  end

  it "counts washers by the hoses on the joint, and leaves out what the circuit does not have" do
    steps = job.state.strip.work.steps.map(&:id)
    expect(steps).to include("switch").and include("joint")
    expect(steps).not_to include("feed_hose", "hose_nut")
    expect(job.state.strip.work.part("crush_washer").quantity).to eq 3
    remote = JobInMemory.new(circuit_with("bar_radial").change("reservoir", "mount", "remote", "measured")).laid_out
    expect(remote.state.strip.work.steps.map(&:id)).to include("feed_hose", "inlet_elbow")
  end

  it "empties the reservoir before a feed hose comes off, on every construction" do
    Sandbag::Cylinder::Construction.all.select { |each| each.order.include?("feed") }.each do |construction|
      expect(construction.order.index("feed")).to be > construction.order.index("drain"), construction.id
    end
  end

  it "lays into the tray what was found, in order, single-use parts for the bin" do
    job.set_up
    3.times { job.add("strip", "step", {"step" => job.state.strip.step.id}) }
    expect(job.state.strip.tray.cells.map { |cell| [cell.number, cell.part.id, cell.out] }).to eq [
      [1, "lid_screw", 2],
      [2, "lid", 1]
    ]
    job.add("strip", "counted", {"part" => "lid_screw", "count" => 4})
    expect(job.state.strip.tray.out("lid_screw")).to eq 4
    expect(refusal_at { job.add("strip", "counted", {"part" => "lid_screw", "count" => 2.5}) }).to eq ["data/count"]
    expect(refusal_at { job.add("strip", "counted", {"part" => "engine", "count" => 1}) }).to eq ["data/part"]
    # pivot nut, boot, ring, piston, two cups, spring, three washers
    single = job.strip_all.state.strip.tray.cells.select { |cell| cell.part.renewed? }
    expect(single.sum(&:out)).to eq 10
  end

  it "says where it was left, what is open to the air, and that the lever is not to be pressed" do
    job.set_up
    expect(job.state.strip).not_to be_lever_locked
    job.add("strip", "step", {"step" => job.state.strip.step.id}) until job.state.strip.step.id == "spring"
    expect(job.state.strip.waits_for).to eq "spring out"
    expect(job.state.headline[:open]).to eq ["the reservoir, its lid laid on", "the mouth of the bore"]
    expect(job.state.strip).to be_lever_locked
  end

  it "takes only the unit off where another one goes on" do
    renew = JobInMemory.new(circuit_with("scooter_bar_shrouded")).laid_out(route: "renew_mc")
    steps = renew.state.strip.work.steps.map(&:id)
    expect(steps).to include("shroud", "joint", "clamp")
    expect(steps).not_to include("boot", "piston", "lever")
    expect(renew.state.stages.keys).to eq %w[ask choose measure strip fit bleed feel close]
  end

  it "has removed what a step took out, and a hose end that stays, once the step is done" do
    caliper = JobInMemory.new(Sandbag::Circuit::Template.filled("road_front_twin"))
    caliper.answer_stops
    caliper.laid_out(route: "slave_work").set_up
    asked = -> { %w[hose_end cal_piston piston].map { |part| caliper.state.strip.removed?([part]) } }
    expect(asked.call).to eq [false, false, nil]
    caliper.add("strip", "step", {"step" => caliper.state.strip.step.id}) until asked.call.first
    expect(asked.call).to eq [true, false, nil]
    caliper.strip_all
    expect(asked.call).to eq [true, true, nil]
  end

  it "climbs the ladder for a stuck piston and gives the cylinder up at the end of it" do
    expect(job.view("strip")[:ladder].map { |rung| rung[:id] }).to eq %w[
      spring
      wet
      own_master
      hand_pump
      grease_pump
      warm
      reject
    ]
    expect(job.view("strip")[:never].join).to include("workshop air").and include("flame")
    job.add("strip", "tried", {"method" => "reject", "freed" => false})
    expect(job.state.strip.unresolved).to include("renewed")
    expect(job.state.measure.verdict.id).to eq "unit"
  end
end
