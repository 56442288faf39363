# frozen_string_literal: true

require "date"

RSpec.describe Sandbag::Job::OtherCircuits do
  def row(name, kind, abs: nil, fluid_due_on: nil) = {name: name, kind: kind, abs: abs, fluid_due_on: fluid_due_on}

  it "leaves out a kind that is not known, and counts no clutch among the brakes" do
    others = described_class.new([row("Front", "brake_hand"), row("Clutch", "clutch_hand"), row("Old", "brake_steam")])
    expect(others.lines.map(&:name)).to eq %w[Front Clutch]
    expect(others.brakes.map(&:name)).to eq %w[Front]
  end

  it "has a brake due from its day on, and none without a day" do
    others = described_class.new([row("Front", "brake_hand", fluid_due_on: "2026-03-14"),
      row("Rear", "brake_foot", fluid_due_on: "soon")])
    expect(others.due(Date.new(2026, 3, 13))).to eq []
    expect(others.due(Date.new(2026, 3, 14)).map(&:name)).to eq %w[Front]
  end

  it "has ABS where one brake has it" do
    expect(described_class.new([row("Front", "brake_hand", abs: "fitted")])).to be_abs
    expect(described_class.new([row("Front", "brake_hand", abs: "none")])).not_to be_abs
    expect(described_class.new([row("Clutch", "clutch_hand", abs: "fitted")])).not_to be_abs
  end

  it "is equal to another of the same lines, and to nothing else" do
    front = described_class.new([row("Front", "brake_hand")])
    expect(front == described_class.new([row("Front", "brake_hand")])).to be true
    expect(front == described_class.new([row("Front", "brake_hand", abs: "none")])).to be false
    expect(front == front.lines).to be false
  end
end
