# frozen_string_literal: true

module Sandbag
  module Rig
    # A simulated circuit that runs: lever, nipples, reservoir, syringe and vacuum are worked, fluid and air move by the
    # formulas of hydraulics and of the bleed (docs/physics.md 3, 6), in steps of a fiftieth of a second. Nothing here
    # is chance: the same actions give the same circuit. No fluid and no air comes from nowhere or goes nowhere.
    class Simulation
      STEP_S = 0.02
      # Air that an open port lets up a second, mL. [default]
      PORT_ML_S = 0.5
      TAPPED_S = 5.0
      # What the main cup's lip stands before it lets fluid past while the piston comes back, and what seals roll back
      # with, MPa. Where the line gives less than the piston wants, the rest comes past the cup out of the reservoir.
      # [default]
      SUCTION_MPA, ROLLBACK_MPA = 0.01, 0.02
      # A hand at a syringe presses no harder, MPa. [default]
      SYRINGE_MPA = 0.3
      ACTIONS = %w[lever wait nipple pour take tap push draw place].freeze

      attr_reader :plumbing, :faults, :seconds, :lever_mm, :reservoir_ml, :jar_ml, :leaked_ml, :spilled_ml, :sealed_ml,
        :poured_ml, :reservoir_full_ml, :air, :placed

      # @param sheet [Circuit::Sheet]; air [Array<Slug>]; faults [Faults]; celsius [Float] of the fluid
      # @param reservoir [Float] share of it that is filled; old [Boolean] the fluid below it has to be renewed
      def initialize(sheet, air: [], faults: Faults.new, celsius: Bleed::Way::WARM_C, reservoir: 1.0, old: false)
        @sheet = sheet
        @celsius = celsius
        @circuit = Sandbag::Circuit::Assembly.build(sheet)
        @plumbing = Plumbing.new(sheet, celsius: celsius)
        @placed = [].freeze
        @faults = faults
        @seconds = @lever_mm = 0.0
        @reservoir_full_ml = sheet.value("reservoir", "usable")
        @reservoir_ml = @reservoir_full_ml * reservoir
        @jar_ml = @leaked_ml = @poured_ml = @spilled_ml = @vacuum_mpa = 0.0
        @air = Air.new(air)
        @watch = Watch.new
        @turns = [0.0] * plumbing.paths.size
        @moved_ml = [0.0] * plumbing.paths.size
        @hoses = plumbing.paths.map { |path| ClearHose.new(path.volume_ml + @circuit.master.fluid_ml, old: old) }
        @tapped_until = 0.0
        @rest_ml = @circuit.fluid_ml
        @knocked_back_ml = @circuit.budget.gap_ml * faults.knocked_back
        # fluid shut in below the master's cup, at rest
        @sealed_ml = @rest_ml - air_ml
        @excess_before_ml = excess_ml
      end

      # @return [Float] mL of air in the circuit, as it would be outside
      def air_ml
        air.ml
      end

      # @return [Array<Slug>]
      def slugs
        air.slugs
      end

      # @return [Float] mL of air that went out, and that came in, since the start
      def air_out_ml
        air.out_ml
      end

      def air_in_ml
        air.in_ml
      end

      # @return [Array<Watch::Event>] slips, in the order they were made
      def events
        @watch.events
      end

      # @return [Integer] how often a nipple was opened
      def openings
        @watch.openings
      end

      # @return [Float] mL of fluid, wherever it is: the same until somebody pours or pushes some in
      def fluid_ml
        sealed_ml + reservoir_ml + jar_ml + leaked_ml + spilled_ml - poured_ml
      end

      # @return [Float] mm that the piston stands in
      def piston_mm
        [(lever_mm - free_play_mm) / @circuit.lever.ratio, 0.0].max.clamp(0.0, @circuit.master.stroke_mm)
      end

      # @return [Float] MPa
      def pressure_mpa
        pressure_of(excess_ml)
      end

      # @return [Float] N at the finger that hold the lever where it is
      def force_n
        return 0.0 unless lever_mm.positive?
        @circuit.finger_force_n(pressure_mpa)
      end

      # The port is open to the reservoir.
      def port_open?
        faults.port_opens? && piston_mm < @circuit.master.dead_stroke_mm
      end

      # @return [Float] 0 to 1: how fresh the fluid is that the worst end gives
      def fresh
        @hoses.map(&:fresh).min
      end

      # @param id [String] of a far end
      # @return [Float] the same of one end
      def fresh_at(id)
        @hoses[plumbing.paths.index(plumbing.find(id))].fresh
      end

      # Does one thing, and lets time pass as it takes.
      # @param action [Hash] do: lever (to mm, s), wait (s), nipple (end, turns), pour (ml), take (ml) out of the
      #   reservoir, tap, push (end, ml, s) by a syringe at the nipple, draw (mpa, s) by a vacuum,
      #   place (what) of practice_places.yml
      # @return [Simulation] self
      # Refuses an action that there is not, and figures that cannot be.
      def act(action)
        case action["do"]
        when "lever" then pull(number(action, "to", 0, travel_mm), number(action, "s", STEP_S, 60))
        when "wait" then run(number(action, "s", 0, 3600))
        when "nipple" then open_nipple(plumbing.find(action["end"]), number(action, "turns", 0, 3))
        when "pour" then pour(number(action, "ml", 0, 500))
        when "take" then take(number(action, "ml", 0, 500))
        when "tap" then @tapped_until = seconds + TAPPED_S
        when "push" then push(plumbing.find(action["end"]), number(action, "ml", 0, 100),
          number(action, "s", STEP_S, 60))
        when "draw" then draw(number(action, "mpa", 0, 0.1), number(action, "s", 0, 600))
        when "place" then place(action["what"])
        else raise Refusal.at("do", "there is no action “#{action["do"]}”", ACTIONS.join(", "))
        end
        self
      end

      # @return [Float] mm at the finger, all the way
      def travel_mm
        @circuit.lever.travel_mm(@circuit.master.stroke_mm)
      end

      # @return [Hash] everything that can be seen of it now
      def frame
        {
          t: seconds, lever_mm: lever_mm, piston_mm: piston_mm, pressure_mpa: pressure_mpa, force_n: force_n,
          reservoir_ml: reservoir_ml, jar_ml: jar_ml, air_out_ml: air_out_ml,
          slugs: slugs.map(&:to_h),
          hoses: @hoses.map { |hose| {fresh: hose.fresh, pieces: hose.pieces} }
        }
      end

      # @return [Simulation] the same, to go on from apart
      def snapshot
        dup.tap { |copy| copy.send(:part) }
      end

      private

      def part
        @air = @air.copy
        @watch = @watch.copy
        @hoses = @hoses.map(&:copy)
        @turns = @turns.dup
        @moved_ml = @moved_ml.dup
      end

      def number(action, name, least, most)
        value = action[name]
        return value.to_f if value.is_a?(Numeric) && value.finite? && value.between?(least, most)
        raise Refusal.at(name, "#{value.inspect} cannot be done", "#{least} to #{most.round(1)}")
      end

      def free_play_mm
        faults.no_free_play ? 0.0 : @circuit.lever.free_play_mm + faults.free_play_mm
      end

      def pull(to_mm, over_s)
        from = lever_mm
        stroke = to_mm.zero? && pressure_mpa.positive? && @turns.all?(&:zero?)
        over_s = [over_s, faults.return_s * (from - to_mm) / travel_mm].max if to_mm < from
        steps = [(over_s / STEP_S).round, 1].max
        (1..steps).each do |step|
          @lever_mm = from + (to_mm - from) * step / steps
          advance
        end
        @watch.stroke(seconds) if stroke
      end

      def run(over_s)
        (over_s / STEP_S).round.times { advance }
      end

      def open_nipple(path, turns)
        index = plumbing.paths.index(path)
        if turns.positive? && @turns[index].zero?
          @watch.open(plumbing.paths, index, turns, slugs.map(&:path).uniq, seconds)
        end
        @turns[index] = turns
      end

      def pour(ml)
        @reservoir_ml += ml
        @poured_ml += ml
        spill
      end

      # Out of the reservoir by a syringe, down to its port.
      def take(ml)
        taken = reservoir_ml.clamp(0.0, ml)
        @reservoir_ml -= taken
        @jar_ml += taken
      end

      # More than it holds runs over.
      def spill
        return unless reservoir_ml > reservoir_full_ml + 1e-9
        @watch.notice("overfull", seconds)
        over = [reservoir_ml - Watch::SPILLS * reservoir_full_ml, 0.0].max
        @reservoir_ml -= over
        @spilled_ml += over
      end

      # Fluid out of a syringe, in by a nipple.
      def push(path, ml, over_s)
        index = plumbing.paths.index(path)
        return @watch.notice("pushed_shut", seconds) if @turns[index].zero?
        steps = [(over_s / STEP_S).round, 1].max
        steps.times do
          @pushed = [index, (pressure_mpa > SYRINGE_MPA) ? 0.0 : ml / steps]
          advance
        end
        @pushed = nil
      end

      def draw(mpa, over_s)
        @vacuum_mpa = mpa
        run(over_s)
        @vacuum_mpa = 0.0
      end

      def place(what)
        unless Knowledge.find("practice_places", what)
          raise Refusal.at("what", "“#{what}” is not something to lay otherwise",
            Knowledge.table("practice_places").map { |row| row["id"] }.join(", "))
        end
        @placed = (placed | [what]).freeze
        laid = placed.map { |id| Knowledge.find("practice_places", id)["lays"] }.reduce(:merge)
        @plumbing = Plumbing.new(@sheet, celsius: @celsius, **laid.transform_keys(&:to_sym))
      end

      # mL beyond what lies in the circuit at rest: what gap, hoses, calipers and air have to take.
      def excess_ml
        swept_ml + sealed_ml + air_ml - @rest_ml
      end

      def swept_ml
        area = @circuit.master.area_mm2
        area * [piston_mm - @circuit.master.dead_stroke_mm, 0.0].max / 1000
      end

      # V(p) = gap + C p + air p/(p + p_atm), solved for p: a quadratic.
      def pressure_of(excess)
        taken = excess - gap_ml
        return 0.0 unless taken.positive?
        stiffness = stiffness_ml_mpa
        outside = ATMOSPHERE_MPA
        middle = stiffness * outside + air_ml - taken
        (-middle + Math.sqrt(middle**2 + 4 * stiffness * taken * outside)) / (2 * stiffness)
      end

      def gap_ml
        @circuit.budget.gap_ml * faults.gap * faults.felt + @knocked_back_ml
      end

      def stiffness_ml_mpa
        @circuit.budget.stiffness_ml_mpa * faults.softer * faults.felt
      end

      def advance
        @seconds += STEP_S
        pressure = pressure_of(excess_ml)
        take_up if pressure.positive?
        @moved_ml.fill(0.0)
        push_in if @pushed
        flow_out(pressure)
        leak(pressure)
        pass_cup(pressure)
        draw_in
        equalise(pressure) if port_open?
        air.move(plumbing.paths, flows, tapped: seconds < @tapped_until, seconds: STEP_S)
        let_air_up if port_open?
        @swept_before_ml = swept_ml
      end

      # Pads that stood off stay where they were pressed to; fluid fills up behind them.
      def take_up
        @rest_ml += @knocked_back_ml
        @excess_before_ml -= @knocked_back_ml
        @knocked_back_ml = 0.0
      end

      def push_in
        index, ml = @pushed
        @sealed_ml += ml
        @poured_ml += ml
        @moved_ml[index] -= ml
      end

      # Through every open nipple, as hard as pressure, head and vacuum push it.
      def flow_out(pressure)
        @turns.each_with_index do |turns, index|
          next unless turns.positive? && @pushed.nil?
          path = plumbing.paths[index]
          driving = pressure + [@vacuum_mpa + (port_open? ? head_mpa(index, path) : 0.0), 0.0].max
          ml = [driving / plumbing.resistance(path, turns, shut: faults.hose_shut) * STEP_S, available_ml(pressure)].min
          @moved_ml[index] += expel(index, ml)
        end
      end

      # From the master down to the hose's end, less what air takes off it; below nothing where it has to climb first.
      def head_mpa(index, path)
        column_mm = path.head_mm + Bleed::Drive::JAR_MM - air.head_lost_mm(index, path)
        Hydraulics::Flow.head_mpa(column_mm, plumbing.fluid)
      end

      # No more than is under pressure, or than the reservoir has above its port; a vacuum draws air when that is empty.
      def available_ml(pressure)
        under = [excess_ml, 0.0].max
        return under if pressure.positive? || !port_open?
        @vacuum_mpa.positive? ? sealed_ml : [reservoir_ml, 0.0].max
      end

      # @return [Float] mL that left by a nipple, air at its end first
      def expel(index, ml)
        return 0.0 unless ml.positive?
        path = plumbing.paths[index]
        gone = air.leave(index, path.length_mm, ml, path.pocket_ml)
        fluid = [ml - gone, sealed_ml].min
        @sealed_ml -= fluid
        @jar_ml += fluid
        @hoses[index].take(fluid, gone)
        gone + fluid
      end

      def leak(pressure)
        return unless pressure.positive?
        out = faults.leak_ml_s_mpa * pressure * STEP_S
        past = faults.bypass_ml_s_mpa * pressure * STEP_S
        @sealed_ml -= out + past
        @leaked_ml += out
        @reservoir_ml += past
      end

      # The piston comes back faster than the line gives back: fluid passes the cup. Strokes that follow quickly find
      # more in the line.
      def pass_cup(pressure)
        freed = (@swept_before_ml || swept_ml) - swept_ml
        return unless freed.positive? && @turns.all?(&:zero?)
        given = (pressure + SUCTION_MPA) / plumbing.return_resistance(shut: faults.hose_shut) * STEP_S
        short = [freed - given, reservoir_ml].min
        return unless short.positive?
        @reservoir_ml -= short
        @sealed_ml += short
      end

      # What is missing comes back by an open nipple, else past the cup out of the reservoir; air where it is empty.
      def draw_in
        missing = -excess_ml
        return unless missing > 1e-12
        open = @turns.index(&:positive?)
        return draw_back(open, missing) if open && !port_open?
        take_from_reservoir(missing)
      end

      # The hose's end stands in the jar; what it draws is air from under the thread.
      def draw_back(index, missing)
        @watch.notice("released_open", seconds)
        air.enter(missing, index, plumbing.paths[index].length_mm)
      end

      def take_from_reservoir(missing)
        fluid = missing.clamp(0.0, [reservoir_ml, 0.0].max)
        @reservoir_ml -= fluid
        @sealed_ml += fluid
        drawn = missing - fluid
        return unless drawn > 1e-12
        @watch.notice("port_uncovered", seconds)
        air.enter(drawn, 0, 0.0)
      end

      # Open to the reservoir, what is over runs back, as fast as the line lets it.
      def equalise(pressure)
        over = excess_ml
        return unless over > 1e-12
        back = [over, (pressure + ROLLBACK_MPA) / plumbing.vent_resistance(shut: faults.hose_shut) * STEP_S].min
        @sealed_ml -= back
        @reservoir_ml += back
        spill
      end

      # @return [Array<Float>] mL/s outward on each way: what left by its nipple, and its share of what far ends took
      def flows
        taken = (excess_ml - @excess_before_ml) / plumbing.paths.size
        @excess_before_ml = excess_ml
        @moved_ml.map { |ml| (ml + taken) / STEP_S }
      end

      # Air under the open port goes up into the reservoir; fluid comes down in its place.
      def let_air_up
        up = air.rise_out(reservoir_ml.clamp(0.0, PORT_ML_S * STEP_S))
        @reservoir_ml -= up
        @sealed_ml += up
      end
    end
  end
end
