# frozen_string_literal: true

RSpec.describe Sandbag::Build::Stage, "before the first part goes in" do
  def measured(circuit, **answers)
    job = JobInMemory.new(circuit)
    job.answer_stops
    answers.each { |question, value| job.add("ask", "intake", {"question" => question.to_s, "value" => value}) }
    job.laid_out.set_up.strip_all.look_over
    job.add("measure", "by_eye", {"reason" => "no gauge on hand"})
    job.state.measure.inner.open.each { |line| job.add("measure", "inner", {"row" => line.id, "value" => "same"}) }
    job
  end

  let(:job) { measured(sheet(clutch_plain).change("master", "bore", 14, "part_marking")) }

  def now
    Sandbag::Build::Now.new(job.state.build).to_a.first
  end

  it "asks whether parts are clean, then whether cups are soaked, with a clock, and takes no step before" do
    expect(now).to include(kind: "question", id: "check.wiped")
    expect(job.state.build.waits_for).to start_with "clean, dry and wiped"
    expect(problems { job.add("build", "step", {"step" => job.state.build.step.id}) }.first.message)
      .to start_with "not yet: clean, dry and wiped"
    job.add("build", "check", {"check" => "wiped", "pass" => true})
    expect(now).to include(id: "check.soaked", clock_s: 300)
    job.add("build", "check", {"check" => "soaked", "pass" => true})
    expect(now[:id]).not_to start_with "check."
    job.face(job.state.build.step)
    job.add("build", "step", {"step" => job.state.build.step.id})
    job.add("build", "check", {"check" => "wiped", "pass" => false})
    expect(refusal_at { job.add("build", "step", {"step" => job.state.build.step.id}) }).to eq ["data/step"]
  end

  it "primes the master on the bench where ABS is fitted, and asks for the lips of every one" do
    checks = ->(abs, **answers) {
      measured(changed(twin_disc_plain, "vehicle", abs: abs).change("master", "bore", 19, "part_marking"), **answers)
        .state.build.checks.map { |check| check.dig(:row, "id") }
    }
    expect(checks["none"]).to include("lips", "wiped", "soaked").and satisfy { |ids| !ids.include?("primed") }
    expect(checks["fitted", abs: "fitted", abs_tool: "yes"]).to include "primed"
  end
end
