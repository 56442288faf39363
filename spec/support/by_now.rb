# frozen_string_literal: true

require_relative "jobs"

# A job worked by nothing but the cards of what can be done now: the first one, by its act, by a good answer or by a
# figure. What a card says to do in its panel is done there.
class ByNow
  # What a careful mechanic reads, by the start of a card's id.
  READ = {"setup" => 3, "hold" => 0.2, "free_play" => nil, "check" => 30, "tilt" => 2, "batch" => "L 2211", "run" => 8,
          "gearing" => "39/19", "weights" => "0.1 0.2 0.33 L 0.5 L 1 L 1.5 L 2 L 5 L 10 kg"}.freeze
  MOST = 600

  attr_reader :job

  # What a mechanic owns. means: what a lever is judged with; wrenches: full scales, N·m; abs_tool: the machine's own.
  OWNED = {
    "a full bench" => {means: "gauge", wrenches: [5, 25, 100]},
    "a luggage scale and a ruler" => {means: "gauge", wrenches: [25, 100]},
    "bottles and a ruler" => {means: "hung", wrenches: [25, 100]},
    "hands only" => {means: "hand", wrenches: [25, 100]},
    "the machine's ABS tool" => {means: "gauge", wrenches: [5, 25, 100], abs_tool: true}
  }.freeze

  # @param job [JobInMemory]; route [String]; owns [Hash] of OWNED
  def initialize(job, route, owns = OWNED.fetch("a full bench"))
    @job = job
    @route = route
    @owns = owns
    @seen = []
    @cards = []
  end

  # @return [Array<Array(String, String)>] stage and kind of each card that was drawn
  attr_reader :seen

  # @return [Array<Hash>] every card that was answered
  attr_reader :cards

  # @yield [String] the stage that is worked in, before each card
  # @return [Boolean] it was signed
  def work
    stage = nil
    MOST.times do
      return true if job.state.signed?
      stage ||= job.state.current
      yield stage if block_given?
      card = pick(stage)
      seen << [stage, card[:kind]]
      cards << card
      stage = (card[:kind] == "go") ? card[:stage] : (follow(stage, card) && nil)
    end
    false
  end

  private

  # The repair is known before anything is looked for; what runs is called by its colour when it is time.
  def pick(stage)
    cards = job.view(stage)[:now]
    raise "#{stage}: no card" if cards.empty?
    route = cards.find { |card| card[:id] == "route" }
    return route if route
    colour = cards.find { |card| card[:id] == "colour" }
    return cards.first unless colour
    lacking = job.state.bleed.count.current.missing
    (lacking.one? && lacking.first.include?("colour")) ? colour : cards.first
  end

  def follow(stage, card)
    case card[:kind]
    when "step", "round" then card[:all] ? send_all(stage, card[:all]) : send_both(stage, card[:act])
    when "question" then send_both(stage, answer(card))
    when "reading" then type(stage, card)
    else in_panel(stage, card)
    end
    true
  end

  def send_all(stage, all)
    all[:looks].each { |look| send_entry(stage, look[:entry]) }
  end

  def send_both(stage, answer)
    answer.values_at(:entry, :following).compact.each { |entry| send_entry(stage, entry) }
  end

  def send_entry(stage, entry, more = {})
    job.wait_minutes(10) if entry[:kind] == "leak"
    job.add(stage, entry[:kind], JSON.parse(JSON.generate(entry[:data])).merge(more))
  end

  def answer(card)
    by = card[:id].split(".").last
    recorded = card[:answers].find { |each| card[:detail] == "The record says: #{each[:label]}" }
    return recorded if recorded
    wanted = {"route" => @route, "fluid" => nil, "colour" => "as_fresh", "means" => @owns[:means]}
      .fetch(card[:id]) { intake(by) }
    sorted = card[:answers].find { |each| wanted && each[:entry][:data].value?(wanted) }
    return sorted if sorted
    faces = card[:id].start_with?("facing.") && right_way(card)
    faces || card[:answers].first
  end

  def intake(question)
    return "yes" if question == "abs_tool" && @owns[:abs_tool]
    JobInMemory.safe(question, job.state.ask.intake.value("fluid_marked")) if JobInMemory::SAFE.key?(question)
  end

  def right_way(card)
    part = job.state.strip.work.part(card[:id].delete_prefix("facing."))
    card[:answers].find { |each| each[:entry][:data][:faces] == part.faces }
  end

  def type(stage, card)
    return send_entry(stage, card[:answers].first[:entry]) if %w[switch.rest lamp].include?(card[:id])
    return by_eye if card[:id].start_with?("gauge.")
    typed = {card[:field][:name] => value(card)}
    [card[:field][:entry], *card[:field][:also]].each { |entry| send_entry(stage, entry, typed) }
  end

  def value(card)
    kind, rest = card[:id].split(".", 2)
    case kind
    when "signed" then "R. Tarn"
    when "gate" then "M. Beck"
    when "figure" then FitWork::SERVICE.fetch(rest.split(".").first)
    when "torque" then job.state.fit.torques.line(card[:field][:entry][:data][:fastener]).range.aim
    when "switch" then 0.3
    when "lift" then lift
    when "hose" then job.state.choose.sheet.values(job.state.sheet.part(rest))["length"].value
    when "pull" then travel(card[:field][:entry][:data][:force])
    when "hung" then travel(card[:field][:entry][:data][:kg] * 9.80665)
    when "free_play" then (job.state.fit.free_play.row["tip"] || [2, 4]).sum / 2.0
    when "run" then [job.state.bleed.count.reservoir.left_ml.floor(1), 5].min
    else READ.fetch(kind)
    end
  end

  # Of a lever without air, to a tenth of a millimetre.
  def travel(force)
    circuit = Sandbag::Circuit::Assembly.build(job.state.sheet)
    circuit.travel_mm(circuit.pressure_mpa(force), air_ml: 0.0).round(1)
  end

  def lift
    slave = job.fitted.values(job.fitted.far_ends.first)
    slave["lift_needed"].value + slave["lift_margin"].value + 0.1
  end

  # What takes more than one answer.
  def in_panel(stage, card)
    case card[:id].split(".").first
    when "nominal" then by_eye
    when "torque" then wrench(card[:id].delete_prefix("torque."))
    when "hose" then FitWork.new(job).hoses
    when "squeeze" then squeeze
    when "pump" then job.add("feel", "pump", {"travels" => [20, 20, 19.5, 19.5, 19.5]})
    when "count" then count(stage)
    when "verdict" then judge
    when "report" then job.add("bleed", "tool_report", {"lamp" => "off", "report" => "all valves run"})
    else raise "#{card[:id]}: #{card[:title]}"
    end
  end

  # A marginal lever is accepted; where no further pull tells more, it is read once more over its whole range.
  def judge
    return job.add("feel", "accepted", {"reason" => "as before"}) if job.state.feel.verdict == "marginal"
    job.felt
  end

  # At a light pull and a firm one, by a ruler, on a lever that stops half way.
  def squeeze
    hand = job.state.feel.hand.to_h
    light, firm = hand.values_at(:light_n, :firm_n).map { |force| travel(force) }
    job.add("feel", "squeeze", {"light" => light, "firm" => firm, **(hand[:gap_wanted] ? {"gap" => firm * 2.5} : {})})
  end

  def by_eye
    job.add("measure", "by_eye", {"reason" => "no gauge on hand"})
  end

  def count(stage)
    reckoning = (stage == "build") ? job.state.build.reckoning : job.state.fit.put_back.reckoning
    job.add(stage, "scrapped", {"count" => reckoning.scrap_wanted})
  end

  def wrench(fastener)
    range = job.state.fit.torques.line(fastener).range
    scale = @owns[:wrenches].find { |each| range.unfit(each).nil? } || raise("no wrench for #{fastener}")
    job.add("fit", "wrench", {"scale" => scale, "name" => "click wrench"})
  end
end
