# frozen_string_literal: true

# A hand that does what it is told, one hint at a time, and nothing else.
RSpec.describe Sandbag::Rig::Hint do
  most = 400

  def act(rig, what, **given)
    rig.act({"do" => what, **given.transform_keys(&:to_s)})
  end

  def step(rig, id, at, method)
    drive = method["drive"]
    turns = Sandbag::Tables.find("nipple_openings", method["opening"])["turns"]
    case id
    when "hold" then act(rig, "lever", to: rig.open?(rig.index(at)) ? rig.travel_mm : rig.travel_mm / 2, s: 1)
    when "pump" then [1, 0, 0.5].each { |share| act(rig, "lever", to: rig.travel_mm * share, s: 1) }
    when "open", "open_flow" then act(rig, "nipple", end: at, turns: turns)
    when "close" then act(rig, "nipple", end: at, turns: 0)
    when "release" then [["lever", {to: 0, s: 0.5}], ["wait", {s: 1}]].each { |what, given| act(rig, what, **given) }
    when "slow_in" then act(rig, "lever", to: rig.travel_mm, s: drive["seconds"])
    when "slow_out", "in_fluid_out" then act(rig, "lever", to: 0, s: drive["seconds"])
    when "draw" then act(rig, "draw", mpa: drive["mpa"], s: 0.1)
    when "push_up" then act(rig, "push", end: at, ml: 0.5, s: 0.5)
    when "draw_down" then act(rig, "take", ml: rig.reservoir_ml * 0.8)
    when "feed_in" then act(rig, "feed", end: at, ml: 2, s: 2)
    when "levels_equal" then act(rig, "wait", s: 30)
    else raise "no hand for #{id}"
    end
  end

  def obey(lesson, rig, method)
    what, id = described_class.new(lesson, rig).to_do
    at = described_class.new(lesson, rig).target.id
    case what
    when :finish then return true
    when :place then act(rig, "place", what: id)
    when :close then act(rig, "nipple", end: id, turns: 0)
    when :fit then act(rig, "fit", end: at, what: id)
    when :top_up
      act(rig, "nipple", end: at, turns: 0)
      act(rig, "pour", ml: rig.reservoir_full_ml - rig.reservoir_ml)
    else step(rig, id, at, method)
    end
    false
  end

  # What the master, the pistons or the machine's own tool has to do is not a step of every hint.
  (Sandbag::Tables.rows("lessons").map { |row| row["id"] } - %w[burp pistons_home abs_unit under_the_port]).each do |id|
    it "leads a hand that only obeys through #{id}, without a slip" do
      lesson = Sandbag::Rig::Lesson.find(id)
      rig = lesson.start
      method = Sandbag::Tables.find("bleed_methods", lesson.way["id"])
      expect((1..most).any? { obey(lesson, rig, method) }).to be true
      expect(lesson.result(rig)).to include(done: true, slips: [])
    end
  end

  it "says what to do in a sentence, and that nothing is left" do
    lesson = Sandbag::Rig::Lesson.find("high_loop")
    rig = lesson.start
    expect(described_class.new(lesson, rig).says).to eq "First: pull the loop down and tie it."
    %w[loop_down bar_up].each { |place| act(rig, "place", what: place) }
    expect(described_class.new(lesson, rig).says).to eq "Hold: lever in, steady."
    act(rig, "lever", to: rig.travel_mm / 2, s: 1)
    expect(described_class.new(lesson, rig).says).to start_with "Open at Right caliper: an eighth to a quarter turn."
    act(rig, "take", ml: 100)
    expect(described_class.new(lesson, rig).says).to eq "Top up the reservoir."
    fresh = Sandbag::Rig::Simulation.new(lesson.sheet)
    expect(described_class.new(lesson, fresh).says).to eq "Nothing is left to do here: finish."
  end
end
