# frozen_string_literal: true

RSpec.describe App::JobCardSections do
  include ShelfThings

  let(:job) { JobInMemory.new(sheet(twin_disc_plain)) }

  # The card's sections, their figures in the core's units.
  def told(job, stock = Sandbag::Shelf::Stock.new)
    Plainly.read(described_class.of(job.state, stock)).to_h
  end

  def section(title)
    told(job).fetch(title).to_h
  end

  it "tells the whole job in words" do
    job.add("ask", "complaint", {"text" => "soft after the winter"})
    job.add("ask", "note", {"text" => "bar end scraped"})
    job.bled
    job.read_lever(air_ml: 0.02)
    job.add("feel", "hold", {"creep" => 0.4})
    expect(section("Ask")).to include("Complaint" => "soft after the winter", "Note" => "bar end scraped",
      "Lever feel" => "Spongy")
    expect(section("Choose")).to include("Fluid in" => "DOT 4 glycol", "Fluid to have" => "152 mL",
      "Bleeding method" => "Hold, open, close, release")
    expect(section("Bleed")["Right caliper"]).to match(/\A11 strokes, 38 mL, last 11 without a bubble\z/)
    expect(section("Feel")).to include("Static hold" => "0.4 mm in 60 s, limit 2.0",
      "Verdict" => a_string_including("clear of air"))
    expect(section("Release gates")).to include("Bleeding finished" => "yes", "No leak" => "NO: not watched yet")
  end

  it "tells of red flags and who lifted them, of starting over, and of what was accepted" do
    job.add("ask", "flag", {"flag" => "R10", "part" => "master"})
    job.add("ask", "lifted", {"flag" => "R10", "lead" => "R. Tarn", "reason" => "new unit"})
    job.strokes(3)
    job.add("bleed", "uncovered")
    job.bled
    job.read_lever(air_ml: 0.12)
    job.add("feel", "accepted", {"reason" => "rubber hoses"})
    expect(section("Ask")["Red flag"]).to include("Crack").and include("lifted by R. Tarn: new unit")
    expect(section("Bleed")["Started over"]).to include("3 counted strokes")
    expect(section("Feel")).to include("Accepted" => "rubber hoses")
  end

  it "tells how it was bled: way, hands, warmth, refills, the jar, what went wrong, and what was looked at" do
    job.add("bleed", "people", {"people" => 2})
    job.add("bleed", "temperature", {"celsius" => 5})
    job.strokes(4)
    %w[hold open release].each { |beat| job.add("bleed", "beat", {"beat" => beat}) }
    job.add("bleed", "jar", {"ml" => 12})
    job.add("bleed", "method", {"method" => "hand_vacuum"})
    job.add("bleed", "tool_tight", {"first" => 0.06, "after" => 0.06})
    job.look_before_fluid
    job.add("bleed", "run", {"ml" => 6})
    said = section("Bleed")
    expect(said["Bleeding method"]).to eq "Hand vacuum pump, 2 pairs of hands, fluid at 5 °C"
    expect(said["Changed"]).to start_with "Hold, open, close, release to Hand vacuum pump. 12 mL are kept"
    expect(said["Right caliper"]).to eq "4 strokes, 18 mL, last 6 mL without a bubble, not finished"
    expect(said["Catch jar"]).to include "a stroke moves 3.00 mL ± 0.25 mL"
    expect(said["Tool tight"]).to eq "0.060 MPa, 0.060 MPa after 15 s. It holds: the tool is tight."
    expect(said["Cycle not counted"]).to include "drawn air in"
    expect(said["Refills"]).to eq "0"
    expect(told(job)["Bleed"]).to include ["Looked at", "The reservoir's lid: Laid on loosely"]
  end

  it "tells of the lift of a clutch" do
    clutch = JobInMemory.new(sheet(clutch_plain)).bled
    clutch.add("feel", "lift", {"lift" => 2.3})
    expect(told(clutch)["Feel"].to_h["Verdict"]).to include("2.30 mm measured")
  end

  it "has nothing to say of stages the job does not have" do
    job.add("ask", "route", {"route" => "adjust_free_play"})
    expect(told(job).keys & %w[Choose Bleed]).to be_empty
  end

  it "names what came off the shelf, and what was bought instead" do
    kit = JobInMemory.new(sheet(clutch_plain))
    kit.add("ask", "route", {"route" => "reseal_mc"})
    kit.add("choose", "fluid", {"fluid" => "dot4", "stamped" => "dot4"})
    kit.add("choose", "water", {"water" => "2,4"})
    kit.add("choose", "pulled", {"line" => "fluid", "item" => "bottle", "count" => 80})
    kit.add("choose", "pulled", {"line" => "kit", "reason" => "bought, lips compared"})
    rows = told(kit, stock_of(added_bottle))["Choose"]
    expect(rows).to include(["Water before", "2.4 %"], ["Fluid bottle", "Bottle bottle"],
      ["Kit", "bought, lips compared"])
  end

  it "tells of the cylinder: what came out, what it measured, how it went together" do
    job = JobInMemory.new(sheet(twin_disc_plain).change("master", "bore", 14, "part_marking")).laid_out.set_up.strip_all
    job.look_over.gauge(bore: 14.02, piston: 13.97)
    job.build_all
    sections = told(job)
    expect(sections["Strip"].to_h).to include("Out" => a_string_including("pieces"))
    expect(sections["Measure"].to_h).to include("Verdict" => a_string_starting_with("Reuse"),
      "Largest bore" => a_string_including("Limit: default"))
    expect(sections["Build"].to_h).to include("Tray" => a_string_including("at zero"), "Free return" => "passed")
  end
end
