# frozen_string_literal: true

RSpec.describe Sandbag::Bleed::Count do
  let(:plan) { Sandbag::Airway::Plan.new(sheet(twin_disc_plain), opened: false) }

  let(:method) { Sandbag::Tables.find("bleed_methods", "hold_cycle") }

  def count(*kinds)
    entries = kinds.flatten.map do |kind|
      kind, data = kind if kind.is_a?(Hash)
      kind, data = kind.to_a.first if kind.is_a?(Hash)
      Sandbag::Job::Entry.new(id: "x", stage: "bleed", kind: kind.to_s, data: data || {}, at: "2026-03-14T09:00:00Z",
        by: "spec")
    end
    described_class.fold(plan, entries, method: method)
  end

  def strokes(number)
    ["stroke"] * number
  end

  # Topped up in time: seven go out of one filling.
  def topped_up(number)
    strokes(number).each_slice(7).flat_map { |slice| ["topped_up", *slice] }
  end

  def colour(id)
    {"colour" => {"colour" => id}}
  end

  it "counts strokes at the point in hand and down to the end" do
    expect(count(strokes(3)).current.to_h).to include(id: "right_caliper", strokes: 3, strokes_to_go: 8)
  end

  it "counts down to the next top-up and starts again after it" do
    expect(count.reservoir.strokes_to_top_up).to eq 4
    expect(count(strokes(3)).reservoir.to_h).to include(strokes_to_top_up: 1, warning: "soon")
    expect(count(strokes(3), "topped_up").reservoir.to_h).to include(strokes_to_top_up: 4, warning: "ok", left_ml: 28.0)
  end

  it "warns before the port is uncovered, never after" do
    warned = (0..12).map { |number| [number, count(strokes(number)).reservoir] }
    warned.each do |number, reservoir|
      expect(reservoir.warning).to eq("stop"), "after #{number}" if reservoir.left_ml < plan.stroke_ml
      expect(%w[now stop]).to include(reservoir.warning) if number >= 4
    end
    expect(warned.map { |_, reservoir| reservoir.left_ml }).to all(be >= 0)
  end

  it "conserves fluid: what passed the points left the reservoir" do
    after = count(strokes(5))
    expect(after.points.values.sum(&:passed_ml) + after.reservoir.left_ml).to be_within(1e-9).of(28)
  end

  it "wants five strokes without a bubble after the last one seen" do
    expect(count(topped_up(9), "bubbles").current.strokes_to_go).to eq 5
    expect(count(topped_up(9), "bubbles", strokes(2)).current.strokes_to_go).to eq 3
  end

  it "is finished only when enough has passed, the last of it clean and fresh" do
    point = {"point_done" => {"point" => "right_caliper"}}
    expect(count(topped_up(11)).current.missing).to eq ["colour not yet as the fresh sample"]
    expect(count(topped_up(10), colour("amber")).current.missing).not_to be_empty
    done = count(topped_up(11), colour("as_fresh"), point)
    expect(done.points["right_caliper"].done).to be true
    expect(done.current_id).to eq "left_caliper"
    expect(done.finished?).to be false
  end

  it "opens a finished point again when a bubble is seen there" do
    back =
      count(
        topped_up(11),
        colour("as_fresh"),
        {"point_done" => {"point" => "right_caliper"}},
        {"point" => {"point" => "right_caliper"}},
        "bubbles"
      )
    expect(back.points["right_caliper"].done).to be false
  end

  it "starts over at every point when the port was uncovered, and says why" do
    after =
      count(
        topped_up(11),
        colour("as_fresh"),
        {"point_done" => {"point" => "right_caliper"}},
        strokes(2),
        "uncovered"
      )
    expect(after.points.values.map(&:strokes)).to eq [0, 0]
    expect(after.points.values.map(&:done)).to eq [false, false]
    expect(after.current_id).to eq "right_caliper"
    expect(after.log.restarts.first).to include(strokes: 13)
    expect(after.log.restarts.first[:why]).to include("uncovered").and include("start over")
  end

  it "knows nothing of a reservoir whose port was uncovered until it is topped up" do
    expect(count(strokes(2), "uncovered").reservoir.to_h).to include(left_ml: 0.0, spent: true, warning: "stop")
    expect(count(strokes(2), "uncovered", "topped_up").reservoir.to_h).to include(left_ml: 28.0, spent: false)
  end

  it "takes more strokes than one filling bears, as where a top-up was taken back, for an uncovered port" do
    expect(count(strokes(8)).log.restarts).to be_empty
    after = count(strokes(10))
    expect([after.current.strokes, after.reservoir.spent?]).to eq [0, true]
    expect(after.log.restarts.first).to include(strokes: 8,
      why: a_string_starting_with("More strokes than one filling bears"))
    one_by_one = strokes(10).reduce(count) do |counted, _|
      counted.apply(Sandbag::Job::Entry.new(id: "x", stage: "bleed", kind: "stroke", data: {},
        at: "2026-03-14T09:00:00Z", by: "spec"))
    end
    expect(one_by_one.log.restarts).to eq after.log.restarts
  end

  (Sandbag::Tables.ids("bleed_methods") - ["hold_cycle"]).each do |id|
    it "keeps the level of the reservoir through #{id.tr("_", " ")} and back" do
      back = [{"method" => {"method" => id}}, {"method" => {"method" => "hold_cycle"}}]
      expect(count(strokes(5), back).reservoir.left_ml).to eq count(strokes(5)).reservoir.left_ml
    end
  end

  it "changes nothing where the method that is chosen is the one at hand" do
    same = count(topped_up(9), "bubbles", strokes(2), {"method" => {"method" => "hold_cycle"}})
    expect(same.current.strokes_to_go).to eq 3
    expect(same.log.changes).to be_empty
  end

  it "lets an entry about a point that is no longer there change nothing" do
    counted = [count(strokes(2), {"point" => {"point" => "gone"}}), count(strokes(2))]
    one, other = counted.map { |each| [each.current_id, each.total_strokes, each.points.transform_values(&:to_h)] }
    expect(one).to eq other
  end

  it "sends a ladder that says the same as counting would" do
    ladder = count.reservoir.ladder
    ladder.first(8).each_with_index { |rung, number| expect(rung).to eq count(strokes(number)).reservoir.to_h }
    expect(ladder.last[:warning]).to eq "stop"
  end
end
