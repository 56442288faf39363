# frozen_string_literal: true

module Sandbag
  module Rig
    # What happens in a simulated circuit in a fiftieth of a second (docs/physics.md 3, 6): heat, pistons, fluid through
    # every nipple, leak, cup and port, and the air with it. Fluid only ever goes from one place to another. The state
    # that it moves is Simulation's.
    module Moment
      STEP_S = 0.02
      # Air that an open port, or an open nipple under a hose that hangs above the master, lets up a second, mL.
      # [default]
      PORT_ML_S = 0.5
      # What the main cup's lip stands before it lets fluid past while the piston comes back, and what seals roll back
      # with, MPa. Where the line gives less than the piston wants, the rest comes past the cup out of the reservoir.
      # [default]
      SUCTION_MPA, ROLLBACK_MPA = 0.01, 0.02
      # A hand at a syringe presses no harder, MPa. [default]
      SYRINGE_MPA = 0.3

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

      private

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
        column_mm = @ends[index].path.head_mm + Airway::Drive::JAR_MM - air.head_lost_mm(index, @ends[index].path)
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
