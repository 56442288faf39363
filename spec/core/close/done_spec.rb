# frozen_string_literal: true

RSpec.describe Sandbag::Close::Done do
  def done(job) = described_class.new(job.state).to_a.map { |line| Sandbag::Said.plain(line) }

  it "says of a job on which nothing was done yet that nothing was" do
    job = JobInMemory.new(sheet(twin_disc_plain))
    job.add("ask", "route", {"route" => "reseal_mc"})
    job.choose_what_is_wanted
    expect(done(job)).to eq []
  end

  it "says what went in new, what was found of the old, what was resealed, and when the fluid is due" do
    job = JobInMemory.new(sheet(twin_disc_plain))
    job.add("ask", "finding", {"finding" => "hold_sink", "value" => "slow"})
    job.laid_out.set_up.strip_all
    job.look_over(piston: "score")
    job.add("measure", "by_eye", {"reason" => "no gauge here"})
    job.add("measure", "renewed", {"part" => "piston"})
    job.ready_to_build.build_all
    job.fit_all
    job.bleed_all
    expect(done(job)).to eq [
      "New seals: master.", "New on the bench: piston. The old one: score.",
      "Resealed: master outlet.", "New fluid: DOT 4 glycol, batch not noted.",
      "The fluid is due again by 14 Mar 2028."
    ]
    job.felt
    expect(done(job).last).to start_with "Under a steady pull the lever sank. Now it moved 0."
    expect(done(job).last).to end_with " mm in 60 s."
  end

  it "names the points that were bled where not all were" do
    job = JobInMemory.new(sheet(twin_disc_plain))
    job.ready_to_bleed("flush")
    first = job.state.bleed.count.current_id
    job.run_clean(first)
    expect(done(job)).to eq ["Fluid changed at right caliper only."]
  end

  it "names new hoses and a new far end, once they are on" do
    hoses = JobInMemory.new(sheet(twin_disc_plain))
    hoses.add("ask", "route", {"route" => "renew_hose"})
    hoses.work_through
    expect(done(hoses)).to include("New hose: left hose.", "New hose: right hose.")
    caliper = JobInMemory.new(sheet(twin_disc_plain))
    caliper.add("ask", "route", {"route" => "renew_slave"})
    caliper.add("ask", "at", {"places" => ["far_end.left_caliper"]})
    caliper.work_through
    expect(done(caliper)).to include("New left caliper.")
    expect(done(caliper).join).not_to include "right"
  end
end
