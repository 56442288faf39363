# frozen_string_literal: true

RSpec.describe Sandbag::Choose::Stage, "where there is no kit" do
  let(:job) { JobInMemory.new(sheet(twin_disc_plain)) }

  def now
    Sandbag::Choose::Now.new(job.state.choose).to_a.first
  end

  before do
    job.answer_stops
    job.add("ask", "route", {"route" => "reseal_mc"})
    job.add("choose", "fluid", {"fluid" => "dot4", "stamped" => "dot4"})
  end

  it "goes on to the whole unit where none is sold" do
    job.add("choose", "no_kit", {"line" => "kit", "why" => "not_sold"})
    expect(job.state.choose.waits_for).to eq "another repair: no kit is sold for it"
    expect(now).to include(kind: "go", stage: "ask", detail: a_string_including("The whole unit is renewed"))
    expect(Sandbag::Choose::View.new(job.state.choose).to_h).to include(instead: "renew_mc",
      no_kit: a_hash_including("on" => "whole"))
    job.add("ask", "route", {"route" => "renew_mc"})
    expect(job.state.choose.no_kit).to be_nil
  end

  it "stops for the maker's dealer under a warranty or a recall" do
    %w[warranty recall].each do |why|
      job.add("choose", "no_kit", {"line" => "kit", "why" => why})
      expect(now[:detail]).to include("dealer does the work")
      expect(Sandbag::Choose::View.new(job.state.choose).to_h.keys).not_to include(:instead)
    end
  end

  it "is over once a kit was brought, and is refused where none is asked for" do
    job.add("choose", "no_kit", {"line" => "kit", "why" => "not_sold"})
    job.add("choose", "pulled", {"line" => "kit", "reason" => "found at another counter, compared with the drawing"})
    expect(job.state.choose.no_kit).to be_nil
    expect(refusal_at { job.add("choose", "no_kit", {"line" => "kit", "why" => "not_sold"}) }).to eq ["data/line"]
    job.add("ask", "route", {"route" => "flush"})
    expect(refusal_at { job.add("choose", "no_kit", {"line" => "kit", "why" => "recall"}) }).to eq ["data/line"]
    expect(refusal_at { job.add("choose", "no_kit", {"line" => "kit", "why" => "lost"}) }).to eq ["data/why"]
  end
end
