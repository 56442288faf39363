# frozen_string_literal: true

require "time"
require_relative "cylinder_work"
require_relative "fit_work"
require_relative "plainly"

# A job worked through its journal in memory, as the desk would.
class JobInMemory
  include CylinderWork

  attr_reader :entries, :fitted

  # What a careful mechanic answers on a machine with nothing odd about it.
  SAFE = {
    "at_ease" => "yes",
    "abs" => "none",
    "abs_tool" => "no",
    "linked" => "none",
    "service_info" => "yes",
    "sole_brake" => "no",
    "fluid_marked" => "dot4",
    "fluid_found" => "dot4"
  }.freeze

  # What is in it is what the cap says.
  def self.safe(question, marked)
    ((question == "fluid_found") && marked) || SAFE.fetch(question)
  end

  # @return [String] of machine_kinds.yml: the first that has a circuit of this template
  def self.machine_of(template)
    Sandbag::Tables.rows("machine_kinds").find { |kind| kind["templates"].include?(template) }["id"]
  end

  # @param template [String] of circuit_templates.yml; abs [Boolean] as its record has it
  # @return [JobInMemory] on its circuit, nothing answered yet
  def self.of_template(template, abs: false)
    sheet = Sandbag::Circuit::Template.filled(template)
    sheet = sheet.set("vehicle", "abs", "fitted", "measured") if abs
    new(sheet, careful: false, machine_kind: machine_of(template))
  end

  CARED_FOR = %w[ask choose strip].freeze

  # @param careful [Boolean] answers what can stop the job, and protects the machine, before any work is entered
  # @param machine_kind [String, nil] of machine_kinds.yml; nil asks what is asked of any; machine_use [String, nil] of
  #   machine_uses.yml
  # @param entries [Array<Sandbag::Job::Entry>] it begins with
  def initialize(fitted, careful: true, machine_kind: nil, machine_use: nil, entries: [])
    @fitted = fitted
    @machine_kind = machine_kind
    @machine_use = machine_use
    @entries = entries
    @careful = careful
  end

  # @return [String] id of the entry
  def add(stage, kind, data = {}, corrects: nil)
    take_care(stage, kind) if @careful
    write(stage, kind, data, corrects: corrects)
  end

  def answer_stops
    while (row = state.ask.intake.unanswered.first)
      marked = state.ask.intake.value("fluid_marked")
      write("ask", "intake", {"question" => row["id"], "value" => JobInMemory.safe(row["id"], marked)})
    end
  end

  def protect
    state.strip.setup.missing.each { |row| write("strip", *CylinderWork.answered(row)) }
  end

  def write(stage, kind, data = {}, corrects: nil)
    append(Sandbag::Job::Admission.new(state).admit(entry(stage, kind, data, corrects)))
  end

  def undo(stage, id)
    add(stage, "undo", {}, corrects: id)
  end

  def state
    @state ||= Sandbag::Job::State.new(Sandbag::Job::Journal.new(entries), fitted,
      machine_kind: @machine_kind, machine_use: @machine_use)
  end

  def headline
    state.headline
  end

  # What a stage shows, its sentences in the core's units.
  def view(stage)
    Plainly.read(state.stage(stage).view, symbolize_names: true)
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

  # Topped up whenever the reservoir asks for it. Only the last of a run is admitted: they are alike, and it takes long.
  def strokes(count)
    while count.positive?
      take_care("bleed", "stroke") if @careful
      add("bleed", "topped_up") if state.bleed.count.reservoir.spent?
      run = state.bleed.count.reservoir.strokes_to_uncover.clamp(1, count)
      (run - 1).times { append(entry("bleed", "stroke", {}, nil)) }
      add("bleed", "stroke")
      count -= run
    end
  end

  # Asked, chosen and protected: fluid may move.
  def ready_to_bleed(route)
    answer_stops
    add("ask", "route", {"route" => route})
    choose_fluid
    protect
  end

  # The class on the cap.
  # @param fluid [String, nil] another one: the cap says so
  def choose_fluid(fluid = nil)
    return if state.route && !state.route.handles_fluid?
    marked = state.ask.intake.value("fluid_marked")
    fluid ||= Sandbag::Tables.find("fluids", marked) ? marked : SAFE.fetch("fluid_marked")
    read_on_cap(fluid) unless marked == fluid
    add("choose", "fluid", {"fluid" => fluid, "stamped" => fluid})
  end

  def read_on_cap(fluid)
    %w[fluid_marked fluid_found].each { |each| write("ask", "intake", {"question" => each, "value" => fluid}) }
  end

  # Everything up to a lever that can be read.
  def bled(fluid: nil)
    add("ask", "finding", {"finding" => "lever_feel", "value" => "spongy"})
    add("ask", "route", {"route" => "bleed"})
    choose_fluid(fluid)
    run_all_clean
    self
  end

  # Every point, and then the last look at the master.
  def run_all_clean
    state.bleed.count.points.each_key { |id| run_clean(id) }
    look_after_fluid
  end

  # Every check of the method at hand, with its first good answer.
  # By holding and opening, whatever is proposed, where nothing else was chosen.
  def look_before_fluid
    write("bleed", "method", {"method" => "hold_cycle"}) if state.bleed.proposed
    write("bleed", "order", {"points" => state.bleed.count.points.keys}) if state.bleed.order_due
    answer_checks(state.bleed.checks.start)
  end

  def look_after_fluid
    answer_checks(state.bleed.checks.finish)
  end

  def answer_checks(checks)
    checks.reject(&:good?).each do |check|
      write("bleed", "check", {"check" => check.row["id"], "value" => check.row["good"].first})
    end
  end

  def run_clean(id)
    add("bleed", "point", {"point" => id})
    look_before_fluid
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

  # Every gate that somebody has to look at, the last one last.
  def confirm_all
    read_at_close
    open = state.close.gates.reject { |gate| gate.computed? || gate.met }
    open.each do |gate|
      checked = gate.row["by_name"] ? {"name" => "M. Beck"} : {}
      add("close", "gate", {"gate" => gate.id, "met" => true, **checked})
    end
  end

  # Batch, both leak watches ten minutes apart, and the day of the re-check.
  def read_at_close
    add("close", "batch", {"batch" => "L 2211"}) if state.close.gates.any? { |gate| gate.id == "batch" && !gate.met }
    add("close", "leak", {"value" => "dry"})
    wait_minutes(10)
    add("close", "leak", {"value" => "dry"})
    add("close", "recheck", {"on" => "2026-03-15"})
  end

  def wait_minutes(minutes)
    @minutes = (@minutes || 0) + minutes
  end

  private

  def entry(stage, kind, data, corrects)
    number = entries.size + 1
    Sandbag::Job::Entry.new(
      id: "e#{number}",
      stage: stage,
      kind: kind,
      data: data,
      at: (Time.utc(2026, 3, 14, 9, 30) + number + 60 * (@minutes || 0)).iso8601,
      by: "spec",
      corrects: corrects,
      position: number
    )
  end

  # @return [String] id of the entry
  def append(entry)
    @entries += [entry]
    @state = @state&.with(entry)
    entry.id
  end

  # It was seen to already where nothing was asked, chosen, stripped or taken back since.
  def take_care(stage, kind)
    return if %w[ask choose].include?(stage) || kind == "undo"
    cared = [stage, kind, entries.count { |entry| CARED_FOR.include?(entry.stage) || entry.kind == "undo" }]
    return if @cared == cared
    see_to(stage, kind)
    @cared = cared
  end

  def see_to(stage, kind)
    return if state.stop || state.signed?
    answer_stops
    write("ask", "route", {"route" => "bleed"}) unless state.route || %w[ask choose feel].include?(stage)
    choose_what_is_wanted if %w[fit bleed].include?(stage) && state.route && !state.choose.enough?
    protect if stage == "bleed" && state.route&.protects?
    look_before_fluid if stage == "bleed" && Sandbag::Bleed::Stage::MOVING.include?(kind) && state.bleed.unready.nil?
  end
end
