# frozen_string_literal: true

RSpec.describe Sandbag::Measure::InnerComparison do
  def apart(route, circuit = sheet(clutch_plain))
    job = JobInMemory.new(circuit.change("master", "bore", 14, "part_marking"))
    job.answer_stops
    job.laid_out(route: route).set_up.strip_all.look_over
    job.add("measure", "by_eye", {"reason" => "no gauge on hand"})
    job
  end

  def compare(job, row, value, **more)
    job.add("measure", "inner", {"row" => row, "value" => value, **more.transform_keys(&:to_s)})
  end

  let(:job) { apart("reseal_mc") }

  it "asks of what came out and is renewed, by what the kit's parts are told apart" do
    lines = job.state.measure.inner.lines.to_h { |line| [line.id, line.compare] }
    expect(lines.keys).to eq %w[rubber piston spring rings]
    expect(lines["rubber"]).to include("Primary cup: outer and inner diameter, lip height, material", "Dust boot:")
    expect(lines["piston"]).to eq "Piston: length, groove spacing, nose and boot end"
  end

  it "builds nothing before each is compared" do
    expect(job.state.measure.waits_for).to eq "compare new with old: cups, seals and boots"
    expect(refusal_at { job.add("build", "step", {"step" => job.state.build.step.id}) }).to eq ["data/step"]
    {"rubber" => "same", "piston" => "kept", "spring" => "kept", "rings" => "same"}.each do |row, value|
      expect(job.state.measure.done?).to be false
      compare(job, row, value)
    end
    expect(job.state.measure.done?).to be true
  end

  it "stays open while a part differs, and takes no answer without its words" do
    compare(job, "rubber", "differs", note: "the lip is a millimetre lower")
    expect(job.state.measure.inner.open.map(&:id)).to include "rubber"
    expect(refusal_at { compare(job, "rubber", "resolved") }).to eq ["data/note"]
    compare(job, "rubber", "resolved", note: "the right kit fetched, laid beside the old")
    expect(job.state.measure.inner.open.map(&:id)).not_to include "rubber"
    expect(refusal_at { compare(job, "rubber", "kept") }).to eq ["data/value"]
    expect(refusal_at { compare(job, "rings", "maker", note: "R. Tarn") }).to eq ["data/value"]
    expect(refusal_at { compare(job, "bracket", "same") }).to eq ["data/row"]
  end

  it "believes two lengths over a word: a piston 0.3 mm longer is another variant" do
    compare(job, "piston", "same")
    figure = ->(new) {
      job.add("measure", "inner_figure", {"row" => "piston", "figure" => "length", "old" => 52.1, "new" => new})
    }
    figure[52.4]
    expect(job.state.measure.inner.open.map(&:id)).to include "piston"
    expect(problems { compare(job, "piston", "same") }.first.message).to match(/length over all differ/)
    figure[52.3]
    compare(job, "piston", "maker", note: "R. Tarn: length and grooves measured, ports covered")
    expect(job.state.measure.inner.open.map(&:id)).not_to include "piston"
    expect(refusal_at {
      job.add("measure", "inner_figure", {"row" => "spring", "figure" => "length", "old" => 20, "new" => 20})
    }).to eq ["data/figure"]
  end

  it "does not put the old piston back where the job renews it" do
    renewed = apart("piston_mc")
    expect(refusal_at { compare(renewed, "piston", "kept") }).to eq ["data/value"]
    compare(renewed, "piston", "same")
  end

  it "asks nothing of a cylinder that is past use" do
    past = JobInMemory.new(sheet(clutch_plain).change("master", "bore", 14, "part_marking"))
    past.answer_stops
    past.laid_out.set_up.strip_all.look_over(bore: "pit")
    expect(past.state.measure.inner.lines).to be_empty
  end
end
