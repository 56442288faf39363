# frozen_string_literal: true

RSpec.describe Sandbag::Circuit::Days do
  let(:today) { Date.new(2026, 3, 14) }

  def refused(changed_on)
    circuit = sheet(twin_disc_plain)
    circuit = circuit.change("fluid", "changed_on", changed_on, "measured") if changed_on
    described_class.refuse_future(circuit, today)
    nil
  rescue Sandbag::Refusal => refusal
    [refusal.problems.first.pointer, refusal.problems.first.message]
  end

  it "take today, a day gone by, one that is unknown, and none" do
    expect([refused("2026-03-14"), refused("2025-01-02"), refused("unknown"), refused(nil)]).to eq [nil] * 4
  end

  it "refuse a day that has not come yet, at its field" do
    expect(refused("2026-03-15")).to match ["parts/fluid/changed_on", /2026-03-15, has not come yet/]
  end
end
