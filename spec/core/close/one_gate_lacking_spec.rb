# frozen_string_literal: true

require_relative "../../support/careless"

# A journal that lacks one gate and nothing else is not signed, and is refused by that gate's name.
RSpec.describe "A job that lacks one gate" do
  jobs = %w[
    road_front_twin.reseal_mc road_front_twin.slave_work road_front_twin.recheck road_rear.reseal_mc
    road_clutch.reseal_mc kart_front_rear.bleed snow_jackshaft.reseal_mc bike_front.reseal_mc hand_rear_added.bleed
  ]

  # What the other gates rest on, taken back: gate => the job and its entry.
  proofs = {
    "fluid" => ["kart_front_rear.bleed", "choose.fluid"],
    "batch" => ["road_front_twin.reseal_mc", "close.batch"],
    "measured" => ["road_front_twin.reseal_mc", "measure.finding"],
    "hose" => ["road_front_twin.reseal_mc", "strip.setup", {"item" => "hose.hose_left"}],
    "stripped" => ["road_front_twin.set_level", "strip.setup", {"item" => "upright"}],
    "fitted" => ["road_front_twin.reseal_mc", "fit.step", {"step" => "dry_trial"}],
    "bled" => ["road_front_twin.reseal_mc", "bleed.check", {"check" => "clear_hose"}],
    "feel" => ["road_clutch.reseal_mc", "feel.lift"],
    "hold" => ["road_front_twin.reseal_mc", "feel.hold"],
    "leak" => ["road_front_twin.reseal_mc", "close.leak"],
    "recheck" => ["road_front_twin.reseal_mc", "close.recheck"]
  }
  # The same where a stage is not done either, of which the gate is a part.
  parts = {
    "torque" => ["fitted", "road_front_twin.reseal_mc", "fit.torque"],
    "clear" => ["fitted", "road_front_twin.reseal_mc", "fit.gap", {"check" => "lock_left_rest"}],
    "interlock" => ["fitted", "road_clutch.reseal_mc", "fit.check", {"check" => "interlock"}],
    "parking" => ["fitted", "snow_jackshaft.reseal_mc", "fit.check", {"check" => "parking"}],
    "fitted" => ["built", "road_front_twin.reseal_mc", "build.facing"]
  }

  def lacking(name)
    job = Careless.nearly_signed(*name.split("."))
    entry = job.state.journal.in_force.reverse.find { |each| yield each }
    job.undo(entry.stage, entry.id)
    job
  end

  def entry?(entry, kind, data)
    "#{entry.stage}.#{entry.kind}" == kind && data.to_a.all? { |name, value| entry.data[name] == value }
  end

  # Signing names the gates, and nothing else.
  def expect_refused_for(job, *gates)
    expect(job.open_gates).to match_array(gates)
    labels = job.state.close.gates.reject(&:met).map { |gate| Sandbag::Wording.inside(gate.label) }
    expect(problems { job.add("close", "signed", {"name" => "R. Tarn"}) }.map(&:message))
      .to eq(labels.map { |label| "cannot be signed: still open: #{label}" })
  end

  # As a record may have it that was brought in.
  it "cannot be signed with a fluid of a lower class than the cap's" do
    whole = Careless.nearly_signed("kart_front_rear", "bleed")
    entries = whole.entries.map do |entry|
      (entry.stage == "choose" && entry.kind == "fluid") ? entry.with(data: {**entry.data, "fluid" => "dot3"}) : entry
    end
    job = JobInMemory.new(whole.fitted, careful: false, entries: entries)
    expect_refused_for(job, "fluid")
    expect(job.state.close.gates.find { |gate| gate.id == "fluid" }.why)
      .to eq "DOT 3 glycol is a lower class than the cap's DOT 4 glycol"
  end

  jobs.each do |name|
    it "of those that somebody confirms cannot be signed: #{name.tr("_", " ").sub(".", ", ")}" do
      closing = Careless.nearly_signed(*name.split(".")).state.journal.of("close")
      confirmed = closing.select { |each| each.kind == "gate" }
      expect(confirmed).not_to be_empty
      confirmed.each do |gate|
        expect_refused_for(lacking(name) { |each| each.id == gate.id }, gate.data["gate"])
      end
    end
  end

  proofs.each do |gate, (name, kind, data)|
    it "cannot be signed without what #{gate.tr("_", " ")} rests on" do
      job = lacking(name) { |each| entry?(each, kind, data) }
      expect_refused_for(job, gate)
    end
  end

  parts.each do |gate, (stage, name, kind, data)|
    it "cannot be signed without what #{gate.tr("_", " ")} rests on, which is part of #{stage}" do
      job = lacking(name) { |each| entry?(each, kind, data) }
      expect_refused_for(job, gate, stage)
    end
  end
end
