# frozen_string_literal: true

RSpec.describe Sandbag::Choose::Gearing do
  def renewing(template)
    JobInMemory.of_template(template).tap do |job|
      job.answer_stops
      job.add("ask", "route", {"route" => "renew_mc"})
    end
  end

  def card(job) = job.view("choose")[:now].first

  # N of brake force for each MPa, as the Sizer works it out.
  def braking(job)
    circuit = Sandbag::Circuit::Assembly.build(job.state.choose.sizing_sheet)
    circuit.vehicle.brake_n_mpa(circuit.clamp_area_mm2)
  end

  it "is asked before a cylinder is sized, and taken as teeth over teeth" do
    job = renewing("snow_jackshaft")
    expect(card(job)).to include(kind: "reading", id: "gearing", detail: a_string_including("39/19"))
    expect(card(job)[:answers].first[:label]).to eq "Unknown: use 2.4, the trade's default"
    by_default = braking(job)
    job.add("choose", "gearing", {"ratio" => "39/19"})
    expect(braking(job) / by_default).to be_within(1e-9).of(39.0 / 19 / 2.4)
    expect(job.state.sheet.source("vehicle", "drive_ratio")).to eq "measured"
    expect(card(job)[:id]).to eq "cylinder"
  end

  it "stays at its default, marked so, where nobody knows it" do
    job = renewing("snow_jackshaft")
    job.add("choose", "gearing", {})
    expect(card(job)[:id]).to eq "cylinder"
    expect(job.state.sheet.source("vehicle", "drive_ratio")).to eq "default"
  end

  it "is not asked again where the record has it, where the disc is not on such a shaft, or once it is sized" do
    known = JobInMemory.new(Sandbag::Circuit::Template.filled("snow_jackshaft").set("vehicle", "drive_ratio", 2.1,
      "service_info"))
    known.answer_stops
    known.add("ask", "route", {"route" => "renew_mc"})
    sized = renewing("snow_jackshaft")
    sized.choose_what_is_wanted
    [known, sized, renewing("snow_driveshaft"), renewing("road_rear")].each do |job|
      expect(job.state.choose).not_to be_gearing_wanted
    end
  end

  it "is not asked of a job that sizes nothing, and not taken where no shaft is geared" do
    job = JobInMemory.of_template("snow_jackshaft")
    job.ready_to_bleed("bleed")
    expect(job.state.choose).not_to be_gearing_wanted
    expect(problems { renewing("road_rear").add("choose", "gearing", {"ratio" => 2}) }.first.message)
      .to include "no geared shaft"
  end
end
