# frozen_string_literal: true

RSpec.describe Sandbag::Planner::ToolWorth do
  def worth(*bled, **settings)
    jobs = bled.map { |kind, method, points| described_class::Bled.new(kind: kind, method: method, points: points) }
    described_class.new(jobs, Sandbag::Shop.new(settings.transform_keys(&:to_s))).to_h
  end

  def tool(found, id) = found[:tools].find { |each| each[:id] == id }

  # 12 minutes a point by hold and release, 10 by a valve: 2 × 2 + 15 − 10 = 9 minutes at 60.00 an hour are 9.00
  it "counts the minutes that a valve would have saved, at the shop's rate, and when it has paid for itself" do
    found = worth(["brake_hand", "hold_cycle", 2], ["brake_foot", "gravity_flush", 1], hourly_rate_minor: 6000)
    expect(found).to include(jobs: 2, points: 3)
    expect(tool(found, "check_valve")).to include(price_minor: 1500, minutes: 9, saved_minor: 900, months: 20)
    expect(tool(found, "hand_vacuum")).to include(price_minor: 6500, minutes: 3, saved_minor: 300, months: 260)
    dearer = worth(["brake_hand", "hold_cycle", 2], hourly_rate_minor: 12_000)
    expect(tool(dearer, "check_valve")).to include(minutes: 4, saved_minor: 800, months: 23)
  end

  it "saves nothing where the tool is no quicker, or not for such a circuit" do
    found = worth(["brake_bike", "two_syringe", 3], ["brake_hand", "power_vacuum", 1])
    expect(tool(found, "check_valve")).to include(minutes: 0, saved_minor: 0)
    expect(tool(found, "check_valve")).not_to have_key :months
    expect(worth).to include(jobs: 0, points: 0)
  end

  it "passes over a method and a kind that the tables no longer have" do
    expect(worth(["brake_hand", "by_magic", 2], ["brake_sail", "hold_cycle", 2])).to include(jobs: 0)
  end

  both_sides "Planner::ToolWorth::MONTHS", 900 => 20 do |saved|
    tool(worth(["brake_hand", "hold_cycle", 2], ["brake_foot", "gravity_flush", 1],
      hourly_rate_minor: saved * 60 / 9), "check_valve")[:months]
  end
end
