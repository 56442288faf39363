# frozen_string_literal: true

# A hand that bleeds a simulated circuit by what the first card of Bleed says, and by nothing else: what it does there
# it does to the circuit, and what it sees there it says.
class LedHand
  MOST = 1500

  # @param job [JobInMemory] ready to bleed; rig [Sandbag::Rig::Simulation]; method [String] of bleed_methods.yml
  def initialize(job, rig, method)
    @job = job
    @rig = rig
    by(method)
  end

  # @return [Boolean] every point ran clean
  def bleed
    act("place", what: @way["lays"]) if @way["lays"]
    MOST.times do
      card = @job.view("bleed")[:now].first
      return true if @job.state.bleed.count.finished?
      seen = @rig.air_out_ml
      follow(card)
      @job.add("bleed", "bubbles") if @rig.air_out_ml - seen > 1e-6 && !@job.state.bleed.count.current.done
    end
    false
  end

  private

  def by(method)
    @method = Sandbag::Tables.find("bleed_methods", method)
    @drive = @method["drive"]
    @turns = Sandbag::Tables.find("nipple_openings", @method["opening"])["turns"]
    @way = Sandbag::Tables.find("practice_ways", method)
  end

  def follow(card)
    return finish_by("hold_cycle") if card[:id] == "method"
    return @job.add("bleed", "run", {"ml" => moved(card).round(2)}) if card[:kind] == "reading"
    if card[:id] == "topped_up"
      act("pour", ml: @rig.reservoir_full_ml - @rig.reservoir_ml) unless @method["reverse"]
      act("take", ml: @rig.reservoir_ml - 1) if @method["reverse"] && @rig.reservoir_ml > 1
    end
    send(card[:id].delete_prefix("beat.")) if card[:id].start_with?("beat.")
    @job.add("bleed", "colour", {"colour" => "as_fresh"}) if @job.state.bleed.count.current.missing.one?
    card[:act].values_at(:entry, :following).compact.each do |entry|
      @job.add("bleed", entry[:kind], JSON.parse(JSON.generate(entry[:data])))
    end
  end

  # What only helps is followed by a method that finishes.
  def finish_by(method)
    @job.add("bleed", "method", {"method" => method})
    @job.look_before_fluid
    by(method)
  end

  # What is moved in one go, and read.
  def moved(_card)
    room = @job.state.bleed.count.reservoir.left_ml
    before = @rig.jar_ml + (@method["reverse"] ? @rig.poured_ml : 0)
    case @drive["by"]
    when "syringe" then syringe([room, @drive["ml"]].min)
    else draw(room)
    end
    now = @rig.jar_ml + (@method["reverse"] ? @rig.poured_ml : 0)
    [now - before, 0.1].max
  end

  def syringe(ml)
    return act("press", end: at, ml: @drive["ml"], s: 8) if @way["cycle"] == "press"
    act(@method["reverse"] ? "push" : "feed", end: at, ml: ml, s: ml / @drive["ml_s"])
  end

  # Until three quarters of what is there have run.
  def draw(room)
    start = @rig.jar_ml
    400.times do
      break if @rig.jar_ml - start >= 0.75 * room
      act("draw", mpa: @drive["mpa"], s: 0.04)
    end
  end

  def at
    id = @job.state.bleed.count.current_id
    path = @rig.plumbing.paths.find { |each| "nipple.#{id}".start_with?("nipple.#{each.id}") }
    (path || @rig.plumbing.paths.first).id
  end

  def act(what, **given)
    @rig.act({"do" => what, **given.transform_keys(&:to_s)})
  end

  def lever(share, seconds)
    act("lever", to: @rig.travel_mm * share, s: seconds)
  end

  def turn(turns)
    act("fit", end: at, what: @way["fits"]) if @way["fits"] && turns.positive?
    act("nipple", end: at, turns: turns)
  end

  def hold = lever(0.5, 0.5)
  def pump = 5.times { [1.0, 0].each { |share| lever(share, 1.0) } }

  def open
    turn(@turns)
    lever(1.0, @drive["seconds"])
  end

  def close = turn(0)

  def release
    lever(0, 0.5)
    act("wait", s: 1)
  end

  %i[open_flow open_first just_open open_ports open_again].each { |step| define_method(step) { turn(@turns) } }
  %i[shut shut_drawing shut_refill caliper_level].each { |step| define_method(step) { turn(0) } }
  %i[screw_in pull_vacuum clear_residue empty_cup pressurise look_leaks draw_down hose_off upper_off turn_caliper
    piston_home tighten_joint turn_tap foot_check pinch_overflow fill_port squeeze_block first_press snap
    pump_gently light_pops].each { |step| define_method(step) {} }

  def slow_in = lever(1.0, @drive["seconds"])
  def slow_out = lever(0, @drive["seconds"])
  alias_method :in_fluid_out, :slow_out

  def slow_stroke
    slow_in
    slow_out
  end
end
