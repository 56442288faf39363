# frozen_string_literal: true

# A job worked through its journal in memory, as the desk would.
class JobInMemory
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

  # @param careful [Boolean] answers what can stop the job, and protects the machine, before any work is entered
  # @param machine_kind [String, nil] of machine_kinds.yml; nil asks what is asked of any
  def initialize(fitted, careful: true, machine_kind: nil)
    @fitted = fitted
    @machine_kind = machine_kind
    @entries = []
    @careful = careful
  end

  # @return [String] id of the entry
  def add(stage, kind, data = {}, corrects: nil)
    take_care(stage, kind) if @careful
    write(stage, kind, data, corrects: corrects)
  end

  def answer_stops
    while (row = state.ask.intake.unanswered.first)
      write("ask", "intake", {"question" => row["id"], "value" => SAFE.fetch(row["id"])})
    end
  end

  def protect
    state.strip.setup.missing.each { |row| write("strip", "setup", {"item" => row["id"]}) }
  end

  def write(stage, kind, data = {}, corrects: nil)
    append(Sandbag::Job::Admission.new(state).admit(entry(stage, kind, data, corrects)))
  end

  def undo(stage, id)
    add(stage, "undo", {}, corrects: id)
  end

  def state
    @state ||= Sandbag::Job::State.new(Sandbag::Job::Journal.new(entries), fitted,
      machine_kind: @machine_kind)
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

  # Everything up to a lever that can be read.
  def bled(fluid: "dot4")
    add("ask", "finding", {"finding" => "lever_feel", "value" => "spongy"})
    add("ask", "route", {"route" => "bleed"})
    add("choose", "fluid", {"fluid" => fluid, "stamped" => fluid})
    run_all_clean
    self
  end

  # Every point, and then the last look at the master.
  def run_all_clean
    state.bleed.count.points.each_key { |id| run_clean(id) }
    look_after_fluid
  end

  # Every check of the method at hand, with its first good answer.
  def look_before_fluid
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

  # Every gate that somebody has to look at.
  def confirm_all
    confirm(*state.close.gates.reject(&:computed?).map(&:id))
  end

  private

  def entry(stage, kind, data, corrects)
    number = entries.size + 1
    Sandbag::Job::Entry.new(
      id: "e#{number}",
      stage: stage,
      kind: kind,
      data: data,
      at: "2026-03-14T09:00:#{format("%02d", number % 60)}Z",
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

  def take_care(stage, kind)
    return if %w[ask choose].include?(stage) || kind == "undo" || state.stop || state.signed?
    answer_stops
    write("ask", "route", {"route" => "bleed"}) unless state.route || %w[ask choose feel].include?(stage)
    protect if stage == "bleed" && state.route&.protects?
    look_before_fluid if stage == "bleed" && Sandbag::Bleed::Stage::MOVING.include?(kind) && state.bleed.unready.nil?
  end
end

# The stages between Choose and Bleed, worked the way a careful mechanic would.
module CylinderWork
  # Everything on the bench, for a route that takes the cylinder apart.
  def laid_out(route: "reseal_mc", fluid: "dot4")
    add("ask", "route", {"route" => route})
    add("choose", "far_end", {"part" => "all"}) if state.choose.far_end_wanted?
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
      add(
        "measure",
        "finding",
        {"check" => look.row["id"], "value" => found.fetch(look.row["id"].to_sym) { look.row["values"].keys.first }}
      )
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
    state.measure.cylinder.construction.gauge_places.each do |row|
      value = places.fetch(row["id"].tr(".", "_").to_sym) { (row["part"] == "bore") ? bore : piston }
      add("measure", "gauge", {"place" => row["id"], "value" => value, "gauge" => gauge})
    end
    self
  end

  def face(step)
    step.takes.select(&:feature).each { |part| add("build", "facing", {"part" => part.id, "faces" => part.faces}) }
  end

  # New beside old, all of it the same.
  def compare_all
    state.measure.comparison.open.each { |row| add("measure", "compared", {"row" => row["id"], "value" => "same"}) }
    self
  end

  # Whatever the route has, in its order, to the signature.
  def work_through
    choose_what_is_wanted
    state.stages.each_key { |stage| public_send(WORK.fetch(stage)) unless %w[ask choose].include?(stage) }
    self
  end
  WORK = {
    "measure" => :measured,
    "strip" => :stripped,
    "build" => :build_all,
    "fit" => :fit_all,
    "bleed" => :bleed_all,
    "feel" => :felt,
    "close" => :closed
  }.freeze

  def choose_what_is_wanted(fluid = "dot4")
    return unless state.stages.key?("choose")
    add("choose", "far_end", {"part" => "all"}) if state.choose.far_end_wanted?
    add("choose", "fluid", {"fluid" => fluid, "stamped" => fluid})
    if state.choose.cylinder_wanted?
      add(
        "choose",
        "cylinder",
        {
          "bore" => fitted.value("master", "bore"),
          "push_offset" => fitted.value("lever", "push_offset"),
          "agreed" => "as it was"
        }
      )
    end
    state.choose.wanting.each do |line|
      add("choose", "pulled", {"line" => line.id, "reason" => "bought for this job"})
    end
  end

  def measured
    state.measure.apart? ? passed : compare_all
  end

  def stripped
    set_up.strip_all
  end

  # With what belongs on after the bleed, where the job fits something.
  def bleed_all
    run_all_clean
    fit_all if state.stages.key?("fit")
  end

  # A lever with next to no air in it, or a slave that lifts as it should.
  def felt
    if state.feel.clutch?
      slave = fitted.values(fitted.far_ends.first)
      add("feel", "lift", {"lift" => slave["lift_needed"].value + slave["lift_margin"].value + 0.1})
    else
      read_lever(air_ml: 0.0, forces: light_to_firm)
      add("feel", "accepted", {"reason" => "as before"}) if state.feel.verdict == "marginal"
    end
    add("feel", "hold", {"creep" => 0.2})
  end

  def light_to_firm
    circuit = Sandbag::Circuit::Assembly.build(state.sheet)
    reference = Sandbag::Circuit::Reference.force_n(state.sheet, circuit)
    Sandbag::Feel::LowForces.of(circuit).first(4) + [0.42, 0.62, 0.82, 1.0].map { |share| (share * reference).round }
  end

  def closed
    confirm_all
    add("close", "signed", {"name" => "R. Tarn"})
  end

  # On the machine as it should be: each room of Fit in turn, then again after the bleed.
  def fit_all
    FitWork.new(self).work
    self
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

# Fit, worked the way a careful mechanic would.
class FitWork
  # Stand-ins of the service information for what has no default.
  SERVICE = {"caliper_bolt" => 35, "wheel_axle" => 70}.freeze

  def initialize(job)
    @job = job
  end

  def work
    step while fit.sequence.step(fit.phase)
    count_scrap
    hoses
    washers
    figures
    torques
    play_and_looks
    step while fit.sequence.step(fit.phase)
  end

  def fit
    @job.state.fit
  end

  def add(kind, data)
    @job.add("fit", kind, data)
  end

  def step
    now = fit.sequence.step(fit.phase)
    now.strip&.takes&.select(&:feature)&.each { |part| add("facing", {"part" => part.id, "faces" => part.faces}) }
    add("step", {"step" => now.id})
  end

  def count_scrap
    wanted = fit.put_back.reckoning.scrap_wanted
    add("scrapped", {"count" => wanted}) if wanted.positive?
  end

  # Every path a little shorter than the hose, bends as wide as wanted.
  def hoses
    fit.hoses.laid.each do |laid|
      laid.open.each do |row|
        add("path", {"line" => laid.line["id"], "position" => row["id"], "length" => laid.run.length_mm - 40})
      end
      add("bend", {"line" => laid.line["id"], "radius" => laid.run.least_bend_mm + 20}) unless laid.bend
    end
  end

  def washers
    fit.washers.stacks.reject(&:done?).each do |stack|
      add("washers", {"joint" => stack.at, "old" => stack.wanted, "new" => stack.wanted})
    end
  end

  # Steel bolts, a metal bar, and a service figure where the trade has none.
  def figures
    while (line = fit.torques.lines.find(&:asks))
      part, field = fit.torques.asked_at(line)
      add("fact", {"part" => part["id"], "field" => field, "value" => (field == "bar") ? "metal" : "steel"})
    end
    fit.torques.lines.reject(&:range).each do |line|
      add("figure", {"fastener" => line.id, "from" => SERVICE.fetch(line.fastener["id"])})
    end
  end

  def torques
    fit.torques.lines.select { |line| line.when == fit.phase || !fit.bleeds? }.reject(&:done?).each do |line|
      aim = line.range.aim
      add("wrench", {"scale" => aim * 2, "name" => "click wrench"})
      add("torque", {"fastener" => line.id, "value" => aim})
    end
  end

  def play_and_looks
    low, high = fit.free_play.row["tip"] || [2, 4]
    add("free_play", {"at" => "tip", "value" => (low + high) / 2.0}) if fit.free_play.wanted?
    fit.checks.all.reject(&:pass).each do |check|
      add(check.gap? ? "gap" : "check", {"check" => check.row["id"], "value" => check.gap? ? 30 : "good"})
    end
    add("tilt", {"angle" => 2}) if fit.reservoir.wanted? && fit.reservoir.tilt_deg.nil?
    electrics if fit.electrics.wanted?
  end

  def electrics
    add("ohms", {"state" => "rest", "open" => true})
    add("ohms", {"state" => "pulled", "ohms" => 0.3})
    add("lamp", {"travel" => fit.electrics.bite_mm / 2}) if fit.electrics.lamp_wanted?
  end
end
