# frozen_string_literal: true

RSpec.describe Sandbag::Bleed::JarSum do
  let(:sum) { described_class.new(full_ml: 3.0) }

  it "sets the stroke by what the jar holds: 21 mL after 8 strokes are 2.625 ± 0.125" do
    read = sum.read(21.0, 8)
    expect([read.stroke_ml, read.error_ml, read.bound]).to eq [2.625, 0.125, false]
    expect(read.read(31.5, 12).stroke_ml).to eq 2.625
    expect(Sandbag::Said.plain(read.says))
      .to eq "By the jar a stroke moves 2.62 mL ± 0.12 mL; the cylinder sweeps 3.00 mL."
  end

  it "reads on from an emptied jar" do
    read = sum.read(20.0, 8, emptied: true).read(10.0, 12)
    expect(read.stroke_ml).to eq 2.5
  end

  it "holds what cannot be to what can, and says so" do
    expect(sum.read(40.0, 8)).to have_attributes(stroke_ml: 3.0, bound: true)
    expect(sum.read(1.0, 8)).to have_attributes(stroke_ml: be_within(1e-9).of(0.9), bound: true)
    expect(Sandbag::Said.plain(sum.read(40.0, 8).says)).to include "count and jar do not belong together"
  end

  it "says nothing of two strokes, and objects to a jar that holds less than before" do
    expect(sum.objection(5.0, 2)).to include "say nothing"
    expect(Sandbag::Said.plain(sum.read(21.0, 8).objection(20.0, 12))).to include "cannot hold less"
    expect(sum.objection(9.0, 3)).to be_nil
  end

  describe "in a bleed" do
    let(:job) do
      JobInMemory.new(sheet(twin_disc_plain)).tap do |job|
        job.add("ask", "route", {"route" => "bleed"})
        job.strokes(5)
      end
    end

    it "carries all that is still to come: points, and the next refill" do
      before = job.state.bleed.count
      job.add("bleed", "jar", {"ml" => 10})
      after = job.state.bleed.count
      expect(after.stroke_ml).to eq 2.0
      expect(after.current.passed_ml).to eq 10.0
      expect(after.current.strokes_to_go).to eq (after.current.plan_point.flush_ml / 2.0).ceil - 5
      expect(after.reservoir.strokes_to_top_up).to be > before.reservoir.strokes_to_top_up
      expect(after.reservoir.left_ml).to eq 28.0 - 10.0
    end

    it "leaves the stroke as it was where strokes before the reading are taken back, until too few are left" do
      before = job.state.bleed.count
      job.add("bleed", "jar", {"ml" => 10})
      job.entries.select { |entry| entry.kind == "stroke" }.last(3).each { |entry| job.undo("bleed", entry.id) }
      after = job.state.bleed.count
      expect([after.stroke_ml, after.reservoir.stroke_ml]).to eq [before.stroke_ml, before.reservoir.stroke_ml]
    end

    it "is refused before three strokes and where millilitres are read anyway" do
      job.add("bleed", "jar", {"ml" => 10})
      expect(refusal_at { job.add("bleed", "jar", {"ml" => 12}) }).to eq ["data/ml"]
      job.add("bleed", "method", {"method" => "hand_vacuum"})
      expect(refusal_at { job.add("bleed", "jar", {"ml" => 30}) }).to eq ["kind"]
    end
  end
end
