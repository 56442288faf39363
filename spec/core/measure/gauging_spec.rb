# frozen_string_literal: true

RSpec.describe Sandbag::Measure::Gauging do
  let(:places) { Sandbag::Tables.rows("gauge_places").select { |row| row["id"].start_with?("bore.", "piston.") } }

  def gauging(**read)
    readings = read.to_h do |place, mm|
      id = place.to_s.tr("_", ".")
      [id, described_class::Reading.new(place: id, value_mm: mm, gauge: Sandbag::Tables.find("gauges", "bore_gauge"))]
    end
    described_class.new(readings, Sandbag::Cylinder::WearLimits.new(14.0), places: places)
  end

  it "tells a taper from two depths, each by the mean of its readings, and none from one depth" do
    expect(gauging(bore_1_a: 14.010, bore_1_b: 14.020).taper_mm).to be_nil
    expect(gauging(bore_1_a: 14.010, bore_1_b: 14.020, bore_2_a: 14.030).taper_mm).to be_within(1e-9).of(0.015)
  end

  it "tells how round it is from two directions at one depth, and clearance from bore and piston" do
    ids = ->(all) { all.judgements.map(&:id) }
    expect(ids.call(gauging(bore_1_a: 14.010, bore_2_a: 14.020))).to eq %w[bore]
    expect(ids.call(gauging(bore_1_a: 14.010, bore_1_b: 14.020))).to eq %w[bore out_of_round]
    expect(ids.call(gauging(bore_1_a: 14.010, piston_1_a: 13.970))).to eq %w[bore piston clearance]
  end
end
