# frozen_string_literal: true

RSpec.describe Sandbag::Choose::Balance do
  let(:sheets) do
    {front: "kart_bar_front", rear: "kart_bar_rear"}.transform_values { |id| Sandbag::Circuit::Template.filled(id) }
  end

  let(:circuits) { sheets.values.map { |sheet| Sandbag::Circuit::Assembly.build(sheet) } }

  # @param changed [Hash{Symbol => Array}] :front or :rear => part, field and value of each change
  def balance(front_percent: nil, **changed)
    these = sheets.to_h do |name, sheet|
      [name, changed.fetch(name, []).reduce(sheet) { |now, change| now.set(*change, "measured") }]
    end
    described_class.new(these, front_percent: front_percent).to_h
  end

  def rejected(**changed) = balance(**changed)[:pairs].first[:rejected].join

  # What the front has to give for a place of the bar, beside 3 m/s² behind.
  def wanting(share)
    front, rear = circuits
    per_mpa = circuits.map { |circuit| circuit.vehicle.brake_n_mpa(circuit.clamp_area_mm2) }
    behind_n = 3 * 240 / per_mpa.last * rear.master.area_mm2 + 20
    (behind_n * share / (1 - share) - 20) / front.master.area_mm2 * per_mpa.first / 240
  end

  it "finds the place of the bar and the push that give two brake forces at once" do
    front, rear = circuits
    share, foot_n = Sandbag::Hydraulics::BalanceBar.for(front, rear, 900.0, 500.0)
    at = Sandbag::Hydraulics::BalanceBar.new(front: front, rear: rear, share: share, length_mm: 60.0).at(foot_n)
    expect([at.front.brake_n, at.rear.brake_n]).to match [be_within(1e-6).of(900), be_within(1e-6).of(500)]
  end

  it "finds the push for as much as a foot gives, and none for more" do
    front, rear = circuits
    bar = Sandbag::Hydraulics::BalanceBar.new(front: front, rear: rear, share: 0.55, length_mm: 60.0)
    most = bar.at(Sandbag::Hydraulics::BalanceBar::MOST_N)
    most_n = most.front.brake_n + most.rear.brake_n
    expect(bar.force_for_n(most_n)).to be_within(0.01).of(Sandbag::Hydraulics::BalanceBar::MOST_N)
    expect(bar.force_for_n(most_n + 0.1)).to be_nil
  end

  it "says at which share a bar would have to stand that cannot be used" do
    said = rejected(front: [["target", "deceleration", wanting(0.3)]])
    expect(said).to include "the bar would stand at 30 % to the front; 35 to 65 % can be used"
  end

  both_sides "Choose::Balance::LEAST_SHARE", "Choose::Balance::MOST_SHARE", 0.349 => true, 0.351 => false,
    0.649 => false, 0.651 => true do |share|
    rejected(front: [["target", "deceleration", wanting(share)]]).include?("35 to 65 % can be used")
  end

  # A loose axle pushes the rear pads back.
  both_sides "Choose::Balance::MOST_TILT_DEG", 1.5 => false, 1.6 => true do |clearance|
    bar = ["lever", "bar_length", 40]
    rejected(front: [bar], rear: [bar, ["caliper", "clearance", clearance]]).include?("at most 12°")
  end

  both_sides "Choose::Balance::ROUNDING", 46 => true, 46.05 => false, 44 => true, 43.95 => false do |percent|
    balance(rear: [["lever", "bar_share", percent]])[:recorded][:agree]
  end

  # docs/physics.md 10, worked by hand: 8 m/s² at 240 kg, bores of 15.875 mm.
  it "computes both pressures, both brake forces and the pedal's travel where the bar stands" do
    now = balance[:now]
    # P = 0.9 × 4 × F × share at each piston; p = (P − 20) / 197.93; brake = 2 × 0.4 × 0.085 / 0.139 × 760.27 × p
    expect(now[:force_n]).to be_within(0.1).of 321.4
    expect(now[:front][:pressure_mpa]).to be_within(0.001).of((0.9 * 4 * 0.55 * now[:force_n] - 20) / 197.93)
    expect(now[:rear][:pressure_mpa]).to be_within(0.001).of((0.9 * 4 * 0.45 * now[:force_n] - 20) / 197.93)
    expect(now[:front][:brake_n] + now[:rear][:brake_n]).to be_within(0.1).of(8 * 240)
    expect(now[:front_percent]).to be_within(0.1).of 60.3
    bearing_mm = 0.55 * now[:front][:stroke_mm] + 0.45 * now[:rear][:stroke_mm]
    expect(now[:travel_mm]).to be_within(0.01).of(7 + 4 * bearing_mm)
  end

  it "finds where the bar has to stand for what is wanted, in turns of its thread" do
    best = balance[:best]
    expect(best.dig(:point, :front, :brake_n)).to be_within(0.01).of(5 * 240)
    expect(best.dig(:point, :rear, :brake_n)).to be_within(0.01).of(3 * 240)
    expect(best[:share_percent]).to be_within(0.01).of 57.19
    expect(best[:turns]).to be_within(0.001).of((best[:share_percent] - 55) / 100 * 65 / 1.25)
    expect(balance(front_percent: 60)[:best][:turns]).to be_negative
  end

  it "takes more to the front as the bar goes to the front, at less pressure behind" do
    points = [40, 50, 60].map { |percent| balance(front_percent: percent)[:now] }
    expect(points.map { |point| point[:front_percent] }).to eq points.map { |point| point[:front_percent] }.sort
    expect(points.map { |point| point.dig(:rear, :pressure_mpa) }.each_cons(2)).to all(satisfy { |a, b| a > b })
  end

  it "lets the pedal go further without one circuit, and says when it stops before the other brakes" do
    now = balance[:now]
    # the lost piston goes all its 18 mm
    expect(now[:front][:travel_if_lost_mm]).to be_within(0.01).of(7 + 4 * (0.55 * 18 + 0.45 * now[:rear][:stroke_mm]))
    expect(now[:front][:stops_if_lost]).to be false
    short = {front: [["lever", "gap_to_grip", 45]], rear: [["lever", "gap_to_grip", 45]]}
    expect(balance(**short)[:now][:front][:stops_if_lost]).to be true
    expect(balance(**short)[:pairs].first[:rejected])
      .to include("the pedal stops before the other brakes if the front is lost")
  end

  it "sizes the pair: usable ones first, with the bar's place for each, the others with their reasons" do
    pairs = balance[:pairs]
    expect(pairs.first).to include(fitted: true, front_bore_mm: 15.875, rear_bore_mm: 15.875, rejected: [])
    usable, rejected = pairs.drop(1).partition { |pair| pair[:rejected].empty? }
    expect(pairs.drop(1)).to eq usable + rejected
    expect(usable.map { |pair| pair[:share_percent] }).to all(be_between(35, 65))
    expect(rejected.flat_map { |pair| pair[:rejected] }).to include(
      a_string_matching(/\Athe bar would stand at \d+ % to the front; 35 to 65 % can be used\z/),
      a_string_starting_with("effort over the limit")
    )
    # a larger front cylinder needs more of the push
    same_rear = pairs.select { |pair| pair[:rear_bore_mm] == 16 }.sort_by { |pair| pair[:front_bore_mm] }
    expect(same_rear.map { |pair| pair[:share_percent] }.each_cons(2)).to all(satisfy { |a, b| a < b })
  end

  it "rejects a cylinder that bottoms out" do
    stubby = balance(front: [["master", "stroke", 3]])
    expect(stubby[:pairs].first[:rejected]).to include "the front cylinder bottoms out"
  end

  it "explains the effort with the bar's share in it" do
    option = Sandbag::Choose::Option.new(sheets[:front])
    effort = Sandbag::Choose::Explanation.new(option).items.find { |item| item.id == "force" }
    expect(effort.formula).to end_with "(η R s)"
    pushed, at_the_piston = effort.filled.split("/").map { |side| side.scan(/[\d.]+/).map(&:to_f) }
    expect((pushed[0] * pushed[1] + pushed[2]) / at_the_piston.reduce(:*)).to be_within(0.5).of effort.value
    expect(at_the_piston.last).to eq 0.55
  end

  it "says when the two records do not add up, and refuses two pedals and two fronts" do
    expect(balance[:recorded]).to include(agree: true)
    expect(balance(rear: [["lever", "bar_share", 50]])[:recorded]).to include(rear_percent: 50, agree: false)
    expect(refusal_at { balance(rear: [["lever", "push_offset", 40]]) }).to eq ["lever/push_offset"]
    fronts = [sheets[:front], sheets[:front]]
    expect(refusal_at { described_class.ends(fronts, &:itself) }).to eq ["lever/bar_end"]
    expect(described_class.ends(sheets.values.reverse, &:itself)).to eq sheets
  end
end
