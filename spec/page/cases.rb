# frozen_string_literal: true

# Writes what the page's own specs are held against: var/projection_cases.json, made-up bleeds with what the core counts
# after every entry (ui/src/job/bleed/project.test.ts), and var/circuit_cases.json, the figures of a circuit from every
# template (ui/src/drawings/circuitDrawing.test.ts).
require_relative "../../app/boot"
require "json"
require "fileutils"
require "prop_check"
Dir["#{__dir__}/../support/{properties,sheets,jobs}.rb"].each { |file| require file }

# A bleed under random hands: some entries the server has, the rest still on their way.
class ProjectionCase
  COUNTED = %i[current points reservoir total_strokes finished cycle].freeze
  KINDS = (%w[stroke] * 10 + %w[beat] * 6 + %w[run] * 5 + %w[topped_up] * 5 +
    %w[bubbles colour point point_done uncovered undo undo]).freeze
  COLOURS = Sandbag::Tables.rows("fluid_colours").map { |colour| colour.fetch("id") }

  # @param method [String, nil] of bleed_methods.yml
  def initialize(plain, random, method)
    @random = random
    @job = JobInMemory.new(Sandbag::Circuit::Sheet.new(plain))
    @job.answer_stops
    @job.add("ask", "route", {"route" => "bleed"})
    @job.protect
    @job.choose_fluid
    @job.add("choose", "method", {"method" => method}) if method
    @job.look_before_fluid
    @job.add("bleed", "tool_tight", {"first" => 0.06, "after" => 0.06}) if @job.state.bleed.checks.tight_wanted?
    @random.rand(0..40).times { step }
  end

  # @return [Hash] base: the Bleed page's view; ahead: entries; after: the core's count after each of them; in_turn:
  #   whether each was no step of a cycle out of its turn
  def to_h
    base = view
    ahead = Array.new(@random.rand(1..30)) { step }.compact
    {base: base, ahead: ahead.map(&:first), after: ahead.map { |each| each[1] }, in_turn: ahead.map(&:last)}
  end

  private

  def view
    {recent: [], **@job.view("bleed")}
  end

  # @return [Array, nil] the entry and the core's count after it; nil when the core refused it
  def step
    kind = KINDS.sample(random: @random)
    turn = @job.state.bleed.count.cycle.turn
    id = @job.add("bleed", kind, data(kind), corrects: ((kind == "undo") ? undoable : nil))
    entry = @job.entries.last
    [{id: id, stage: "bleed", kind: kind, data: entry.data, corrects: entry.corrects}.compact, view.slice(*COUNTED),
      kind != "beat" || entry.data["beat"] == turn]
  rescue Sandbag::Refusal
    nil
  end

  def data(kind)
    case kind
    when "colour" then {"colour" => COLOURS.sample(random: @random)}
    when "beat" then {"beat" => beat}
    when "run" then {"ml" => @random.rand(1..9), **((@random.rand < 0.2) ? {"poured" => true} : {})}
    when "point", "point_done" then {"point" => @job.state.bleed.count.points.keys.sample(random: @random)}
    else {}
    end
  end

  # Mostly the one whose turn it is.
  def beat
    cycle = @job.state.bleed.count.cycle
    ((@random.rand < 0.9) && cycle.turn) || Sandbag::Tables.rows("bleed_beats").sample(random: @random)["id"]
  end

  def undoable
    @job.state.journal.in_force.select { |entry| entry.stage == "bleed" }.last(6).sample(random: @random)&.id ||
      raise(Sandbag::Refusal.at("corrects", "nothing to undo"))
  end
end

circuits = Object.new.extend(Sheets)

random = Random.new(ENV.fetch("SEED", 1126).to_i)
plains = [circuits.twin_disc_plain, circuits.bicycle_plain, circuits.clutch_plain]
methods = {0 => ["pump_crack", "hand_vacuum"], 1 => ["two_syringe"], 2 => ["hand_vacuum", "reverse_syringe"]}
cases = Array.new(90) do |index|
  kind = index % plains.size
  ProjectionCase.new(plains[kind], random, [nil, *methods.fetch(kind)].sample(random: random)).to_h
end
fresh =
  Sandbag::Tables
    .rows("fluid_colours")
    .select { |colour| colour.fetch("fresh") }
    .map { |colour| colour.fetch("id") }
FileUtils.mkdir_p("#{ROOT}/var")
File.write("#{ROOT}/var/projection_cases.json", JSON.generate(fresh: fresh, cases: cases))

figures =
  Sandbag::Tables
    .rows("circuit_templates")
    .map do |template|
      Sandbag::Circuit::Summary.new(
        Sandbag::Circuit::Template.sheet(template.fetch("id")),
        today: Date.new(2026, 3, 14)
      ).to_h
    end
File.write("#{ROOT}/var/circuit_cases.json", JSON.generate(figures))
