# frozen_string_literal: true

# A job worked through its journal in memory, as the desk would.
class JobInMemory
  attr_reader :entries, :fitted

  def initialize(fitted)
    @fitted = fitted
    @entries = []
  end

  # @return [String] id of the entry
  def add(stage, kind, data = {}, corrects: nil)
    number = entries.size + 1
    given = Sandbag::Job::Entry.new(id: "e#{number}", stage: stage, kind: kind, data: data, at: "2026-03-14T09:00:#{format("%02d", number % 60)}Z",
      by: "spec", corrects: corrects, position: number)
    @entries += [Sandbag::Job::Admission.new(state).admit(given)]
    @state = nil
    given.id
  end

  def undo(stage, id)
    add(stage, "undo", {}, corrects: id)
  end

  def state
    @state ||= Sandbag::Job::State.new(Sandbag::Job::Journal.new(entries), fitted)
  end

  def headline
    state.headline
  end

  # What a stage shows, its sentences in the core's units.
  def view(stage)
    JSON.parse(Sandbag::Said.plain(JSON.generate(state.stage(stage).view)), symbolize_names: true)
  end

  # Everything the job says: its headline and what each of its stages shows.
  def told(state = self.state)
    {headline: state.headline, **state.stages.to_h { |id, stage| [id.to_sym, stage.view] }}
  end

  def open_gates
    state.close.gates.reject(&:met).map(&:id)
  end

  def flags
    state.ask.flags.map(&:id)
  end

  def strokes(count)
    count.times { add("bleed", "stroke") }
  end

  # Everything up to a lever that can be read.
  def bled(fluid: "dot4")
    add("ask", "finding", {"finding" => "lever_feel", "value" => "spongy"})
    add("ask", "route", {"route" => "bleed"})
    add("choose", "fluid", {"fluid" => fluid, "stamped" => fluid})
    state.bleed.count.points.each_key { |id| run_clean(id) }
    self
  end

  def run_clean(id)
    add("bleed", "point", {"point" => id})
    strokes(state.bleed.count.points[id].strokes_to_go)
    add("bleed", "topped_up")
    add("bleed", "colour", {"colour" => "as_fresh"})
    add("bleed", "point_done", {"point" => id})
  end

  # Readings of the circuit with some air, to a tenth of a millimetre as a ruler has it.
  def read_lever(air_ml:, forces: [5, 8, 12, 20, 35, 60, 90, 120])
    circuit = Sandbag::Circuit::Assembly.build(state.sheet)
    forces.map do |force|
      travel = circuit.travel_mm(circuit.pressure_mpa(force), air_ml: air_ml)
      add("feel", "reading", {"force" => force, "travel" => travel.round(1)})
    end
  end

  def confirm(*gates)
    gates.each { |gate| add("close", "gate", {"gate" => gate, "met" => true}) }
  end
end

# The stages between Choose and Bleed, worked the way a careful mechanic would.
module CylinderWork
  # Everything on the bench, for a route that takes the cylinder apart.
  def laid_out(route: "reseal_mc", fluid: "dot4")
    add("ask", "route", {"route" => route})
    add("choose", "fluid", {"fluid" => fluid, "stamped" => fluid})
    state.choose.wanting.each { |line| add("choose", "pulled", {"line" => line.id, "reason" => "bought for this job"}) }
    self
  end

  def set_up
    state.strip.setup.missing.each { |row| add("strip", "setup", {"item" => row["id"]}) }
    self
  end

  def strip_all
    add("strip", "step", {"step" => state.strip.step.id}) while state.strip.step
    self
  end

  # Every look answered with the first finding, which is the good one.
  def look_over(**found)
    state.measure.inspection.looks.each do |look|
      add("measure", "finding", {"check" => look.row["id"], "value" => found.fetch(look.row["id"].to_sym) { look.row["values"].keys.first }})
    end
    self
  end

  # Looked over and found good, without a gauge.
  def passed
    look_over
    add("measure", "by_eye", {"reason" => "no gauge on hand"})
    self
  end

  # Bore and piston at these sizes wherever the gauge is held.
  def gauge(bore:, piston:, gauge: "bore_gauge", **places)
    Sandbag::Knowledge.table("gauge_places").each do |row|
      value = places.fetch(row["id"].tr(".", "_").to_sym) { (row["part"] == "bore") ? bore : piston }
      add("measure", "gauge", {"place" => row["id"], "value" => value, "gauge" => gauge})
    end
    self
  end

  def face(step)
    step.takes.select(&:feature).each { |part| add("build", "facing", {"part" => part.id, "faces" => part.faces}) }
  end

  def build_all
    while (step = state.build.step)
      face(step)
      add("build", "step", {"step" => step.id})
    end
    add("build", "scrapped", {"count" => state.build.reckoning.scrap_wanted})
    state.build.checks.each { |check| add("build", "check", {"check" => check.dig(:row, "id"), "pass" => true}) }
    self
  end
end

JobInMemory.include CylinderWork
