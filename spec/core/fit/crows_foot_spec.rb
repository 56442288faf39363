# frozen_string_literal: true

# A wrench of 300 mm with a foot of 45 mm in line: the fastener gets M × 345 / 300.
RSpec.describe Sandbag::Fastening::CrowsFoot do
  let(:job) do
    JobInMemory.new(changed_sheet).tap do |job|
      job.answer_stops
      job.add("ask", "route", {"route" => "remake_joint"})
      job.work_everywhere
      job.choose_what_is_wanted
      job.protect
    end
  end

  def changed_sheet
    sheet(twin_disc_plain).change("master", "bolt_material", "steel", "measured")
  end

  def joint
    job.state.fit.torques.lines.find { |line| line.range && line.when == "before" }
  end

  def tightened(wrench, nm)
    job.add("fit", "wrench", wrench)
    job.write("fit", "torque", {"fastener" => joint.id, "value" => nm})
    joint
  end

  it "adds nothing by itself" do
    expect(described_class.factor({"scale" => 50})).to eq 1.0
    expect(described_class.factor({"scale" => 50, "arm" => 300, "foot" => 45})).to be_within(1e-9).of(1.15)
  end

  it "lengthens the wrench: it is set lower, and what it reads counts for more" do
    aim = joint.range.aim
    expect(joint.set_nm({"scale" => 60, "arm" => 300, "foot" => 45})).to be_within(1e-9).of(aim / 1.15)
    expect(joint.set_nm({"scale" => 60})).to be_nil
    line = tightened({"scale" => 60, "arm" => 300, "foot" => 45}, joint.range.to)
    expect(line.value_nm).to be_within(1e-9).of(line.range.to * 1.15)
    expect(line.verdict).to eq "over"
    expect(tightened({"scale" => 60}, joint.range.to).verdict).to eq "in"
  end

  it "is given with the length of the wrench, or not at all" do
    expect(problems { job.add("fit", "wrench", {"scale" => 60, "foot" => 45}) }.first.pointer).to eq "data/arm"
    expect(problems { job.add("fit", "wrench", {"scale" => 60, "arm" => 300}) }.first.pointer).to eq "data/foot"
  end
end
