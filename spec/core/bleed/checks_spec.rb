# frozen_string_literal: true

RSpec.describe Sandbag::Bleed::Checks do
  def bleeding(plain, method: nil, schools: {})
    job = JobInMemory.new(sheet(plain))
    job.answer_stops
    job.add("ask", "route", {"route" => "bleed"})
    job.protect
    job.add("bleed", "method", {"method" => method}) if method
    state = Sandbag::Job::State.new(job.state.journal, job.fitted, schools: schools)
    [job, state.bleed.checks]
  end

  def asked(checks)
    checks.start.map { |check| check.row["id"] }
  end

  it "are those of the method at hand" do
    expect(asked(bleeding(twin_disc_plain).last)).to eq %w[clear_hose nipple_sound shield reservoir_clean]
    expect(asked(bleeding(twin_disc_plain, method: "jar_open").last))
      .to eq %w[nipple_sound tube_under three_quarters shield reservoir_clean]
    expect(asked(bleeding(clutch_plain, method: "reverse_syringe").last)).to include("hose_tied", "room_made")
  end

  it "have the pads out on bicycles, with the caliper off, and where the shop holds with it" do
    expect(asked(bleeding(bicycle_plain).last)).to include "block_in"
    expect(asked(bleeding(twin_disc_plain, method: "caliper_in_hand").last)).to include "block_in"
    expect(asked(bleeding(twin_disc_plain, schools: {"pads" => "pads_out"}).last)).to include "block_in"
    expect(asked(bleeding(clutch_plain, schools: {"pads" => "pads_out"}).last)).not_to include "block_in"
  end

  it "hold the fluid until each has a good answer, dirt in the reservoir first of all" do
    job, = bleeding(twin_disc_plain)
    job.add("bleed", "check", {"check" => "clear_hose", "value" => "done"})
    job.add("bleed", "check", {"check" => "shield", "value" => "helper"})
    job.add("bleed", "check", {"check" => "nipple_sound", "value" => "worn"})
    expect(problems { job.write("bleed", "stroke") }.first.message).to include "renew one with a worn thread"
    job.add("bleed", "check", {"check" => "nipple_sound", "value" => "renewed"})
    job.add("bleed", "check", {"check" => "reservoir_clean", "value" => "sediment"})
    expect(problems { job.write("bleed", "stroke") }.first.message).to include "brush it out with fresh fluid"
    job.add("bleed", "check", {"check" => "reservoir_clean", "value" => "cleaned"})
    job.write("bleed", "stroke")
  end

  it "refuse what is not asked, an answer that is none, and the last look before the points" do
    job, = bleeding(twin_disc_plain)
    add = ->(check, value) { refusal_at { job.write("bleed", "check", {"check" => check, "value" => value}) } }
    expect(add.call("rim_full", "done")).to eq ["data/check"]
    expect(add.call("shield", "none")).to eq ["data/value"]
    expect(add.call("master_last", "none")).to eq ["data/check"]
  end

  it "have the master looked at last, after the last fluid that moved" do
    job = JobInMemory.new(sheet(twin_disc_plain)).bled
    expect(job.state.bleed).to be_done
    job.add("bleed", "stroke")
    expect(job.state.bleed).not_to be_done
    job.add("bleed", "check", {"check" => "master_last", "value" => "some"})
    expect(job.state.bleed.waits_for).to include "pop on until none comes"
  end

  it "wait for the report of the machine's own tool, with its lamp off" do
    job = JobInMemory.new(changed(twin_disc_plain, "vehicle", abs: "fitted"))
    job.write("ask", "intake", {"question" => "abs", "value" => "fitted"})
    job.write("ask", "intake", {"question" => "abs_tool", "value" => "yes"})
    job.answer_stops
    job.add("ask", "route", {"route" => "bleed"})
    job.add("bleed", "method", {"method" => "abs_electronic"})
    job.run_all_clean
    expect(job.state.bleed.waits_for).to eq "the tool's report, with its lamp off"
    report = Sandbag::Rig::AbsTool.report("front")
    job.add("bleed", "tool_report", {"lamp" => "on", "report" => "valve 2 stuck"})
    expect(job.state.bleed).not_to be_done
    job.add("bleed", "tool_report", {"lamp" => report[:lamp], "report" => report[:report]})
    expect(job.state.bleed).to be_done
    expect(Sandbag::Rig::AbsTool.report("front")).to eq report
    other = JobInMemory.new(sheet(twin_disc_plain)).bled
    expect(refusal_at { other.add("bleed", "tool_report", {"lamp" => "off", "report" => "x"}) }).to eq ["kind"]
  end

  it "come second where the next stroke may uncover the port" do
    job = JobInMemory.new(sheet(twin_disc_plain))
    job.ready_to_bleed("bleed")
    job.look_before_fluid
    expect(job.state.bleed.waits_for).not_to include "top-up"
    job.strokes(job.state.bleed.count.reservoir.strokes_to_uncover)
    expect(job.state.bleed.waits_for).to eq "a top-up: the next stroke may uncover the port"
  end

  it "want that report by any method, where air went past the outlet of a master with ABS" do
    job = JobInMemory.new(changed(twin_disc_plain, "vehicle", abs: "fitted"))
    job.write("ask", "intake", {"question" => "abs_tool", "value" => "yes"})
    job.answer_stops
    job.add("ask", "finding", {"finding" => "abs_state", "value" => "air_past_outlet"})
    job.add("ask", "route", {"route" => "bleed"})
    job.add("bleed", "method", {"method" => "hold_cycle"})
    job.run_all_clean
    expect([job.state.bleed.done?, job.state.bleed.waits_for]).to eq [false, "the tool's report, with its lamp off"]
    job.add("bleed", "tool_report", {"lamp" => "off", "report" => "all valves run"})
    expect(job.state.bleed).to be_done
  end

  it "want no report where no air went past the outlet, nor of a machine that turns out to have no ABS" do
    job = JobInMemory.new(changed(twin_disc_plain, "vehicle", abs: "unknown"))
    job.write("ask", "intake", {"question" => "abs", "value" => "fitted"})
    job.add("ask", "finding", {"finding" => "abs_state", "value" => "clear"})
    job.add("ask", "route", {"route" => "bleed"})
    expect(job.state.bleed.report_wanted?).to be false
    job.add("ask", "finding", {"finding" => "abs_state", "value" => "air_past_outlet"})
    expect(job.state.bleed.report_wanted?).to be true
    job.write("ask", "intake", {"question" => "abs", "value" => "none"})
    expect(job.state.bleed.report_wanted?).to be false
  end

  it "refuse a stroke by a method that was allowed when it was chosen, and is not any more" do
    job = JobInMemory.new(Sandbag::Circuit::Template.filled("road_rear"))
    job.answer_stops
    job.add("ask", "route", {"route" => "flush"})
    job.add("bleed", "method", {"method" => "reverse_syringe"})
    job.add("bleed", "run", {"ml" => 1})
    job.add("ask", "intake", {"question" => "abs", "value" => "fitted"})
    job.add("ask", "finding", {"finding" => "abs_state", "value" => "clear"})
    expect { job.add("bleed", "run", {"ml" => 1}) }
      .to raise_error(Sandbag::Refusal, /\Akind: reverse bleed with a syringe/)
  end

  it "name only schools that there are" do
    answers = Sandbag::Airway::Schools.open.flat_map { |row| row["answers"].keys }
    named = Sandbag::Tables.rows("bleed_checks").filter_map { |row| row["school"] }
    expect(named - answers).to be_empty
  end

  it "wait for air that no flow carries, as long as it rises, before the last look at the master" do
    job = JobInMemory.new(with_bore(sheet(twin_disc_plain), 6.0))
    job.add("ask", "finding", {"finding" => "lever_feel", "value" => "spongy"})
    job.add("ask", "route", {"route" => "bleed"})
    job.choose_fluid(nil)
    job.state.bleed.count.points.each_key { |id| job.run_clean(id) }
    state = job.state.bleed
    expect(state.checks.finish.map(&:id)).to eq %w[risen master_last]
    card = Sandbag::Bleed::Now.new(state).to_a.first
    # 850 mm of hose at 31.9 mm/s is 26.6 s, in whole minutes
    expect(card).to include(kind: "step", id: "check.risen", clock_s: 60)
    job.write("bleed", "check", {"check" => "risen", "value" => "done"})
    expect(Sandbag::Bleed::Now.new(job.state.bleed).to_a.first).to include(id: "check.master_last")
  end

  it "do not wait where every slug goes with the flow" do
    job = JobInMemory.new(sheet(twin_disc_plain)).bled
    expect(job.state.bleed.checks.finish.map(&:id)).to eq %w[master_last]
  end

  it "do not wait where a raised hose let the air out" do
    job = JobInMemory.new(with_bore(sheet(twin_disc_plain), 6.0))
    job.add("ask", "route", {"route" => "bleed"})
    asked = %w[jar_open gravity_raised].to_h do |method|
      job.add("bleed", "method", {"method" => method})
      [method, job.state.bleed.checks.finish.map(&:id).include?("risen")]
    end
    expect(asked).to eq("jar_open" => true, "gravity_raised" => false)
  end

  def with_bore(sheet, bore_mm)
    sheet.parts_of("line").reduce(sheet) { |all, part| all.change(part["id"], "bore", bore_mm, "measured") }
  end
end
