# frozen_string_literal: true

module Sandbag
  module Rig
    # A simulated circuit that runs: lever, nipples, reservoir and tools are worked (Hands), fluid and air move by the
    # formulas of hydraulics and of the bleed (docs/physics.md 3, 6), in steps of a fiftieth of a second. Nothing here
    # is chance: the same actions give the same circuit. No fluid and no air comes from nowhere or goes nowhere.
    class Simulation
      STEP_S = 0.02
      # Air that an open port, or an open nipple under a hose that hangs above the master, lets up a second, mL.
      # [default]
      PORT_ML_S = 0.5
      TAPPED_S = 5.0
      # What the main cup's lip stands before it lets fluid past while the piston comes back, and what seals roll back
      # with, MPa. Where the line gives less than the piston wants, the rest comes past the cup out of the reservoir.
      # [default]
      SUCTION_MPA, ROLLBACK_MPA = 0.01, 0.02
      # A hand at a syringe presses no harder, MPa. [default]
      SYRINGE_MPA = 0.3

      attr_reader :plumbing, :faults, :celsius, :seconds, :master, :jar_ml, :leaked_ml, :sealed_ml, :poured_ml, :air,
        :placed, :heat, :unit

      # @param sheet [Circuit::Sheet]; air [Array<Slug>]; faults [Faults]; celsius [Float] of the fluid
      # @param reservoir [Float] share of it that is filled; old [Boolean] the fluid below it has to be renewed
      # @param water [Float] % in the fluid below it; unit_ml [Float] of air behind the valves of an ABS unit
      def initialize(sheet, air: [], faults: Faults.new, celsius: Bleed::Way::WARM_C, reservoir: 1.0, old: false,
        water: 0.0, unit_ml: 0.0)
        @sheet = sheet
        @celsius = celsius
        @circuit = sprung(Sandbag::Circuit::Assembly.build(sheet), faults.spring)
        @plumbing = Plumbing.new(sheet, celsius: celsius)
        @placed = [].freeze
        @faults = faults
        @seconds = 0.0
        @master = Master.new(@circuit, faults)
        @give = Give.new(@circuit, faults)
        @reservoir = Reservoir.new(sheet.value("reservoir", "usable"), reservoir)
        @jar_ml = @leaked_ml = @poured_ml = @covered_ml = 0.0
        @air = Air.new(air)
        @watch = Watch.new
        @heat = Heat.new(celsius)
        @unit = AbsUnit.new(plumbing.paths.first, unit_ml)
        @water = water
        @fluid = Knowledge.find("fluids", sheet.value("fluid", "stamped"))
        @ends = plumbing.paths.map do |path|
          FarEnd.new(path, ClearHose.new(path.volume_ml + @circuit.master.fluid_ml, old: old || water.positive?))
        end
        @moved_ml = [0.0] * @ends.size
        @tapped_until = @frothed_until = 0.0
        @rest_ml = @circuit.fluid_ml
        # fluid shut in below the master's cup, at rest
        @sealed_ml = @rest_ml - air_ml
        @excess_before_ml = excess_ml
        @swept_before_ml = 0.0
      end

      # @return [Float] mL of air in the lines, as it would be outside
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

      # @return [Float] mL over the port; at its mark; that ran over
      def reservoir_ml
        @reservoir.ml
      end

      def reservoir_full_ml
        @reservoir.full_ml
      end

      def spilled_ml
        @reservoir.spilled_ml
      end

      # @return [Float] mL that were used: what came into the jar since it was set down
      def used_ml
        jar_ml - @covered_ml
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
        sealed_ml + reservoir_ml + jar_ml + leaked_ml + spilled_ml + unit.fluid_ml - poured_ml
      end

      # @return [Float] MPa
      def pressure_mpa
        @give.pressure_mpa(excess_ml, gas_ml)
      end

      # @return [Float] mm that a clutch's slave stands out
      def lift_mm
        @give.lift_mm(excess_ml, gas_ml)
      end

      # @return [Float] N at the finger that hold the lever where it is
      def force_n
        master.force_n(pressure_mpa)
      end

      def lever_mm
        master.lever_mm
      end

      def travel_mm
        master.travel_mm
      end

      def port_open?
        master.port_open?
      end

      # @return [Float] 0 to 1: how fresh the fluid is that the worst end gives
      def fresh
        @ends.map { |far| far.hose.fresh }.min
      end

      # @param id [String] of a far end
      # @return [Float] the same of one end
      def fresh_at(id)
        @ends[index(id)].hose.fresh
      end

      # @return [Float] % of water in the fluid at the far ends: what was there goes out with the old fluid
      def water_percent
        @water.positive? ? @water * (1 - fresh) : 0.0
      end

      # @return [Float] °C at which the fluid at the far ends boils; free water boils by itself where the fluid takes
      #   none up, and without it nothing does
      def boils_c
        return Choose::BoilingPoint.c(@fluid, water_percent) if @fluid && @fluid["family"] == "glycol"
        water_percent.positive? ? Choose::BoilingPoint::WATER_C : Float::INFINITY
      end

      # @param action [Hash] see Hands
      # @return [Simulation] self, with that done and as much time gone as it takes
      # Refuses an action that there is not, and figures that cannot be.
      def act(action)
        Hands.new(self).act(action)
        self
      end

      # @param id [String] of a far end
      # @return [Integer] its place among them
      # Refuses an end that the circuit has not.
      def index(id)
        plumbing.paths.index(plumbing.find(id))
      end

      # @return [Hash] everything that can be seen of it now
      def frame
        {
          t: seconds, lever_mm: lever_mm, piston_mm: master.piston_mm, pressure_mpa: pressure_mpa, force_n: force_n,
          reservoir_ml: reservoir_ml, jar_ml: used_ml, air_out_ml: air_out_ml, celsius: heat.celsius,
          steam_ml: heat.steam_ml, unit_ml: unit.ml, slugs: slugs.map { |slug| seen(slug) },
          hoses: @ends.map { |far| {fresh: far.hose.fresh, pieces: far.hose.pieces} }
        }
      end

      # @return [Simulation] the same, to go on from apart
      def snapshot
        dup.tap { |copy| copy.send(:part) }
      end

      # The lever stands there.
      def lever_mm=(mm)
        master.lever_mm = mm
      end

      # A fiftieth of a second passes.
      # @param vacuum_mpa [Float] at every open nipple; brakes [Boolean] held on down a pass
      # @param pushed [Array, nil] place of a far end, mL, and whether it comes in at the master
      # @param homed [Array, nil] place of a far end, and mL by which its pistons are pressed home
      # @param cracked [Boolean] the joint at the master's outlet is slack
      # @param cycled [Boolean] the ABS unit's valves are
      def advance(vacuum_mpa: 0.0, brakes: false, pushed: nil, homed: nil, cracked: false, cycled: false)
        @seconds += STEP_S
        @moved_ml.fill(0.0)
        heat_up(brakes) if brakes || heat.celsius > celsius
        out_at_joint if cracked
        out_of_unit if cycled
        take_up
        pressure = pressure_mpa
        home(*homed) if homed
        pushed ? push_in(*pushed) : flow_out(pressure, vacuum_mpa)
        leak(pressure)
        pass_cup(pressure)
        draw_in
        equalise(pressure) if port_open?
        move_air
        let_air_up if port_open? && !faults.outlet_high
        @swept_before_ml = master.swept_ml
      end

      # Every nipple is shut.
      def shut?
        @ends.none?(&:open?)
      end

      # A nipple, opened so far.
      # @param index [Integer] of a far end
      def turn(index, turns)
        if turns.positive? && !@ends[index].open?
          @watch.open(plumbing.paths, index, turns, slugs.map(&:path).uniq, seconds)
        end
        @ends[index].turns = turns
      end

      def open?(index)
        @ends[index].open?
      end

      # Something else at a nipple. A tube's jar gets fluid first, for its end to stand in.
      # @param what [String] of practice_fits.yml
      def fit(index, what)
        @ends[index].fit(what)
        return unless what == "tube" && @covered_ml.zero?
        @covered_ml = FarEnd::COVER_ML
        @jar_ml += @covered_ml
        @poured_ml += @covered_ml
      end

      def pour(ml)
        @poured_ml += ml
        fill(ml)
      end

      # Out of the reservoir by a syringe, down to its port.
      def draw_off(ml)
        @jar_ml += @reservoir.give(ml)
      end

      def tap_hose
        @tapped_until = seconds + TAPPED_S
      end

      # @return [Float] mL that pistons can still be pressed home
      def homes_ml
        @give.homes_ml
      end

      # Laid otherwise: of practice_places.yml.
      def place(what)
        @placed = (placed | [what]).freeze
        laid = placed.map { |id| Knowledge.find("practice_places", id)["lays"] }.reduce(:merge)
        @plumbing = Plumbing.new(@sheet, celsius: celsius, **laid.transform_keys(&:to_sym))
        @ends.zip(plumbing.paths) { |far, path| far.path = path }
      end

      # A slip, now.
      def notice(what)
        @watch.notice(what, seconds)
      end

      # The lever came back from a stroke. Quick ones break what air there is into small bubbles, which find together
      # again in time.
      def stroked
        return unless @watch.stroke(seconds)
        air.froth(plumbing.paths)
        @frothed_until = seconds + Air::TOGETHER_S
      end

      private

      # With a return spring that is not the record's.
      def sprung(circuit, times)
        master = circuit.master
        circuit.worked_by(master: master.with(preload_n: times * master.preload_n), lever: circuit.lever)
      end

      # In the far end it is seen at the end of its way.
      def seen(slug)
        {**slug.to_h, at_mm: [slug.at_mm, plumbing.paths[slug.path].length_mm].min}
      end

      def part
        @master = @master.dup
        @give = @give.dup
        @air = @air.copy
        @watch = @watch.copy
        @ends = @ends.map(&:copy)
        @reservoir = @reservoir.dup
        @heat = @heat.dup
        @unit = @unit.dup
        @moved_ml = @moved_ml.dup
      end

      # Into the reservoir; more than it holds runs over.
      def fill(ml)
        @watch.notice("overfull", seconds) if @reservoir.take(ml)
      end

      # mL beyond what lies in the circuit at rest: what gap, hoses, calipers and air have to take.
      def excess_ml
        master.swept_ml + sealed_ml + gas_ml - @rest_ml
      end

      # Air and steam, as they would be outside.
      def gas_ml
        air_ml + heat.steam_ml
      end

      # Fluid fills up behind pads that come nearer.
      def take_up
        taken = @give.take_up(excess_ml)
        @rest_ml += taken
        @excess_before_ml -= taken
      end

      def heat_up(brakes)
        heat.pass(STEP_S, brakes: brakes, boils_c: boils_c)
      end

      # No harder than a hand presses a syringe.
      def push_in(index, ml, from_master)
        return if pressure_mpa > SYRINGE_MPA
        @sealed_ml += ml
        @poured_ml += ml
        @moved_ml[index] += from_master ? expel(index, ml) : -ml
      end

      def home(index, ml)
        @rest_ml -= ml
        @give.press_home(ml)
        @moved_ml[index] -= ml
      end

      # Through every open nipple, as hard as pressure, head and vacuum push it.
      def flow_out(pressure, vacuum_mpa)
        @ends.each_with_index do |far, index|
          next unless far.open?
          let_air_up_hose(index) if far.hung?
          driven_ml = (pressure + drawing_mpa(far, index, vacuum_mpa)) / resistance(far) * STEP_S
          @moved_ml[index] += expel(index, [driven_ml, available_ml(pressure, vacuum_mpa)].min)
        end
      end

      # What head and vacuum add; nothing where the hose's end hangs above the master.
      def drawing_mpa(far, index, vacuum_mpa)
        return 0.0 if far.hung?
        [vacuum_mpa + (port_open? ? head_mpa(index) : 0.0), 0.0].max
      end

      # From the master down to the hose's end, less what air takes off it; below nothing where it has to climb first.
      def head_mpa(index)
        column_mm = @ends[index].path.head_mm + Bleed::Drive::JAR_MM - air.head_lost_mm(index, @ends[index].path)
        Hydraulics::Flow.head_mpa(column_mm, plumbing.fluid)
      end

      # Under a hose that hangs above the master, air at the nipple rises into it for what fluid it has, or the
      # reservoir.
      def let_air_up_hose(index)
        far = @ends[index]
        most = port_open? ? PORT_ML_S * STEP_S : [PORT_ML_S * STEP_S, jar_ml].min
        up = air.leave(index, far.path.length_mm, most, far.path.pocket_ml)
        return unless up.positive?
        fluid, = far.hose.give(up, skip_air: true)
        @jar_ml -= fluid
        @sealed_ml += fluid + (port_open? ? @reservoir.give(up - fluid) : 0.0)
        far.hose.take(0.0, up)
      end

      # No more than is under pressure, or than the reservoir has above its port; a vacuum draws air when that is empty.
      def available_ml(pressure, vacuum_mpa)
        under = [excess_ml, 0.0].max
        return under if pressure.positive? || !port_open?
        vacuum_mpa.positive? ? sealed_ml : reservoir_ml
      end

      # @return [Float] mL that left by a nipple, air at its end first
      def expel(index, ml)
        return 0.0 unless ml.positive?
        path = @ends[index].path
        gone = air.leave(index, path.length_mm, ml, path.pocket_ml)
        fluid = [ml - gone, sealed_ml].min
        @sealed_ml -= fluid
        @jar_ml += fluid
        @ends[index].hose.take(fluid, gone)
        gone + fluid
      end

      def leak(pressure)
        return unless pressure.positive?
        out = faults.leak_ml_s_mpa * pressure * STEP_S
        past = faults.bypass_ml_s_mpa * pressure * STEP_S
        @sealed_ml -= out + past
        @leaked_ml += out
        fill(past)
      end

      # The piston comes back faster than the line gives back: fluid passes the cup. Strokes that follow quickly find
      # more in the line.
      def pass_cup(pressure)
        freed = @swept_before_ml - master.swept_ml
        return unless freed.positive? && @ends.none?(&:draws?)
        given = (pressure + SUCTION_MPA) / plumbing.return_resistance(shut: faults.hose_shut) * STEP_S
        @sealed_ml += @reservoir.give([freed - given, 0.0].max)
      end

      # What is missing comes back by open nipples, as far as the cup's lip stands, else past the cup out of the
      # reservoir; air where that is empty.
      def draw_in
        missing = -excess_ml
        return unless missing > 1e-12
        @ends.each_index { |index| missing -= draw_back(index, missing) } unless port_open?
        take_from_reservoir(missing)
      end

      # Out of what the hose hangs in; from a jar it does not stand in, air from under the thread.
      # @return [Float] mL that came
      def draw_back(index, missing)
        far = @ends[index]
        return 0.0 unless far.draws?
        came = missing.clamp(0.0, suction_mpa(far, index) / resistance(far) * STEP_S)
        return 0.0 unless came.positive?
        fluid, drawn = far.draw_back(came, jar_ml)
        @jar_ml -= fluid
        @sealed_ml += fluid
        @moved_ml[index] -= came
        @watch.notice("released_open", seconds) if drawn.positive? && !far.under_fluid?
        air.enter(drawn, index, far.path.length_mm) if drawn.positive?
        came
      end

      # What the cup's lip stands, less the column that has to be lifted.
      def suction_mpa(far, index)
        [SUCTION_MPA - (far.hung? ? 0.0 : head_mpa(index)), 0.0].max
      end

      def resistance(far)
        plumbing.resistance(far.path, far.turns, shut: faults.hose_shut)
      end

      def take_from_reservoir(missing)
        fluid = @reservoir.give(missing)
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
        fill(back)
      end

      # What is over goes, as what runs back by the port does; air at the master first.
      def out_at_joint
        over = [excess_ml, 0.0].max
        out = ((pressure_mpa + ROLLBACK_MPA) / plumbing.joint_resistance * STEP_S).clamp(0.0, over)
        gone = air.rise_out(out)
        @sealed_ml -= out - gone
        @leaked_ml += out - gone
      end

      def out_of_unit
        given = unit.cycle(STEP_S)
        @sealed_ml -= given
        air.enter(given, 0, unit.at_mm) if given.positive?
      end

      def move_air
        air.settle if seconds >= @frothed_until
        air.move(plumbing.paths, flows, tapped: seconds < @tapped_until, seconds: STEP_S)
      end

      # @return [Array<Float>] mL/s outward on each way: what left by its nipple, and its share of what far ends took
      def flows
        taken = (excess_ml - @excess_before_ml) / plumbing.paths.size
        @excess_before_ml = excess_ml
        @moved_ml.map { |ml| (ml + taken) / STEP_S }
      end

      # Air under the open port goes up into the reservoir; fluid comes down in its place.
      def let_air_up
        @sealed_ml += @reservoir.give(air.rise_out(reservoir_ml.clamp(0.0, PORT_ML_S * STEP_S)))
      end
    end
  end
end
