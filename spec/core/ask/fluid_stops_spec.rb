# frozen_string_literal: true

# Every stop of the fluid walked both ways: it holds, and what takes it away does so.
RSpec.describe "Stops of the fluid" do
  include StoppedJob

  describe "the fluid" do
    def said(record: nil, **answers)
      plain = sheet(twin_disc_plain).set("fluid", "stamped", record, record && "part_marking")
      worked = JobInMemory.new(plain, careful: false)
      answers.each { |question, value| answer(worked, question => value) }
      worked.flags & ["R07"]
    end

    it "stops the job where cap, record and what is in it are of different families, in any order" do
      expect(said(fluid_marked: "dot4", fluid_found: "mineral")).to eq ["R07"]
      expect(said(fluid_found: "mineral", fluid_marked: "dot4")).to eq ["R07"]
      expect(said(record: "dot4", fluid_found: "dot5")).to eq ["R07"]
      expect(said(record: "dot4", fluid_marked: "mineral")).to eq ["R07"]
    end

    it "does not stop for another class of one family, for what is not known, or once the slip is put right" do
      expect(said(record: "dot4", fluid_marked: "dot4", fluid_found: "dot51")).to be_empty
      expect(said(fluid_marked: "dot4", fluid_found: "unknown")).to be_empty
      worked = JobInMemory.new(sheet(twin_disc_plain), careful: false)
      answer(worked, fluid_found: "mineral")
      expect(worked.flags).to eq ["R07"]
      answer(worked, fluid_found: "dot4")
      expect(worked.flags).to be_empty
    end
  end

  describe "a flag that a job cures" do
    {
      "R02" => [{hose_state: "bulges"}, "renew_hose"],
      "R01" => [{level: "sudden_fall", pump_up: "never_builds"}, "renew_hose"],
      "R07" => [{fluid_debris: "gel"}, "renew_rubber"]
    }.each do |flag, (findings, cure)|
      it "#{flag} lets only its cure go on, keeps the machine, and asks at release whether it is cured" do
        worked =
          job(
            changed(twin_disc_plain, "master", construction: "bar_radial").change("master", "bore", 19, "part_marking")
          )
        worked.answer_stops
        find(worked, **findings)
        expect(worked.flags).to eq [flag]
        expect(refusal_at { route(worked, "bleed") }).to eq ["data/route"]
        route(worked, cure)
        expect([worked.state.stop, worked.state.route.id]).to eq [nil, cure]
        expect(worked.headline[:do_not_use]).to be_a(String)
        worked.work_everywhere
        expect(refusal_at { worked.add("close", "cured", {"flag" => flag}) }).to eq ["data/flag"]
        worked.choose_what_is_wanted
        worked.state.stages.each_key do |stage|
          worked.public_send(JobInMemory::WORK.fetch(stage)) unless %w[ask choose close].include?(stage)
        end
        expect(worked.open_gates).to include("stop")
        expect(refusal_at { worked.confirm("function") }).to include("gates/stop")
        worked.add("close", "cured", {"flag" => flag})
        expect(worked.state.do_not_use).to be_nil
        worked.closed
        expect(worked.state).to be_signed
      end
    end

    it "stands again when the danger is found again after the cure" do
      worked = job
      worked.answer_stops
      find(worked, hose_state: "bulges")
      route(worked, "renew_hose")
      worked.work_everywhere
      worked.choose_what_is_wanted
      %w[measure strip fit bleed feel].each { |stage| worked.public_send(JobInMemory::WORK.fetch(stage)) }
      worked.add("close", "cured", {"flag" => "R02"})
      find(worked, hose_state: "bulges")
      expect(worked.state.do_not_use).to start_with "Hose bulges"
      expect(worked.open_gates).to include("stop")
    end

    it "lets a locked clutch be stripped at its slave, a condemned unit be renewed and a thread be repaired" do
      locked = job(clutch_plain)
      find(locked, return_action: "locked")
      expect(refusal_at { route(locked, "bleed") }).to eq ["data/route"]
      route(locked, "slave_work")
      {"R10" => "renew_mc", "R11" => "renew_mc", "R15" => "repair_thread"}.each do |flag, cure|
        worked = job
        worked.add("ask", "flag", {"flag" => flag, "part" => "master"})
        expect(refusal_at { route(worked, "reseal_mc") }).to eq ["data/route"]
        route(worked, cure)
        expect(worked.state.stop).to be_nil
      end
    end

    it "holds the release only, where the work is not the danger: a drag and a wet pad" do
      {residual: "builds", friction_state: "contaminated"}.each do |finding, value|
        worked = job
        find(worked, finding => value)
        route(worked, "slave_work")
        expect([worked.state.stop, worked.state.do_not_use.nil?]).to eq [nil, false]
        expect(worked.open_gates).to include("stop")
      end
    end
  end

  describe "fluid that stays in" do
    def adjusted(plain = twin_disc_plain, changed_on: nil)
      worked =
        JobInMemory.new(changed_on ? sheet(plain).set("fluid", "changed_on", changed_on, "measured") : sheet(plain))
      worked.answer_stops
      route(worked, "adjust_free_play")
      worked
    end

    it "holds the release at 3 % of water, unless the job renews it" do
      worked = adjusted
      expect(worked.open_gates).not_to include("fluid_age")
      find(worked, fluid_water: "ge3")
      expect(worked.open_gates).to include("fluid_age")
      route(worked, "flush")
      expect(worked.state.close.gates.map(&:id)).not_to include("fluid_age")
    end

    it "holds it when it is over its interval by as much again, by the shop's own interval where that is shorter" do
      expect(adjusted(changed_on: "2022-04-01").open_gates).not_to include("fluid_age")
      expect(adjusted(changed_on: "2022-03-01").open_gates).to include("fluid_age")
      shorter = adjusted(changed_on: "2023-12-01")
      expect(shorter.open_gates).not_to include("fluid_age")
      strict = Sandbag::Job::State.new(shorter.state.journal, shorter.fitted, fluid_months: 12)
      expect(strict.close.gates.reject(&:met).map(&:id)).to include("fluid_age")
    end
  end

  describe "the reservoir" do
    it "stops the count at the stroke that can uncover the port, until it is topped up or said to be uncovered" do
      worked = job
      worked.answer_stops
      route(worked, "bleed")
      worked.protect
      worked.look_before_fluid
      limit = worked.state.bleed.plan.to_h[:strokes_to_uncover]
      limit.times { worked.add("bleed", "stroke") }
      expect(problems { worked.add("bleed", "stroke") }.first).to have_attributes(
        pointer: "kind",
        message: a_string_including("may uncover the port")
      )
      expect(worked.state.bleed.waits_for).to include("top-up")
      worked.add("bleed", "topped_up")
      worked.add("bleed", "stroke")
    end

    it "lets one stroke be counted where a stroke is more than there is to draw" do
      worked = job(changed(twin_disc_plain, "reservoir", usable: 0.5))
      worked.strokes(2)
      expect(worked.state.bleed.count.total_strokes).to eq 2
    end
  end
end
