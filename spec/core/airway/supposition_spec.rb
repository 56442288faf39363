# frozen_string_literal: true

RSpec.describe Sandbag::Airway::Supposition do
  let(:level) { Sandbag::Circuit::Template.sheet("road_front_single") }
  let(:looped) { level.change("hose", "high_spot", 1150, "measured") }

  def offered(circuit, **given)
    described_class.offered(Sandbag::Airway::Way.all(circuit, **given), given).map { |row| row[:id] }
  end

  it "offers a loop tied down only where there is a loop, or where it is supposed already" do
    expect(offered(level)).not_to include "loop_down"
    expect(offered(looped)).to include "loop_down"
    expect(offered(looped, loop_down: true)).to include "loop_down"
  end

  it "offers what is not so already, and what was supposed so that it can be taken back" do
    expect(offered(level, celsius: 20)).to include "cold", "warm"
    expect(offered(level, raised_mm: 80)).to include "bar_turned"
  end

  it "says each by its name and as a request says it" do
    rows = described_class.offered(Sandbag::Airway::Way.all(looped), {})
    expect(rows).to include(id: "loop_down", label: "High loop tied down", with: {"loop_down" => true})
  end
end
