# frozen_string_literal: true

# Air that stays: practice 7.7.
RSpec.describe Sandbag::Bleed::Stubborn do
  def bled(circuit = sheet(twin_disc_plain))
    JobInMemory.new(circuit).bled
  end

  def again(job, lever = "springy")
    job.add("bleed", "round", {"lever" => lever})
  end

  def ladder(job)
    job.state.bleed.stubborn.rungs.map { |row| row["id"] }
  end

  it "is climbed in its order, without what the circuit cannot do" do
    job = bled
    expect(job.state.bleed.stubborn).not_to be_climbing
    again(job)
    expect(ladder(job)).to eq %w[tell settle pops turn burp one_line back caliper raised thread tied diagnosis]
    with_loop = changed(twin_disc_plain, "left_hose", high_spot: 1200)
    expect(ladder(bled(with_loop))).to include "loop"
    remote = changed(twin_disc_plain, "reservoir", mount: "remote")
    expect(ladder(bled(remote))).to include "feed"
    clutch = ladder(bled(sheet(clutch_plain)))
    expect(clutch).to include("reverse")
    expect(clutch).not_to include("one_line")
    expect(clutch).not_to include("caliper", "back")
  end

  it "takes one rung after another and begins again with each round" do
    job = bled
    again(job)
    %w[tell settle].each { |id| job.add("bleed", "rung", {"rung" => id, "outcome" => "nothing"}) }
    expect(job.state.bleed.stubborn.turn["id"]).to eq "pops"
    job.run_all_clean
    again(job)
    expect(job.state.bleed.stubborn.turn["id"]).to eq "tell"
    expect(job.view("bleed")[:round]).to include(number: 2, most: 3)
  end

  it "refuses a rung before a lever did not hold, one the circuit cannot do, and a round before a bleed is through" do
    job = JobInMemory.new(sheet(twin_disc_plain))
    job.strokes(1)
    expect(refusal_at { again(job) }).to eq ["kind"]
    expect(refusal_at { job.add("bleed", "rung", {"rung" => "tell", "outcome" => "air"}) }).to eq ["kind"]
    job.run_all_clean
    again(job)
    expect(refusal_at { job.add("bleed", "rung", {"rung" => "loop", "outcome" => "air"}) }).to eq ["data/rung"]
  end

  it "opens every point again, and keeps what was passed" do
    job = bled
    passed = job.state.bleed.count.passed_ml
    again(job)
    count = job.state.bleed.count
    expect([count.finished?, count.passed_ml, count.current_id]).to eq [false, passed, "right_caliper"]
    expect(count.points.values.map(&:strokes_to_go)).to eq [5, 5]
  end

  describe "three full rounds" do
    let(:job) do
      bled.tap do |job|
        again(job)
        2.times do
          job.run_all_clean
          again(job)
        end
      end
    end

    it "send the job back to Ask by itself, for the master, the hoses and the far end" do
      expect(job.state.current).to eq "ask"
      expect(job.state.ask.rounds.looks).to match_array %w[mc_isolated hose_state wet_slave]
      expect(job.state.waits_for).to start_with("a look at: ").and include("stop guessing")
      expect(problems { job.add("bleed", "stroke") }.first.message).to include "under Ask"
    end

    it "let the bleed go on only when all of them were looked at since" do
      {"mc_isolated" => "firm", "hose_state" => "sound", "wet_slave" => "dry"}.each do |finding, value|
        expect(job.state.ask).not_to be_done
        job.add("ask", "finding", {"finding" => finding, "value" => value})
      end
      expect(job.state.ask).to be_done
      job.add("bleed", "stroke")
      expect(job.state.ask.rounds.since_looked).to eq 0
    end
  end

  it "sends a lever that sinks back at once: that is no air" do
    job = bled
    job.add("ask", "finding", {"finding" => "hose_state", "value" => "sound"})
    again(job, "sinks")
    expect(job.state.ask.rounds).to have_attributes(back_to_ask?: true, looks: include("hose_state"))
    expect(job.state.ask.rounds.says).to eq "The lever sinks, so it is not air: look for a leak or a bypassing cup."
  end

  it "lets no stroke by a lever that Feel found soft, until that is said" do
    job = bled
    job.read_lever(air_ml: 1.0)
    expect(job.state.feel.verdict).to eq "bleed_again"
    expect(job.view("bleed")[:round]).to include(lever_failed: true)
    expect(problems { job.add("bleed", "stroke") }.first).to have_attributes(
      pointer: "kind",
      accepted: "that it did not, and how"
    )
    again(job)
    job.add("bleed", "stroke")
  end

  it "stops an ABS machine at the first lever that does not hold: no second try by hand" do
    abs = changed(twin_disc_plain, "vehicle", abs: "fitted")
    job = JobInMemory.new(abs)
    job.write("ask", "intake", {"question" => "abs", "value" => "fitted"})
    job.write("ask", "intake", {"question" => "abs_tool", "value" => "no"})
    job.write("ask", "finding", {"finding" => "abs_state", "value" => "clear"})
    job.bled
    again(job)
    expect(job.flags).to eq ["R05"]
    expect(refusal_at { job.add("bleed", "stroke") }).to eq ["stage"]
  end
end
