# frozen_string_literal: true

RSpec.describe Sandbag::Close::Discs do
  # A job whose lever is proven: only its gates are open.
  def job
    @job ||= JobInMemory.new(sheet(twin_disc_plain)).tap do |worked|
      worked.answer_stops
      worked.add("ask", "route", {"route" => "bleed"})
    end
  end

  def measure(figure, value, part: "left_caliper")
    job.add("close", "disc", {"part" => part, "figure" => figure, "value" => value})
  end

  def friction
    job.state.close.gate_called("friction")
  end

  it "says nothing of a disc that nobody measured, or whose least thickness nobody read" do
    expect(job.view("close")[:discs][:items].map(&:keys)).to all eq %i[id label thin]
    measure("thickness", 3.9)
    expect(job.state.close.discs.fault).to be_nil
    expect(friction).to have_attributes(state: :open, computed?: false)
  end

  it "holds the release over a disc under its least thickness, until a new one is measured" do
    measure("least", 4.0)
    measure("thickness", 3.99)
    expect(friction).to have_attributes(state: :open, computed?: true,
      why: a_string_including("left caliper: the disc is").and(end_with("a new disc")))
    expect(Sandbag::Said.plain(friction.why))
      .to eq "left caliper: the disc is 3.99 mm at its thinnest, at least 4.00 mm: a new disc"
    expect { job.add("close", "gate", {"gate" => "friction", "met" => true}) }
      .to raise_error(Sandbag::Refusal, /worked out/)
    measure("thickness", 4.0)
    expect(friction).to have_attributes(state: :open, computed?: false)
    job.add("close", "gate", {"gate" => "friction", "met" => true})
    expect(friction.state).to eq :met
  end

  it "refuses a disc where there is none" do
    expect { measure("thickness", 4.5, part: "master") }.to raise_error(Sandbag::Refusal, /no pads and no disc here/)
    clutch = JobInMemory.new(Sandbag::Circuit::Template.filled("road_clutch"))
    expect { clutch.add("close", "disc", {"part" => "slave", "figure" => "least", "value" => 4}) }
      .to raise_error(Sandbag::Refusal, /no pads and no disc here/)
    expect(clutch.view("close")).not_to have_key(:discs)
  end

  it "is kept in the machine's record by the signature, and holds the next job by it" do
    measure("least", 4.0)
    measure("thickness", 3.9, part: "right_caliper")
    measure("least", 4.0, part: "right_caliper")
    written = Sandbag::Calendar::SignedDays.written(job.state, "2026-03-14")
    left, right = %w[left_caliper right_caliper].map { |id| written.values(written.part(id)) }
    expect([left["disc_least"].value, right["disc_thickness"].value]).to eq [4.0, 3.9]
    expect(right["disc_thickness"].source).to eq "measured"
    expect(described_class.new(written, {}).fault).to include "right caliper"
  end
end
