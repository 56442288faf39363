# frozen_string_literal: true

# docs/physics.md 7: how fast a lever goes off, and when it is due.
RSpec.describe Sandbag::Feel::Trend do
  def trend(*points)
    described_class.new(points.map { |day, value, renewed, error|
      described_class::Point.new(day: day, value: value, error: error || 0.05, renewed: renewed || false)
    })
  end

  it "is the slope of a stretch between two bleedings, by hand" do
    # from 0.1 to 0.5 in 200 days: 0.002 a day; its error √2 × 0.05 / 200
    found = trend([2_460_000, 0.1, true], [2_460_200, 0.5])
    expect(found.per_day).to be_within(1e-12).of(0.002)
    expect(found.error_per_day).to be_within(1e-12).of(0.05 * Math.sqrt(2) / 200)
    expect(found).to be_known
    # 0.5 is left to the limit: 250 days on
    expect(found.due.first.jd).to eq 2_460_450
    expect(found.due[1]).to be < found.due[0]
    expect(found.due[2]).to be > found.due[0]
    month = 100 * Sandbag::Feel::History::MONTH
    expect(found.to_h).to include(percent_month: be_within(1e-9).of(0.002 * month),
      percent_month_error: be_within(1e-9).of(0.05 * Math.sqrt(2) / 200 * month))
  end

  it "takes one rate for every stretch, each from where it was left" do
    found = trend([0, 0.1, true], [100, 0.3], [100, 0.0, true], [300, 0.4], [300, 0.05, true])
    # stretches: 0.2 in 100 and 0.4 in 200, the same rate
    expect(found.per_day).to be_within(1e-12).of(0.002)
    expect(found.due.first.jd).to eq 300 + (0.95 / 0.002).round
  end

  it "starts again at a bleed: what the bleed took away is no trend" do
    expect(trend([0, 0.9], [1, 0.1, true]).per_day).to be_nil
  end

  it "says nothing where the rate could as well be none, and why" do
    expect(trend.to_h).to eq(known: false, says: "Nothing on file yet.")
    expect(trend([0, 0.1, true]).to_h[:says]).to start_with "A second reading"
    flat = trend([0, 0.10, true], [300, 0.12])
    expect(flat).not_to be_known
    expect(flat.due).to be_nil
    expect(flat.to_h[:says]).to start_with "No trend"
  end

  it "widens where readings scatter more than their errors say" do
    even = trend([0, 0.0, true], [100, 0.2], [200, 0.4], [300, 0.6])
    rough = trend([0, 0.0, true], [100, 0.5], [200, 0.1], [300, 0.6])
    expect(rough.error_per_day).to be > 2 * even.error_per_day
  end

  it "is due at once when the limit is passed already" do
    expect(trend([0, 0.1, true], [100, 1.4]).due.first.jd).to eq 100
  end

  it "finds the rate it was made with in 95 of 100 histories" do
    random = Random.new(27)
    noise = -> { 0.06 * Math.sqrt(-2 * Math.log(1 - random.rand)) * Math.cos(2 * Math::PI * random.rand) }
    covered = (1..400).count do
      rate = random.rand * 0.002
      points = (0..4).flat_map do |year|
        [[365 * year, 0.1 + noise.call, true, 0.06], [365 * year + 364, 0.1 + 364 * rate + noise.call, false, 0.06]]
      end
      found = trend(*points)
      (found.per_day - rate).abs < described_class::SURE * found.error_per_day
    end
    expect(covered).to be_between(368, 400)
  end
end
