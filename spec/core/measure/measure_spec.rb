# frozen_string_literal: true

RSpec.describe Sandbag::Cylinder::WearLimits do
  # docs/physics.md 8, by hand: nominal => bore limit, piston limit, clearance, out of round, new bore to, new piston
  # from and to
  {
    8 => [8.045, 7.955, 0.09, 0.015, 8.036, 7.965, 7.987],
    10 => [10.045, 9.955, 0.09, 0.015, 10.036, 9.965, 9.987],
    14 => [14.055, 13.945, 0.11, 0.020, 14.043, 13.957, 13.984],
    18 => [18.055, 17.945, 0.11, 0.020, 18.043, 17.957, 17.984],
    19 => [19.065, 18.935, 0.13, 0.025, 19.052, 18.947, 18.980],
    29 => [29.065, 28.935, 0.13, 0.025, 29.052, 28.947, 28.980]
  }.each do |nominal, (bore, piston, clearance, round, bore_new, from, to)|
    it "has the limits of #{nominal} mm" do
      limits = described_class.new(nominal.to_f)
      figures = [
        limits.bore_limit,
        limits.piston_limit,
        limits.clearance_limit,
        limits.round_limit,
        limits.bore_new.last,
        *limits.piston_new
      ]
      figures.zip([bore, piston, clearance, round, bore_new, from, to]) do |have, want|
        expect(have).to be_within(1e-9).of(want)
      end
      expect(limits.source("bore_limit")).to eq "default"
    end
  end

  it "goes on by the same rule beyond the table of the practice, wider with every step of size" do
    rows = [5.5, 8, 14, 22, 35, 60].map { |nominal| described_class.new(nominal.to_f) }
    {
      bore_limit: ->(limits) { limits.bore_limit - limits.nominal_mm },
      clearance_limit: ->(limits) { limits.clearance_limit },
      round_limit: ->(limits) { limits.round_limit }
    }.each_value do |width|
      widths = rows.map(&width)
      expect(widths.each_cons(2)).to all(satisfy { |narrow, wide| wide > narrow })
    end
    rows.each do |limits|
      expect(limits.bore_limit - limits.bore_new.last).to be_between(0.008, 0.014)
      expect(limits.clearance_limit).to be > limits.bore_new.last - limits.piston_new.first
    end
  end

  it "gives way to the service information, figure by figure" do
    limits = described_class.new(14.0, "bore_limit" => 14.03)
    expect([limits.bore_limit, limits.source("bore_limit"), limits.piston_limit, limits.source("piston_limit")]).to eq [
      14.03,
      "service_info",
      13.945,
      "default"
    ]
  end

  it "refuses a bore no table knows" do
    [3.0, 80.1].each { |nominal| expect { described_class.new(nominal) }.to raise_error(Sandbag::Refusal, /no limits/) }
  end
end

RSpec.describe Sandbag::Measure::Judgement do
  def verdict(value, limit: 14.055, uncertainty: 0.005, most: true)
    described_class.new("bore", "Largest bore", value, limit, uncertainty, most: most, source: "default").verdict
  end

  it "is too close to call within the gauge's uncertainty of the limit, either side, edge included" do
    expect(
      {
        14.049 => "reuse",
        14.050 => "too_close",
        14.055 => "too_close",
        14.060 => "too_close",
        14.061 => "renew"
      }.to_h { |value, _| [value, verdict(value)] }
    ).to eq(14.049 => "reuse", 14.050 => "too_close", 14.055 => "too_close", 14.060 => "too_close", 14.061 => "renew")
    expect([13.951, 13.950, 13.940, 13.939].map { |value| verdict(value, limit: 13.945, most: false) }).to eq %w[
      reuse
      too_close
      too_close
      renew
    ]
  end

  it "never goes from renew back to reuse as a bore wears" do
    for_all(bore: 14.0..14.2, more: 0.0..0.1, uncertainty: 0.0..0.02) do |bore:, more:, uncertainty:|
      before, after =
        [bore, bore + more].map { |value| described_class::VERDICTS.index(verdict(value, uncertainty: uncertainty)) }
      expect(after).to be >= before
    end
  end

  it "says by how much" do
    judged = described_class.new("bore", "Largest bore", 14.071, 14.055, 0.005, most: true, source: "default")
    expect(said(judged.why)).to eq "Largest bore 14.071 mm, at most 14.055: 0.016 mm beyond."
  end
end

RSpec.describe Sandbag::Measure::Stage do
  let(:job) do
    JobInMemory
      .new(
        sheet(twin_disc_plain).change("master", "bore", 14, "part_marking").change(
          "master",
          "construction",
          "bar_axial_circlip",
          "measured"
        )
      )
      .laid_out
      .set_up
      .strip_all
  end

  def verdict
    job.state.measure.verdict
  end

  def judged
    job.view("measure")[:judgements].to_h { |each| [each[:id], each.values_at(:value_mm, :verdict)] }
  end

  it "can be opened on every bore that a circuit may have" do
    {"master" => [5, 6, 30, 30.5, 40], "slave" => [8, 31, 45, 60]}.each do |part, bores|
      bores.each do |bore|
        brake = (part == "slave") ? clutch_plain : twin_disc_plain
        worked = JobInMemory.new(sheet(brake).change(part, "bore", bore, "part_marking"))
        worked.laid_out(route: (part == "slave") ? "slave_work" : "reseal_mc")
        expect(worked.state.stages["measure"]).to be_apart
        expect(worked.view("measure")[:limits][:nominal_mm]).to eq bore
      end
    end
  end

  it "lets a call stand for the readings it was made on, and for no later one" do
    job.look_over.gauge(bore: 14.053, piston: 13.97)
    expect(verdict.id).to eq "too_close"
    job.add("measure", "called", {"verdict" => "reuse", "reason" => "second gauge says 14.050"})
    expect(verdict.id).to eq "reuse"
    job.add("measure", "finding", {"check" => "boot", "value" => "cracked"})
    expect(verdict).to have_attributes(
      id: "parts",
      reasons: a_collection_including("Called by the mechanic: second gauge says 14.050")
    )
    job.add("measure", "finding", {"check" => "boot", "value" => "whole"})
    job.add("measure", "gauge", {"place" => "piston.1.b", "value" => 13.942, "gauge" => "micrometer"})
    expect(verdict.id).to eq "too_close"
  end

  it "refuses a look that is not taken here, and a finding it does not have" do
    expect(refusal_at { job.add("measure", "finding", {"check" => "bore", "value" => "shiny"}) }).to eq ["data/value"]
    elsewhere =
      (
        Sandbag::Tables.rows("inspections").map { |row| row["id"] } -
          job.state.measure.looks.map(&:id)
      ).first
    refused = problems { job.add("measure", "finding", {"check" => elsewhere, "value" => "sound"}) }.first
    expect(refused).to have_attributes(
      pointer: "data/check",
      message: a_string_including("not looked at here"),
      accepted: a_string_including("bore, mouth")
    )
  end

  it "asks for every look and every reading, and reuses what passes" do
    expect(verdict.id).to eq "open"
    job.look_over.gauge(bore: 14.020, piston: 13.970)
    expect(verdict.id).to eq "reuse"
    expect(judged["clearance"]).to match [be_within(1e-9).of(0.05), "reuse"]
    expect(job.state.measure).to be_done
  end

  it "takes the largest bore, the smallest piston, the worst ovality and the taper" do
    job.look_over.gauge(bore: 14.010, piston: 13.970, bore_2_a: 14.030, bore_2_b: 14.016, piston_1_b: 13.962)
    expect(judged["bore"]).to eq [14.03, "reuse"]
    expect(judged["piston"]).to eq [13.962, "reuse"]
    # 0.020 less 0.014 is under √2 · 0.005
    expect(judged["out_of_round"]).to match [be_within(1e-9).of(0.014), "too_close"]
    expect(job.view("measure")[:taper_mm]).to be_within(1e-9).of(0.013)
  end

  it "renews the cylinder for a bore beyond its limit, whatever the piston" do
    job.look_over.gauge(bore: 14.070, piston: 13.990)
    expect([verdict.id, said(verdict.reasons.first)]).to match ["unit", a_string_including("Largest bore 14.070 mm")]
    expect(said(job.state.measure.unresolved)).to include("0.015 mm beyond")
  end

  it "renews the cylinder for an oval bore" do
    job.look_over.gauge(bore: 14.010, piston: 13.970, bore_3_a: 14.045)
    expect(verdict.id).to eq "unit"
    expect(judged["out_of_round"]).to match [be_within(1e-9).of(0.035), "renew"]
  end

  it "renews the piston for a worn piston, and measures the bore alone once it is new" do
    job.look_over.gauge(bore: 14.020, piston: 13.930)
    expect([verdict.id, verdict.parts]).to eq ["parts", ["piston"]]
    expect(job.state.measure.waits_for).to include("piston")
    job.add("measure", "renewed", {"part" => "piston", "reason" => "in the kit"})
    expect(verdict.id).to eq "reuse"
    expect(job.view("measure")[:places].map { |place| place[:part] }.uniq).to eq ["bore"]
  end

  it "leaves a figure at the limit to the mechanic, who says why" do
    job.look_over.gauge(bore: 14.052, piston: 13.990)
    expect([verdict.id, said(verdict.reasons.first)]).to match [
      "too_close",
      a_string_including("within the gauge's 0.005 mm")
    ]
    expect(refusal_at { job.add("measure", "called", {"verdict" => "reuse"}) }).to eq ["data/reason"]
    job.add("measure", "called", {"verdict" => "reuse", "reason" => "three readings at 14.050"})
    expect(verdict.id).to eq "reuse"
    job.add("measure", "called", {"verdict" => "renew", "reason" => "rescue machine"})
    expect(verdict.id).to eq "unit"
  end

  it "takes no call where the figures are plain" do
    job.look_over.gauge(bore: 14.020, piston: 13.970)
    expect(refusal_at { job.add("measure", "called", {"verdict" => "reuse", "reason" => "fine"}) }).to eq [
      "data/verdict"
    ]
  end

  it "refuses a sliding caliper, which cannot judge a bore, and a slip of the key" do
    place = {"place" => "bore.1.a", "gauge" => "caliper", "value" => 14.0}
    expect(problems { job.add("measure", "gauge", place) }.first.message).to include("cannot judge a bore")
    expect(
      problems { job.add("measure", "gauge", place.merge("gauge" => "bore_gauge", "value" => "15.02")) }.first.message
    ).to include("1.02 mm from the nominal 14")
    expect(
      refusal_at { job.add("measure", "gauge", place.merge("place" => "bore.9.z", "gauge" => "bore_gauge")) }
    ).to eq ["data/place"]
  end

  it "applies no limit to a nominal that is not proven" do
    doubtful =
      JobInMemory.new(sheet(twin_disc_plain).change("master", "bore", 14, "measured")).laid_out.set_up.strip_all
    doubtful.look_over.gauge(bore: 14.02, piston: 13.97)
    expect(doubtful.state.measure.verdict.reasons.join).to include("not proven")
  end

  it "goes by eye where there is no gauge, and says so" do
    job.look_over
    job.add("measure", "by_eye", {"reason" => "no small-hole gauge for it"})
    expect(verdict.id).to eq "reuse"
    expect(job.state.measure).to be_by_eye
  end

  {"pit" => "unit", "score" => "unit", "plating" => "unit", "film" => "open"}.each do |finding, id|
    it "makes #{id} of a bore with #{finding}" do
      job.look_over(bore: finding).gauge(bore: 14.02, piston: 13.97)
      expect(verdict.id).to eq id
    end
  end

  it "renews a cracked boot and a kinked spring, and says which" do
    job.look_over(boot: "cracked", spring: "kinked").gauge(bore: 14.02, piston: 13.97)
    expect([verdict.id, verdict.parts]).to eq ["parts", %w[boot spring]]
    %w[boot spring].each { |part| job.add("measure", "renewed", {"part" => part}) }
    expect(verdict).to be_settled
    expect(refusal_at { job.add("measure", "renewed", {"part" => "engine"}) }).to eq ["data/part"]
  end

  it "renews a spring over 3 % off its new length, long or short" do
    job.look_over.gauge(bore: 14.02, piston: 13.97)
    job.add("measure", "spring", {"free" => "41.0", "new" => "42"})
    expect(verdict.id).to eq "reuse"
    {
      "40.5" => ["parts", ["spring"]],
      "43.5" => ["parts", ["spring"]],
      "40.74" => ["too_close", []]
    }.each do |free, outcome|
      job.add("measure", "spring", {"free" => free, "new" => "42"})
      expect([verdict.id, verdict.parts]).to eq outcome
    end
  end

  it "stops at swollen rubber: the wrong fluid was in it, and every rubber part is renewed" do
    job.add("measure", "finding", {"check" => "old_cups", "value" => "swollen"})
    expect(job.state.stop).to start_with("Wrong or mixed fluid")
    expect(refusal_at { job.add("measure", "by_eye", {"reason" => "no gauge"}) }).to eq ["stage"]
    job.add("ask", "route", {"route" => "renew_rubber"})
    job.look_over(old_cups: "swollen").add("measure", "by_eye", {"reason" => "no gauge on hand"})
    expect(job.state.measure.reports.map { |report| [report.unit.label, report.settled?] })
      .to eq [["Master", true], ["Left caliper", true], ["Right caliper", true]]
    expect(job.state.do_not_use).to start_with("Wrong or mixed fluid")
  end

  it "sends the job back to Choose when the cylinder is to be renewed" do
    job.look_over(bore: "pit")
    job.add("ask", "route", {"route" => "renew_mc", "reason" => "Bore: pit."})
    expect(job.state.current).to eq "choose"
    expect(job.state.waits_for).to include("a cylinder")
    expect(job.state.measure).not_to be_apart
  end

  it "compares new with old where a new one goes on" do
    job.add("ask", "route", {"route" => "renew_mc"})
    expect(job.state.measure.waits_for).to eq "compare new with old: cylinder"
    job.add("measure", "compared", {"row" => "master", "value" => "differs", "note" => "clamp 22.2 for 22"})
    expect(refusal_at { job.add("measure", "compared", {"row" => "master", "value" => "resolved"}) }).to eq [
      "data/note"
    ]
    job.add("measure", "compared", {"row" => "master", "value" => "resolved", "note" => "right clamp fetched"})
    %w[bracket banjo connector].each { |row| job.add("measure", "compared", {"row" => row, "value" => "same"}) }
    expect(job.state.measure).not_to be_done
    expect(refusal_at { job.add("measure", "compared", {"row" => "master", "value" => "none"}) }).to eq ["data/value"]
    job.add("measure", "compared", {"row" => "lever", "value" => "none"})
    expect(job.state.measure).to be_done
    expect(refusal_at { job.add("measure", "compared", {"row" => "slave", "value" => "same"}) }).to eq ["data/row"]
  end
end
