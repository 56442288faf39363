# frozen_string_literal: true

# A mechanic in a hurry: a job that was worked well up to its signature is then skipped in, contradicted, repeated and
# taken back at random, ticked off again, and signed if it lets itself be signed. All by entries that pass admission.
class Careless
  # A template and a route: every kind of circuit, work at both ends and none.
  JOBS = [
    %w[road_front_twin bleed], %w[road_front_twin remake_joint], %w[road_front_twin slave_work],
    %w[road_front_twin reseal_mc], %w[road_rear flush], %w[road_rear adjust_free_play], %w[kart_rear flush],
    %w[snow_jackshaft bleed], %w[bike_front bleed], %w[road_clutch flush], %w[road_clutch set_level]
  ].freeze
  MOST_SLIPS = 3
  # How often a gate is not ticked again.
  TIRED = 0.05

  # @return [Array<Hash>] what admission refused: the field, what is wrong and what would be accepted
  attr_reader :job, :slips, :refused

  # @param seed [Integer]; the same seed does the same
  def initialize(seed)
    @chance = Random.new(seed)
    @job = Careless.nearly_signed(*pick(JOBS))
    @slips = []
    @refused = []
  end

  # @return [Boolean] it was signed
  def work
    send(pick(%i[one_stroke_more slip]))
    @chance.rand(MOST_SLIPS).times { slip }
    tick_again if @chance.rand < 0.8
    attempt("close", "signed", {"name" => pick(["R. Tarn", "M. Beck"])})
    job.state.signed?
  end

  # Worked once, all but the signature.
  def self.nearly_signed(template, route)
    @worked ||= {}
    entries, circuit = @worked[[template, route]] ||= begin
      whole = JobInMemory.new(Sandbag::Circuit::Template.filled(template))
      whole.answer_stops
      whole.add("ask", "route", {"route" => route})
      whole.work_through
      [whole.entries[..-2].freeze, whole.fitted]
    end
    JobInMemory.new(circuit, careful: false, entries: entries)
  end

  private

  def pick(list) = list[@chance.rand(list.size)]

  # What admission refuses did not happen.
  def attempt(stage, kind, data = {}, corrects: nil)
    job.add(stage, kind, data, corrects: corrects)
    slips << [stage, kind, data, corrects].compact
  rescue Sandbag::Refusal => refusal
    refused.concat(refusal.problems.map(&:to_h))
  end

  def slip
    send(pick(%i[take_back take_back other_route other_place fluid_moves opens_again opens_again reads_badly
      ticks_badly finds answers loosens chooses looks sets_up]))
  end

  def take_back
    entry = pick(job.state.journal.in_force)
    attempt(entry.stage, "undo", {}, corrects: entry.id)
  end

  def other_route
    attempt("ask", "route", {"route" => pick(Sandbag::Job::Route.all).id, "reason" => "in a hurry"})
  end

  def other_place
    candidates = job.state.ask.where.candidates
    attempt("ask", "at", {"places" => [pick(candidates).id]}) if candidates.any?
  end

  # The lever is pulled once with a nipple open, when all is done.
  def one_stroke_more
    attempt("bleed", "stroke") if job.state.stages.key?("bleed")
  end

  def fluid_moves
    return unless job.state.stages.key?("bleed")
    kind = pick(%w[stroke uncovered bubbles topped_up colour beat point method])
    point = pick(job.state.bleed.count.points.keys)
    attempt("bleed", kind, {
      "colour" => {"colour" => pick(Sandbag::Tables.ids("fluid_colours"))}, "point" => {"point" => point},
      "beat" => {"beat" => pick(%w[hold open close release])},
      "method" => {"method" => pick(Sandbag::Tables.ids("bleed_methods"))}
    }.fetch(kind, {}))
  end

  def opens_again
    step = job.state.strip.step
    attempt("strip", "step", {"step" => step.id}) if step
    stack = job.state.stages["fit"]&.washers&.stacks&.sample(random: @chance)
    attempt("fit", "washers", {"joint" => stack.at, "old" => stack.wanted, "new" => @chance.rand(0..3)}) if stack
  end

  def reads_badly
    case @chance.rand(4)
    when 0 then attempt("feel", "hold", {"creep" => 5})
    when 1 then attempt("feel", "reading", {"force" => 60, "travel" => 40})
    when 2 then attempt("feel", "lift", {"lift" => 0.1})
    else bad_test
    end
  end

  def bad_test
    row = pick(Sandbag::Tables.rows("feel_tests"))
    attempt("feel", "test", {"test" => row["id"], "value" => row["answers"].keys.last})
  end

  def ticks_badly
    gate = pick(job.state.close.gates)
    attempt("close", "gate", {"gate" => gate.id, "met" => false})
    attempt("close", "leak", {"value" => "wet"}) if @chance.rand < 0.2
    attempt("close", "level", {"below" => 0}) if @chance.rand < 0.2
  end

  def finds
    row = pick(job.state.ask.askable)
    attempt("ask", "finding", {"finding" => row["id"], "value" => pick(row["values"].keys)})
  end

  def answers
    row = pick(job.state.ask.intake.questions)
    attempt("ask", "intake", {"question" => row["id"], "value" => pick(row["values"].keys)})
  end

  def loosens
    line = job.state.stages["fit"]&.torques&.lines&.sample(random: @chance)
    return unless line&.range
    attempt("fit", "torque", {"fastener" => line.id, "value" => line.range.aim * pick([0.5, 2])})
  end

  def chooses
    fluid = pick(Sandbag::Tables.ids("fluids"))
    attempt("choose", "fluid", {"fluid" => fluid, "stamped" => pick([fluid, "dot4"])})
  end

  def looks
    look = job.state.stages["measure"]&.looks&.sample(random: @chance)
    attempt("measure", "finding", {"check" => look.id, "value" => pick(look.row["values"].keys)}) if look
  end

  def sets_up
    row = Sandbag::Tables.rows("setup").sample(random: @chance)
    attempt("strip", "setup", {"item" => row["id"], "reason" => "no time"})
  end

  # Whatever can be ticked is ticked, whatever it says; often the joints are watched again, and the lever is read.
  def tick_again
    tick_bleed if job.state.stages.key?("bleed")
    job.felt if @chance.rand < 0.7
    watch_again if @chance.rand < 0.7
    job.state.close.gates.each do |gate|
      next if @chance.rand < TIRED
      attempt("close", "gate", {"gate" => gate.id, "met" => true, "name" => "M. Beck"}) unless gate.computed?
    end
  rescue Sandbag::Refusal
    nil
  end

  def tick_bleed
    job.state.bleed.count.points.each_key { |id| attempt("bleed", "point_done", {"point" => id}) }
    job.state.bleed.checks.all.each do |check|
      attempt("bleed", "check", {"check" => check.id, "value" => check.row["good"].first})
    end
  end

  def watch_again
    attempt("close", "leak", {"value" => "dry"})
    job.wait_minutes(11)
    attempt("close", "leak", {"value" => "dry"})
  end
end
