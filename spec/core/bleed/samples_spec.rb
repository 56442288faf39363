# frozen_string_literal: true

RSpec.describe Sandbag::Bleed::Samples do
  let(:job) do
    JobInMemory.new(sheet(twin_disc_plain)).tap do |job|
      job.ready_to_bleed("bleed")
      job.choose_what_is_wanted
    end
  end

  def seen(**samples)
    samples.each { |point, sample| job.add("bleed", "sample", {"point" => point.to_s, "sample" => sample}) }
    job.view("bleed")[:samples_say]
  end

  it "say nothing of clean fluid" do
    expect(seen(right_caliper: "clean", left_caliper: "clean")).to eq []
  end

  it "look at the end that alone shows it, once another was looked at" do
    expect(seen(right_caliper: "grit"))
      .to eq ["Grit or sludge at Right caliper, a sign of dirt or corrosion. Compare it with the other points."]
    expect(seen(left_caliper: "clean")).to eq [
      "Grit or sludge at Right caliper only, a sign of dirt or corrosion: look at that end and its hose."
    ]
  end

  it "look at the master where every point shows it" do
    said = seen(right_caliper: "rubber", left_caliper: "rubber").first
    expect(said).to start_with("Black rubber at every point")
      .and end_with "look at the master, its reservoir and what they share."
  end

  it "are of a point that the circuit has" do
    expect(problems { seen(nowhere: "grit") }.first.pointer).to eq "data/point"
  end
end
