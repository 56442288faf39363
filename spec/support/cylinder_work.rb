# frozen_string_literal: true

# The stages between Choose and Bleed, worked the way a careful mechanic would.
module CylinderWork
  # The first answer to a row of the set-up, which is the good one; a figure where figures answer it.
  # @return [Array(String, Hash)] kind of entry and its data
  def self.answered(row)
    if row["figures"]
      first = Sandbag::Tables.rows("setup_figures").find { |figure| figure["of"] == row["id"] }
      return ["figure", {"figure" => first["id"], "value" => 3}]
    end
    ["setup", {"item" => row["id"], "value" => row["values"]&.keys&.first}.compact]
  end

  # Everything on the bench, for a route that takes the cylinder apart.
  def laid_out(route: "reseal_mc", fluid: nil)
    add("ask", "route", {"route" => route})
    work_everywhere
    choose_fluid(fluid)
    measure_hoses
    state.choose.wanting.each { |line| add("choose", "pulled", {"line" => line.id, "reason" => "bought for this job"}) }
    self
  end

  # Wherever the repair can work.
  def work_everywhere
    where = state.ask.where
    add("ask", "at", {"places" => where.candidates.map(&:id)}) if where.wanted?
    self
  end

  def set_up
    state.strip.setup.missing.each { |row| add("strip", *CylinderWork.answered(row)) }
    self
  end

  def strip_all
    add("strip", "step", {"step" => state.strip.step.id}) while state.strip.step
    self
  end

  # Every look answered with the first finding, which is the good one.
  def look_over(**found)
    state.measure.looks.each do |look|
      add(
        "measure",
        "finding",
        {"check" => look.id, "value" => found.fetch(look.row["id"].to_sym) { look.row["values"].keys.first }}
      )
    end
    self
  end

  # Looked over and found good, without a gauge.
  def passed
    look_over
    add("measure", "by_eye", {"reason" => "no gauge on hand"})
    ready_to_build
  end

  # The new parts laid beside the old, all of them the same; everything clean, and the cups soaked.
  def ready_to_build
    state.measure.inner.open.each { |line| add("measure", "inner", {"row" => line.id, "value" => "same"}) }
    state.build.first_checks.each { |check| add("build", "check", {"check" => check.dig(:row, "id"), "pass" => true}) }
    self
  end

  # Bore and piston at these sizes wherever the gauge is held.
  def gauge(bore:, piston:, gauge: "bore_gauge", **places)
    state.measure.reports.flat_map(&:gaugings).flat_map(&:wanted).each do |place|
      value = places.fetch(place.row["id"].tr(".", "_").to_sym) { (place.row["part"] == "bore") ? bore : piston }
      add("measure", "gauge", {"place" => place.id, "value" => value, "gauge" => gauge})
    end
    ready_to_build
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
    work_everywhere
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

  def choose_what_is_wanted(fluid = nil)
    return unless state.stages.key?("choose")
    choose_fluid(fluid)
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
    measure_hoses
    state.choose.wanting.each do |line|
      add("choose", "pulled", {"line" => line.id, "reason" => "bought for this job"})
    end
  end

  # As long as such hoses usually are.
  def measure_hoses
    state.choose.unmeasured_hoses.each do |line|
      add("choose", "hose", {"line" => line["id"], "length" => state.choose.sheet.values(line)["length"].value})
    end
  end

  def measured
    compare_all
    passed if state.measure.apart? && state.strip.done?
  end

  def stripped
    set_up.strip_all
    measured if state.measure.comparison.rows.any?
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
    state.build.checks.reject { |check| check[:pass] }
      .each { |check| add("build", "check", {"check" => check.dig(:row, "id"), "pass" => true}) }
    self
  end
end
