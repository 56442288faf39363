# frozen_string_literal: true

RSpec.describe Sandbag::Circuit::Advice do
  # @return [Array<String>] ids of the cautions
  def told(stage, template, **more)
    texts = described_class.cautions(stage, Sandbag::Circuit::Template.sheet(template), **more)
    Sandbag::Tables.rows("cautions").select { |row| texts.include?(row["text"]) }.map { |row| row["id"] }
  end

  it "gives a stage its own cautions, of this kind of circuit" do
    expect(told("bleed", "road_rear")).to eq %w[C02 C03 C09 C10 C11 C12 C13]
    expect(told("bleed", "road_clutch")).not_to include "C10"
    expect(told("bleed", "kart_bar_front")).to include "C19"
    expect(told("strip", "road_rear")).to include("C04", "C06")
    expect(told("bleed", "road_rear")).not_to include "C04"
  end

  it "adds those of hard use where the machine is used so" do
    more = %w[choose close feel fit bleed ask].flat_map { |stage|
      told(stage, "road_rear", hard_use: true) - told(stage, "road_rear")
    }
    wanted = Sandbag::Tables.rows("cautions").select { |row| row["hard_use"] }.map { |row| row["id"] }
    expect(more.uniq).to match_array wanted
  end
end
