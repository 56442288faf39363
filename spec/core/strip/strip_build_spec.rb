# frozen_string_literal: true

RSpec.describe "Strip and Build" do
  def far_end?(construction)
    construction.start_with?("caliper") || construction.include?("slave")
  end

  def circuit_with(construction)
    return far_end_circuit(construction) if far_end?(construction)
    plain = construction.start_with?("bike") ? bicycle_plain : twin_disc_plain
    sheet(plain).change("master", "construction", construction, "measured").change("master", "bore",
      construction.start_with?("bike") ? 10 : 19, "part_marking")
      .change("fluid", "stamped", "dot4", "part_marking")
  end

  def far_end_circuit(construction)
    case construction
    when "caliper_bike"
      changed(bicycle_plain, "caliper", pistons: "22 22")
    when "caliper_opposed"
      changed(twin_disc_plain, "fluid", stamped: "dot4")
    when "caliper_sliding"
      %w[left right].reduce(sheet(twin_disc_plain)) do |now, side|
        now.change("#{side}_caliper", "build", "sliding", "measured").change(
          "#{side}_caliper",
          "pistons",
          "27 27",
          "part_marking"
        )
      end
    else
      changed(clutch_plain, "fluid", stamped: "dot4").change("slave", "bore", 29, "part_marking").change(
        "slave",
        "construction",
        construction,
        "measured"
      )
    end
  end

  def job_on(construction)
    JobInMemory.new(circuit_with(construction)).laid_out(route: far_end?(construction) ? "slave_work" : "reseal_mc")
  end

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

  describe "a caliper" do
    it "is one of several: the job says which, or all of them, and counts its pistons" do
      job = JobInMemory.new(circuit_with("caliper_sliding"))
      job.answer_stops
      job.add("ask", "route", {"route" => "slave_work"})
      expect(job.state.waits_for).to eq "where: Left caliper, Right caliper"
      expect(job.state.stages.keys).to include("strip", "build")
      expect(job.state.strip).not_to be_done
      expect(problems { job.add("bleed", "stroke") }.first.message).to start_with "not yet"
      expect(refusal_at { job.add("ask", "at", {"places" => ["joint.master"]}) }).to eq ["data/places"]
      expect(refusal_at { job.add("choose", "far_end", {"part" => "left_caliper"}) }).to eq ["kind"]
      job.add("ask", "at", {"places" => ["far_end.left_caliper"]})
      kinds = %w[cal_piston cal_seal pad crush_washer]
      quantities = lambda do
        parts = job.state.strip.work.parts.select { |part| kinds.include?(part.plain) }
        parts.to_h { |part| [part.id, part.quantity] }
      end
      left = kinds.to_h { |kind| ["#{kind}@left_caliper", 2] }
      expect(quantities[]).to eq left
      job.add("ask", "at", {"places" => %w[far_end.left_caliper far_end.right_caliper]})
      expect(quantities[]).to eq(left.merge(left.transform_keys { |id| id.sub("left", "right") }))
      expect(job.state.choose.pull_list.lines.filter_map { |line| line.label if line.kind == "kit" })
        .to eq ["Seal kit, left caliper", "Seal kit, right caliper"]
    end

    it "has its pistons started by the lever, which is locked only after that" do
      job = job_on("caliper_sliding").set_up
      until job.state.strip.step.plain == "drain"
        expect(job.state.strip).not_to be_lever_locked
        job.add("strip", "step", {"step" => job.state.strip.step.id})
      end
      job.add("strip", "step", {"step" => "drain"})
      expect(job.state.strip).to be_lever_locked
    end

    it "is parted only with the service figure on hand" do
      job = job_on("caliper_opposed").set_up
      job.add("ask", "intake", {"question" => "service_info", "value" => "partly"})
      job.add("strip", "step", {"step" => job.state.strip.step.id}) until job.state.strip.step.plain == "halves"
      halves = job.state.strip.step.id
      expect(halves).to eq "halves@left_caliper"
      expect(refusal_at { job.add("strip", "step", {"step" => halves}) }).to eq ["data/step"]
      job.add("strip", "skipped", {"step" => halves, "reason" => "pistons come with the halves together"})
      job.add("ask", "intake", {"question" => "service_info", "value" => "yes"})
      job.strip_all
      expect(%w[left right].map { |side| job.state.strip.out?("crossover_seal@#{side}_caliper") }).to eq [false, true]
    end

    it "is condemned by its seal groove, and its piston by a pit in the band its seal runs on" do
      job = job_on("caliper_sliding").set_up.strip_all
      job.look_over.gauge(bore: 0, piston: 26.98)
      look = ->(check, value) { job.add("measure", "finding", {"check" => "#{check}@right_caliper", "value" => value}) }
      verdicts = -> { job.state.measure.reports.map { |report| [report.verdict.id, report.verdict.parts] } }
      look["cal_band", "pit"]
      expect(verdicts[]).to eq [["reuse", []], ["parts", ["cal_piston@right_caliper"]]]
      look["cal_groove", "damaged"]
      expect(verdicts[].map(&:first)).to eq %w[reuse unit]
      expect(job.state.measure.verdict.label).to eq "Renew the caliper"
    end

    it "does not leave with pads that were seen wet, whatever Ask was told" do
      job = job_on("caliper_sliding").set_up.strip_all
      job.add("measure", "finding", {"check" => "pads@left_caliper", "value" => "wet"})
      expect(job.flags).to eq ["R09"]
      expect(job.state.do_not_use).to start_with "Fluid or grease on pad or disc"
      job.add("measure", "finding", {"check" => "pads@left_caliper", "value" => "good"})
      expect(job.flags).to be_empty
    end

    it "is renewed whole where it is past use, while the other is used again" do
      job = job_on("caliper_sliding").set_up.strip_all
      job.look_over.gauge(bore: 0, piston: 26.98)
      job.add("measure", "finding", {"check" => "cal_groove@right_caliper", "value" => "damaged"})
      expect(job.state.measure.next_route).to be_nil
      expect(refusal_at { job.add("measure", "whole", {"unit" => "caliper"}) }).to eq ["data/unit"]
      job.add("measure", "whole", {"unit" => "right_caliper"})
      expect(job.state.measure).to be_done
      expect(job.state.choose.wanting.map(&:id)).to eq ["far_unit@right_caliper"]
      expect(job.state.build.steps.map(&:id)).to all end_with("@left_caliper")
      job.add("choose", "pulled", {"line" => "far_unit@right_caliper", "reason" => "bought"})
      job.build_all
      expect(job.state.build).to be_done
      back = job.state.fit.put_back.steps.map { |step| step.unit.at }.uniq
      expect(back).to match_array %w[left_caliper right_caliper]
    end

    it "is gauged at each size of its pistons" do
      opposed = circuit_with("caliper_opposed")
      sized = opposed.far_ends.reduce(opposed) do |now, part|
        now.change(part["id"], "pistons", "34 34 30 30", "part_marking")
      end
      job = JobInMemory.new(sized).laid_out(route: "slave_work").set_up.strip_all
      expect(job.state.measure.reports.first.gauge_missing.map(&:id))
        .to eq %w[band.a@34@left_caliper band.b@34@left_caliper band.a@30@left_caliper band.b@30@left_caliper]
      read = lambda do |place, value|
        job.add("measure", "gauge", {"place" => place, "value" => value, "gauge" => "micrometer"})
      end
      expect(refusal_at { read["band.a@30@left_caliper", 33.98] }).to eq ["data/value"]
      read["band.a@30@left_caliper", 29.90]
      read["band.a@34@left_caliper", 33.98]
      worn = job.state.measure.reports.first.judgements.to_h { |judgement| [Sandbag::Said.plain(judgement.label), judgement.verdict] }
      expect(worn).to eq("Smallest piston, 34 mm" => "reuse", "Smallest piston, 30 mm" => "renew")
    end
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

  describe "building" do
    before { job.set_up.strip_all.passed }

    it "wets cups with what the shop uses, where this circuit bears it, until the job says otherwise" do
      usual = ->(worked, id) do
        Sandbag::Job::State.new(Sandbag::Job::Journal.new(worked.entries), worked.fitted, lubricant: id).build.lubricant
      end
      bicycle = JobInMemory.new(sheet(bicycle_plain)).laid_out(fluid: "mineral")
      expect(%w[own_fluid rubber_grease assembly_paste].map { |id| usual[job, id] }).to eq %w[
        own_fluid
        rubber_grease
        assembly_paste
      ]
      expect(%w[own_fluid rubber_grease assembly_paste].map { |id| usual[bicycle, id] }.uniq).to eq ["own_fluid"]
      job.add("build", "lubricant", {"lubricant" => "own_fluid"})
      expect(usual[job, "rubber_grease"]).to eq "own_fluid"
    end

    it "checks nothing that did not come out" do
      refused = problems { job.add("build", "check", {"check" => "rod", "pass" => true}) }.first
      expect(refused).to have_attributes(
        pointer: "data/check",
        message: a_string_including("not checked here"),
        accepted: a_string_including("slide")
      )
    end

    def up_to(step)
      until job.state.build.step.id == step
        job.face(job.state.build.step)
        job.add("build", "step", {"step" => job.state.build.step.id})
      end
    end

    it "explains a lip that was turned round, and goes on only when it is right" do
      up_to("piston")
      job.add("build", "facing", {"part" => "primary_cup", "faces" => "outward"})
      part =
        job.view("build")[:steps].find { |step| step[:id] == "piston" }[:parts].find do |each|
          each[:id] == "primary_cup"
        end
      expect(part).to include(right: false, why: a_string_including("lips point to the fluid"))
      expect(problems { job.add("build", "step", {"step" => "piston"}) }.first.message).to include(
        "Open side of the primary cup"
      )
      expect(refusal_at { job.add("build", "facing", {"part" => "primary_cup", "faces" => "up"}) }).to eq [
        "data/faces"
      ]
      expect(refusal_at { job.add("build", "facing", {"part" => "boot_lace", "faces" => "up"}) }).to eq ["data/part"]
      job.face(job.state.build.step)
      job.add("build", "step", {"step" => "piston"})
    end

    it "does not finish with a part left in the tray, and names it" do
      job.build_all
      expect(job.state.build).to be_done
      left = job.add("build", "kept_out", {"part" => "lever_bush", "count" => 1})
      expect(job.state.build).not_to be_done
      expect(job.state.build.unresolved).to eq "left in the tray: lever bearing or bush"
      job.undo("build", left)
      expect(job.state.build).to be_done
    end

    it "does not finish while the scrap pot does not add up" do
      job.build_all
      job.add("build", "scrapped", {"count" => job.state.build.reckoning.scrap_wanted - 1})
      expect(job.state.build.waits_for).to include("old pieces belong in it")
    end

    it "reckons a part that was binned for a new one as back, its old one in the pot" do
      job.build_all
      before = job.state.build.reckoning.scrap_wanted
      job.add("build", "kept_out", {"part" => "lever_bush", "count" => 1})
      job.add("build", "binned", {"part" => "lever_bush", "reason" => "worn oval, new one fitted"})
      expect(job.state.build.reckoning.leftovers).to be_empty
      expect(job.state.build.reckoning.scrap_wanted).to eq before + 1
    end

    it "does not finish on a failed check" do
      job.build_all
      job.add("build", "check", {"check" => "ring", "pass" => false})
      expect(job.state.build.unresolved).to eq "Ring in its groove all round: failed"
    end

    it "checks the lubricant against the fluid" do
      expect(job.state.build.lubricant).to eq "own_fluid"
      job.add("build", "lubricant", {"lubricant" => "rubber_grease"})
      expect(
        job.view("build")[:steps].flat_map { |step| step[:parts] }.find { |part| part[:id] == "primary_cup" }[:lube]
      ).to eq "red rubber grease"
      expect(problems { job.add("build", "lubricant", {"lubricant" => "silicone_grease"}) }.first).to have_attributes(
        pointer: "data/lubricant",
        message: a_string_including("dry side only")
      )
      mineral =
        JobInMemory.new(circuit_with("bike_stop_plate").change("fluid", "stamped", "mineral", "part_marking")).laid_out(
          fluid: "mineral"
        )
      expect(
        problems { mineral.add("build", "lubricant", {"lubricant" => "rubber_grease"}) }.first.message
      ).to include("never")
    end

    it "reminds of the grease after a cup was stretched on, and only there" do
      notes = job.view("build")[:steps].to_h { |step| [step[:id], step[:notes].map { |note| note[:text] }.join] }
      expect(notes["piston"]).to include("After stretching the cup on").and include("folded lip")
      expect(notes["lever"]).to be_empty
    end
  end
end
