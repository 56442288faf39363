# frozen_string_literal: true

require "date"

# docs/trade.md 9.4: what falls due by the calendar.
RSpec.describe Sandbag::Calendar::CircuitDues do
  def dues(found, use: "daily", kind: "road", months: 24, today: Date.new(2026, 11, 27))
    described_class.new(found, machine_kind: kind, use: use, shop_months: months, today: today).to_a
      .to_h { |due| [[due.kind, due.part].compact.join("."), due.on.iso8601] }
  end

  def with(**days)
    days.reduce(sheet(twin_disc_plain)) do |all, (name, day)|
      part, field = name.to_s.split("__")
      all.change(all.parts.find { |each| each["id"] == part || each["part"] == part }["id"], field, day, "measured")
    end
  end

  it "counts a change that nobody knows as due today, and says nothing of other days nobody knows" do
    expect(dues(sheet(twin_disc_plain))).to eq("fluid" => "2026-11-27")
  end

  it "counts months over leap years and ends of months" do
    expect(dues(with(fluid__changed_on: "2024-02-29"))).to include("fluid" => "2026-02-28")
    expect(dues(with(fluid__changed_on: "2026-01-31"), months: 13)).to include("fluid" => "2027-02-28")
    expect(dues(with(master__seals_on: "2024-02-29"))).to include("seals.master" => "2028-02-29")
    expect(dues(with(fluid__changed_on: "2025-08-31"))).to include("water_test.fluid" => "2026-08-31")
  end

  it "is sooner on a machine that is used hard, and by the shop's own interval" do
    changed = with(fluid__changed_on: "2026-03-14")
    expect(dues(changed)["fluid"]).to eq "2028-03-14"
    expect(dues(changed, use: "race")["fluid"]).to eq "2027-03-14"
    expect(dues(changed, months: 18)["fluid"]).to eq "2027-09-14"
    expect(dues(with(master__seals_on: "2026-03-14"), kind: "bicycle")["seals.master"]).to eq "2028-03-14"
  end

  both_sides "Calendar::CircuitDues::PADS_SHARE", 2.79 => [], 2.81 => ["pads.left_caliper"] do |worn|
    dues(with(left_caliper__pad_wear: worn)).keys.grep(/pads/)
  end

  both_sides "Calendar::CircuitDues::DISC_SHARE", 4.21 => [], 4.19 => ["disc.left_caliper"] do |thickness|
    dues(with(left_caliper__disc_thickness: thickness, left_caliper__disc_least: 4.0)).keys.grep(/disc/)
  end

  it "has a job write how far it found the pads worn, and nothing of the new ones it brought" do
    worn = JobInMemory.new(sheet(twin_disc_plain)).tap(&:answer_stops)
    worn.add("ask", "route", {"route" => "bleed"})
    worn.add("close", "worn", {"part" => "left_caliper", "depth" => 2.9})
    signed = Sandbag::Calendar::SignedDays.written(worn.state, "2026-03-14")
    expect(dues(signed).keys.grep(/pads/)).to eq ["pads.left_caliper"]
    expect(signed.values(signed.part("right_caliper"))["pad_wear"].source).to eq "default"
    fresh = JobInMemory.new(signed).tap(&:answer_stops)
    fresh.add("ask", "route", {"route" => "friction_work"})
    fresh.add("choose", "pulled", {"line" => "pads", "reason" => "bought for this job"})
    renewed = Sandbag::Calendar::SignedDays.written(fresh.state, "2026-03-20")
    expect(renewed.values(renewed.part("left_caliper"))["pad_wear"].value).to eq 0
    expect(dues(renewed).keys.grep(/pads/)).to eq []
  end

  it "tests the water a year after it was last tested, or changed" do
    expect(dues(with(fluid__changed_on: "2025-06-01", fluid__tested_on: "2026-06-01"))["water_test.fluid"])
      .to eq "2027-06-01"
  end

  it "renews a rubber hose and looks at a braided one, each by its own name" do
    braided = with(left_hose__fitted_on: "2023-05-02", left_hose__kind: "braided")
    rubber = with(left_hose__fitted_on: "2023-05-02", left_hose__kind: "rubber")
    expect(dues(braided)).to eq("fluid" => "2026-11-27", "hose_look.left_hose" => "2027-05-02")
    expect(dues(rubber)).to eq("fluid" => "2026-11-27", "hose.left_hose" => "2027-05-02")
  end

  describe "of a signed job" do
    it "writes the days of what it renewed, tested and looked at into the record" do
      job = JobInMemory.new(sheet(twin_disc_plain))
      job.add("choose", "water", {"water" => 1.2})
      job.bled
      written = Sandbag::Calendar::SignedDays.written(job.state, "2026-03-14")
      expect(written.value("fluid", "changed_on")).to eq "2026-03-14"
      expect(written.value("fluid", "tested_on")).to eq "2026-03-14"
      expect(written.value("master", "seals_on")).to eq "unknown"
    end

    it "puts the day on every hose that was renewed, and on the seals of a master that was apart" do
      worked = lambda do |route|
        JobInMemory.new(sheet(twin_disc_plain)).tap do |job|
          job.add("ask", "route", {"route" => route})
          expect(Sandbag::Calendar::SignedDays.written(job.state, "2026-03-14").to_h).to eq job.state.sheet.to_h
          job.work_through
        end
      end
      hose = worked["renew_hose"]
      written = Sandbag::Calendar::SignedDays.written(hose.state, "2026-03-14")
      expect(written.parts_of("line").map { |part| written.values(part)["fitted_on"].value }.uniq).to eq ["2026-03-14"]
      resealed = worked["reseal_mc"]
      expect(Sandbag::Calendar::SignedDays.written(resealed.state, "2026-03-14").value("master", "seals_on"))
        .to eq "2026-03-14"
    end
  end
end
