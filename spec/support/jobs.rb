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
    given.id
  end

  def undo(stage, id)
    add(stage, "undo", {}, corrects: id)
  end

  def state
    Sandbag::Job::State.new(Sandbag::Job::Journal.new(entries), fitted)
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
