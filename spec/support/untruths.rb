# frozen_string_literal: true

# What a signed job says that its own entries do not: read from the journal line by line, by none of the code that
# decides about the signature.
class Untruths
  MOVED = %w[stroke beat run].freeze
  ENTERED = %w[fact figure cylinder size fluid unit].freeze

  # @param job [JobInMemory] signed
  def initialize(job)
    @job = job
    @state = job.state
    @entries = @state.journal.in_force
  end

  # @return [Array<String>]
  def all
    [*left_out, *unbled, *unread, *unwatched, *unlooked, *unprotected, *alone, *told_too_much].compact
  end

  private

  def of(stage, *kinds) = @entries.select { |entry| entry.stage == stage && kinds.include?(entry.kind) }

  def since(entries, position) = entries.select { |entry| entry.position > position.to_i }

  def last(entries) = entries.map(&:position).max

  def opened
    steps = of("strip", "step").select { |entry| entry.data["step"].match?(/\A(joint|hose_nut|hose_banjo|feed_joint)/) }
    looks = of("ask", "finding").select { |entry| %w[mc_isolated nipple_flow].include?(entry.data["finding"]) }
    last(steps + looks + of("fit", "washers"))
  end

  def moved = last(of("bleed", *MOVED))

  # Everything after which an earlier proof proves nothing.
  def disturbed = [opened, moved, last(of("bleed", "uncovered"))].compact.max

  def left_out
    back = of("build", "step") + of("fit", "step")
    of("strip", "step").reject do |entry|
      step = Sandbag::Cylinder::Construction.step_called(entry.data["step"].split("@").first)
      step.nil? || back.any? { |each| each.data["step"] == entry.data["step"] && each.position > entry.position } ||
        step["takes"].all? { |part| none_out?(part, entry.data["step"].split("@")[1]) }
    end.map { |entry| "#{entry.data["step"]} came off and is not back" }
  end

  def none_out?(part, at)
    counted = of("strip", "counted").reverse.find { |entry| entry.data["part"] == [part, at].compact.join("@") }
    counted ? counted.data["count"].zero? : Sandbag::Cylinder::Construction.part_called(part)["quantity"].zero?
  end

  def unbled
    return if opened.nil? && moved.nil?
    start = [opened, last(of("bleed", "uncovered"))].compact.max
    passed = since(of("bleed", "stroke"), start).size * @state.bleed.plan.stroke_ml
    wanted = @state.bleed.plan.points.sum(&:flush_ml)
    ["#{passed} mL passed, #{wanted} wanted"].select { passed < wanted - 0.01 } + points_left(start)
  end

  def points_left(start)
    done = since(of("bleed", "point_done"), start).map { |entry| entry.data["point"] }
    @state.bleed.plan.points.map(&:id).reject { |id| done.include?(id) }.map { |id| "#{id} was never finished" }
  end

  def unread
    clutch = @state.sheet.clutch?
    read = since(of("feel", *(clutch ? %w[lift] : %w[reading curve])), disturbed)
    hold = since(of("feel", "hold", "hold_series"), disturbed).last
    [("the lever was not read since" if read.empty?),
      ("the lever does not hold" if hold.nil? || hold.data["creep"].to_f > 2)]
  end

  def unwatched
    watches = since(of("close", "leak"), disturbed)
    dry = watches.reverse.take_while { |entry| entry.data["value"] == "dry" }.map { |entry| Time.iso8601(entry.at) }
    "not dry twice, ten minutes apart" if dry.size < 2 || dry.max - dry.min < 600
  end

  # What only somebody's own eyes can tell.
  def unlooked
    nipples = @state.choose.places.of_kind("nipple").map { |place| "nipple.#{place.at}" }
    ticks = since(of("close", "gate"), disturbed).to_h { |entry| [entry.data["gate"], entry.data["met"]] }
    [*nipples, "caps", "briefed"].reject { |id| ticks[id] }.map { |id| "#{id} was not looked at" }
  end

  def unprotected
    return unless @state.stages.key?("strip")
    items = of("strip", "setup").map { |entry| entry.data["item"] }
    items << "free_play" if of("strip", "figure").any?
    rows = Sandbag::Tables.rows("setup").select { |row| row["word"] == "block" && @state.sheet.suits?(row) }
    wanted = rows.map { |row| row["id"] } & @state.strip.setup.rows.map { |row| row["id"] }
    (wanted - items).map { |id| "#{id} was not set up" }
  end

  def alone
    second = of("close", "gate").reverse.find { |entry| entry.data["gate"] == "second" }&.data&.fetch("name", nil)
    "one person signed and checked" if second && second == of("close", "signed").last.data["name"]
  end

  # What the record says after the signature, and no entry does.
  def told_too_much
    before, after = @job.fitted, Sandbag::Calendar::SignedDays.written(@state, "2026-03-14")
    after.parts.flat_map do |part|
      old = before.part(part["id"])&.fetch("values") || {}
      changed = part["values"].keys.reject { |field| old[field] == part["values"][field] }
      changed.reject { |field| said?(part, field) }.map { |field| "#{part["id"]}.#{field} is new in the record" }
    end
  end

  def said?(part, field)
    case field
    when "changed_on" then moved && unbled.to_a.empty?
    when "found", "stamped"
      of("choose", "fluid").any? || of("ask", "intake").any? { |entry| entry.data["question"].start_with?("fluid_") }
    when "tested_on" then of("choose", "water").any?
    when "seals_on" then of("build", "step").any? || of("fit", "step").any?
    when "fitted_on" then of("fit", "path").any? { |entry| entry.data["line"] == part["id"] }
    when "looked_on" then of("strip", "step").any?
    else
      @entries.any? { |entry| ENTERED.include?(entry.kind) } || (field == "abs" && of("ask", "intake").any?)
    end
  end
end
