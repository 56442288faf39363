# frozen_string_literal: true

# A simulated circuit of two discs, and what a hand does at it.
module SimulatedLine
  def found = @found ||= sheet(twin_disc_plain)

  def circuit = @circuit ||= Sandbag::Circuit::Assembly.build(found)

  def slug(ml, at_mm = 0.0, path = 0)
    Sandbag::Rig::Slug.new(ml: ml, path: path, at_mm: at_mm)
  end

  def rig(**given)
    described_class.new(found, **given)
  end

  # One stroke of the cycle: hold, open, close, let go.
  def stroke(rig, id, turns: 0.25)
    rig.act("do" => "lever", "to" => rig.travel_mm * 0.6, "s" => 0.4)
    rig.act("do" => "nipple", "end" => id, "turns" => turns)
    rig.act("do" => "lever", "to" => rig.travel_mm, "s" => 1.5)
    rig.act("do" => "nipple", "end" => id, "turns" => 0)
    rig.act("do" => "lever", "to" => 0, "s" => 0.5)
    rig.act("do" => "wait", "s" => 0.5)
  end
end
