# frozen_string_literal: true

# Circuits that the specs share: the worked ones of the physics, and one of each kind left at its defaults.
module Sheets
  def part(id, kind, from: nil, **values)
    {"id" => id, "part" => kind, "label" => id.tr("_", " ").capitalize, "from" => from,
     "values" => values.to_h { |name, value| [name.to_s, {"value" => value, "source" => "measured"}] }}.compact
  end

  def plain_sheet(kind, *parts)
    singles = %w[lever master reservoir target fluid] + ((kind == "clutch_hand") ? [] : ["vehicle"])
    missing = singles.reject { |single| parts.any? { |each| each["part"] == single } }
    {"kind" => kind, "parts" => missing.map { |single| part(single, single) } + parts}
  end

  # docs/physics.md 3: motorcycle front, 19 × 20, two four-piston calipers on braided hoses
  def twin_disc_plain
    plain_sheet("brake_hand",
      part("lever", "lever", finger_to_pivot: 110, push_offset: 20, free_play: 1.0, gap_to_grip: 72),
      part("master", "master", bore: 19, stroke: 14),
      part("reservoir", "reservoir", usable: 28, total: 42),
      part("left_hose", "line", from: "master", length: 750, kind: "braided"),
      part("right_hose", "line", from: "master", length: 850, kind: "braided"),
      part("left_caliper", "caliper", from: "left_hose", pistons: "34 34 30 30"),
      part("right_caliper", "caliper", from: "right_hose", pistons: "34 34 30 30"),
      part("vehicle", "vehicle", mass: 285, abs: "none"),
      part("fluid", "fluid", stamped: "dot4", volume: 55))
  end

  # docs/physics.md 3: bicycle, 10 × 12, two pistons on a nylon hose
  def bicycle_plain
    plain_sheet("brake_bike",
      part("lever", "lever", finger_to_pivot: 72, push_offset: 12, free_play: 2.0),
      part("master", "master", bore: 10),
      part("hose", "line", from: "master", length: 1000),
      part("caliper", "caliper", from: "hose", pistons: "22 22"),
      part("fluid", "fluid", stamped: "mineral", volume: 12))
  end

  # docs/physics.md 4: clutch, master 14, ratio 5.6
  def clutch_plain(slave_bore: 29)
    plain_sheet("clutch_hand",
      part("lever", "lever", finger_to_pivot: 112, push_offset: 20),
      part("master", "master", bore: 14, stroke: 11),
      part("hose", "line", from: "master", length: 900, kind: "braided"),
      part("slave", "slave", from: "hose", bore: slave_bore, release_force: 1450, lift_needed: 1.9))
  end

  def sheet(plain)
    Sandbag::Circuit::Sheet.new(plain)
  end

  def circuit(plain)
    Sandbag::Circuit::Assembly.build(sheet(plain))
  end

  def twin_disc
    circuit(twin_disc_plain)
  end

  # The sheet with one value of a part changed.
  def changed(plain, part_id, **values)
    values.reduce(sheet(plain)) { |now, (name, value)| now.change(part_id, name.to_s, value, "measured") }
  end
end
