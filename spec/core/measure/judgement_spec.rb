# frozen_string_literal: true

RSpec.describe Sandbag::Measure::Judgement do
  # Limit 14.055 and a gauge good to 0.005: 14.060 is still too close, 14.0601 is not.
  {14.0499 => "reuse", 14.050 => "too_close", 14.060 => "too_close", 14.0601 => "renew"}.each do |mm, verdict|
    it "says #{verdict} of #{mm} mm" do
      found = described_class.new("bore", "Largest bore", mm, 14.055, 0.005, most: true, source: "default")
      expect(found.verdict).to eq verdict
    end
  end
end
