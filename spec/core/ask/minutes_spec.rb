# frozen_string_literal: true

RSpec.describe Sandbag::Ask::Minutes do
  def minutes(route, machine, **more)
    described_class.new(Sandbag::Job::Route.find(route), machine, **more).total
  end

  it "sums the steps of the route, by machine: docs/trade.md 2.10" do
    # intake 15, access 10, flush 20, close 15, re-check 10
    expect(minutes("flush", "road")).to eq 70
    expect(minutes("flush", "bicycle")).to eq 10 + 5 + 20 + 10 + 5
  end

  it "takes half as long again for a first time, step by step" do
    expect(minutes("flush", "road", pace: ["first_time"])).to eq 23 + 15 + 30 + 23 + 15
  end

  it "adds half an hour for ABS to a job that bleeds, and to no other" do
    expect(minutes("flush", "road", pace: ["abs"])).to eq 100
    expect(minutes("switch_only", "road", pace: ["abs"])).to eq minutes("switch_only", "road")
    expect(minutes("flush", "kart", pace: ["abs"])).to eq minutes("flush", "kart")
  end

  it "counts far ends and hoses by the circuit, and one unit where the master is renewed" do
    times = %w[renew_mc slave_work renew_hose].to_h do |route|
      job = JobInMemory.new(sheet(twin_disc_plain))
      job.answer_stops
      job.add("ask", "route", {"route" => route})
      [route, job.work_everywhere.state.choose.times]
    end
    expect(times["renew_mc"]).to include("unit" => 1, "hose" => 1)
    expect(times["slave_work"]).to include("slave" => 2, "slave_kit" => 2, "unit" => 2)
    expect(times["renew_hose"]).to include("hose" => 2, "slave" => 1)
  end

  it "takes its pace from who does it and from what is fitted" do
    job = JobInMemory.new(changed(twin_disc_plain, "vehicle", abs: "fitted"))
    expect(job.state.ask.pace).to eq ["abs"]
    job.add("ask", "intake", {"question" => "at_ease", "value" => "no"})
    expect(job.state.ask.pace).to eq %w[first_time abs]
    expect(JobInMemory.new(sheet(clutch_plain)).state.ask.pace).to eq []
  end
end
