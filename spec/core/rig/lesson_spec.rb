# frozen_string_literal: true

RSpec.describe Sandbag::Rig::Lesson do
  it "is done by a good hand, without a slip, whatever it is about" do
    described_class.all.each do |lesson|
      rig = lesson.good_hand
      expect([lesson.id, rig.events.map(&:what)]).to eq [lesson.id, []]
      expect([lesson.id, lesson.result(rig)[:done]]).to eq [lesson.id, true]
    end
  end

  it "says what was done well, where it could have been done otherwise" do
    twin = described_class.find("twin_disc")
    expect(twin.result(twin.good_hand)[:well])
      .to include("The longest way went first.", "Every nipple was shut before the lever came back.")
    low = described_class.find("port_below")
    expect(low.result(low.good_hand)[:well]).to include("The port was brought to the top first.")
    left = Sandbag::Rig::Mechanic.new(low.start).bleed
    expect(low.result(left)[:slips].map { |slip| slip[:label] }).to eq ["Bled with the port low"]
    expect(low.result(left)[:well]).not_to include("The port was brought to the top first.")
    expect(low.result(low.start)[:well]).to eq []
  end

  it "is not done by doing nothing" do
    described_class.all.each { |lesson|
      expect([lesson.id, lesson.result(lesson.start)[:done]]).to eq [lesson.id, false]
    }
  end

  it "names all it is about by its id" do
    expect(described_class.all.map(&:id).uniq.size).to eq described_class.all.size
    expect(described_class.find("high_loop").to_h[:places].map { |place| place["id"] }).to eq %w[loop_down bar_up]
    expect(described_class.find("nothing")).to be_nil
  end

  it "asks no more openings of a nipple than it says, and fresh fluid where it says so" do
    few = described_class.find("four_strokes")
    expect(few.good_hand.openings).to be <= 4
    many = few.start
    Sandbag::Rig::Mechanic.new(many).bleed
    expect([many.air_ml, few.result(many)[:done]]).to eq [0, false]
    old = described_class.find("old_fluid")
    expect(old.start.fresh).to eq 0
    expect(old.result(old.good_hand)).to include(fresh: be >= 0.95, goal_fresh: 0.95)
  end

  it "needs the port of its caliper turned up where air stays in it" do
    lesson = described_class.find("port_below")
    left = Sandbag::Rig::Mechanic.new(lesson.start).bleed
    expect(lesson.result(left)).to include(done: false, air_left_ml: be > 0.3)
  end

  it "counts air behind an ABS unit's valves as left, and says where it is" do
    lesson = described_class.find("abs_unit")
    left = Sandbag::Rig::Mechanic.new(lesson.start).bleed
    expect(left.air_ml).to eq 0
    expect(lesson.result(left)).to include(done: false, air_left_ml: be_within(1e-9).of(0.3))
    expect(lesson.result(left)[:where].last).to eq(ml: left.unit.ml, place: "behind the ABS unit's valves")
  end

  it "judges wet fluid by the lever after a pass, from cold" do
    lesson = described_class.find("down_the_pass")
    expect(lesson.result(lesson.start)).to include(done: false, steam_ml: be > 0.3)
    expect(lesson.result(lesson.good_hand.act("do" => "descend", "s" => 240))).to include(done: true, steam_ml: 0)
  end

  it "has a hand for every bleeding method, and a lesson that needs each thing it can take" do
    expect(Sandbag::Rig::Mechanic.ways)
      .to match_array(Sandbag::Tables.rows("bleed_methods").map { |row| row["id"] })
    shown = described_class.all.map(&:to_h)
    expect(shown.flat_map { |each| each[:tools] }.uniq).to match_array(%w[vacuum syringe abs feed crack press pass])
    expect(shown.flat_map { |each| each[:fits] }.map { |fit| fit["id"] }.uniq).to match_array(%w[hose valve tube hung])
    expect(described_class.free("bike_front", "dry").to_h[:tools]).not_to include "abs"
  end

  it "starts any circuit dry, each line filled with air once, or spongy" do
    Sandbag::Tables.rows("circuit_templates").each do |row|
      lesson = described_class.free(row["id"], "dry")
      lines = Sandbag::Circuit::Assembly.build(lesson.sheet).lines.sum(&:fluid_ml)
      expect([row["id"], lesson.start.air_ml]).to match [row["id"], be_within(0.02 * lines).of(lines)]
      expect(described_class.free(row["id"], "spongy").good_hand.air_ml).to be <= 0.03
    end
    expect(refusal_at { described_class.free("tram", "dry") }).to eq ["template"]
  end
end
