# frozen_string_literal: true

# docs/trade.md 8.2: what is normal after what was done.
RSpec.describe Sandbag::Feel::Expected do
  def normal(kind_sheet, route, **changes)
    job = JobInMemory.new(kind_sheet)
    job.add("ask", "finding", {"finding" => "lever_feel", "value" => "spongy"})
    job.add("ask", "route", {"route" => route})
    now = changes.reduce(job.state.sheet) { |all, (field, value)| all.set("master", field.to_s, value, "measured") }
    described_class.new(job.state, Sandbag::Circuit::Assembly.build(job.state.fitted),
      Sandbag::Circuit::Assembly.build(now)).to_a
  end

  it "says nothing after a plain bleed" do
    expect(normal(sheet(twin_disc_plain), "bleed")).to eq []
  end

  it "says what a larger bore does to travel and force, by the areas" do
    bore = sheet(twin_disc_plain).value("master", "bore")
    said = normal(sheet(twin_disc_plain), "bleed", bore: bore * Math.sqrt(1.25))
    expect(said).to contain_exactly(include(label: "Larger bore"))
    # a quarter more area: four fifths of the travel, and a quarter more pull less what the spring takes of both
    expect(said.first[:says]).to match(/Shorter and heavier: 80 % of the travel, 12\d % of the force/)
  end

  it "says that a swelling hose is not air, and that pads off make empty strokes" do
    hose = sheet(twin_disc_plain)
    hose = hose.parts_of("line").reduce(hose) { |all, part| all.change(part["id"], "kind", "rubber", "measured") }
    expect(normal(hose, "renew_hose").map { |state| state[:label] }).to eq ["New hose of ordinary rubber"]
    expect(normal(sheet(twin_disc_plain), "slave_work").map { |state| state[:label] })
      .to eq ["Pads were off, or pistons pushed back"]
    expect(normal(sheet(twin_disc_plain), "friction_work").map { |state| state[:label] })
      .to eq ["Pads were off, or pistons pushed back", "New pads"]
  end
end
