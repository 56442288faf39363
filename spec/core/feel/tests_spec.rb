# frozen_string_literal: true

# Practice 8.1: what is tried besides the readings.
RSpec.describe Sandbag::Feel::Tests do
  def tried(kind)
    described_class.new(Sandbag::Job::Entries.new, Sandbag::Circuit::Kind.find(kind)).all.map { |test| test.row["id"] }
  end

  it "are those of the circuit, in their order" do
    every = %w[free_play firm_squeeze return_time residual_drag leak_watch]
    expect(tried("brake_hand")).to eq every + %w[full_lock modulation brake_lamp walking_pace low_speed]
    expect(tried("brake_bike").first(2)).to eq %w[free_play block_squeeze]
    expect(tried("clutch_hand")).to include("in_gear", "bite_point").and include(*every)
    expect(tried("brake_foot") & %w[firm_press firm_squeeze]).to eq ["firm_press"]
    expect(tried("brake_foot")).to include "pedal_tip"
    expect(tried("brake_hand_added")).to include "both_masters"
  end

  describe "in a job" do
    let(:job) { JobInMemory.new(sheet(twin_disc_plain)).bled.tap(&:felt) }

    def try(test, value)
      job.add("feel", "test", {"test" => test, "value" => value})
    end

    it "hold nothing up until one comes out badly, and lead where it is put right" do
      expect(job.state.feel).to be_done
      try("return_time", "slow")
      expect(job.state.feel).not_to be_done
      expect(job.state.feel.waits_for).to start_with "return: back at its stop"
      expect(job.state.feel.unresolved).to eq "Return: Slow, or hangs."
      shown = job.view("feel")[:tests].find { |test| test[:id] == "return_time" }
      expect(shown[:road]).to include(stage: "ask", finding: "return_action", value: "slow")
      try("return_time", "quick")
      expect(job.state.feel).to be_done
    end

    it "let nobody ride before every other is good" do
      expect(refusal_at { try("walking_pace", "bites") }).to eq ["data/test"]
      good = {
        "firm_squeeze" => "firm", "return_time" => "quick", "residual_drag" => "free", "leak_watch" => "dry",
        "full_lock" => "clear", "modulation" => "even", "free_play" => "in_range", "brake_lamp" => "before_bite"
      }
      good.each { |test, value| try(test, value) }
      try("walking_pace", "bites")
      expect(job.view("feel")[:tests].map { |test| test[:locked] }.uniq).to eq [false]
    end

    it "let no stroke be taken on a soft lever before that is said" do
      try("firm_squeeze", "soft")
      expect(job.state.bleed).to be_lever_failed
      job.add("bleed", "round", {"lever" => "springy"})
      expect(job.state.bleed).not_to be_lever_failed
    end

    it "do not ask for what Fit proves" do
      adjusted = JobInMemory.new(sheet(twin_disc_plain))
      adjusted.add("ask", "route", {"route" => "adjust_free_play"})
      expect(adjusted.state.feel.tests.all.map(&:id)).not_to include "free_play"
      expect(job.state.feel.tests.all.map(&:id)).to include "free_play"
      try("free_play", "in_range")
      expect(job.state.close.gates.find { |gate| gate.id == "free_play" }).to have_attributes(state: :met, known: true)
    end

    it "take a reading where there is one, and judge it by its limit" do
      read = ->(amount) { job.add("feel", "test", {"test" => "return_time", "amount" => amount}) }
      shown = -> { job.view("feel")[:tests].find { |test| test[:id] == "return_time" } }
      read.call("0,4 s")
      expect(shown.call).to include(answer: "quick", amount: 0.4, good: true)
      read.call("0.5")
      expect(shown.call).to include(answer: "quick", good: true)
      read.call("0.6")
      expect(shown.call).to include(answer: "slow", amount: 0.6, good: false)
      expect(refusal_at { read.call("soon") }).to eq ["data/amount"]
      expect(refusal_at { read.call("-1") }).to eq ["data/amount"]
      expect(refusal_at { job.add("feel", "test", {"test" => "leak_watch", "amount" => "3"}) }).to eq ["data/amount"]
      expect(refusal_at { job.add("feel", "test", {"test" => "leak_watch"}) }).to eq ["data/value"]
    end

    it "say of a lever that creeps which part it is, once the leak watch was done" do
      job.add("feel", "hold", {"creep" => 6})
      points_to = -> { job.view("feel")[:hold][:points_to] }
      expect(points_to.call).to start_with "Leak watch next"
      try("leak_watch", "wet")
      expect(points_to.call).to include "that joint or hose"
      try("leak_watch", "dry")
      expect(points_to.call).to include "the master's cup"
      job.add("feel", "hold", {"creep" => 1})
      expect(points_to.call).to be_nil
    end

    it "say nothing any more once fluid has moved again" do
      try("return_time", "slow")
      job.add("bleed", "stroke")
      expect(job.state.feel.tests.bad).to be_nil
    end

    it "refuse what is not tried here, and an answer that is none" do
      expect(refusal_at { try("in_gear", "none") }).to eq ["data/test"]
      expect(refusal_at { try("return_time", "maybe") }).to eq ["data/value"]
    end
  end
end
