# frozen_string_literal: true

module Sandbag
  module Rig
    # What happens in a simulated circuit in a step of time (docs/physics.md 3, 6): heat, pistons, fluid through
    # every nipple, leak, cup and port, and the air with it. It moves what the Ledger holds.
    class Moment
      STEP_S = 0.02
      # Air that an open port, or an open nipple under a hose that hangs above the master, lets up a second, mL.
      # [default]
      PORT_ML_S = 0.5
      # What seals roll back with, MPa. [default]
      ROLLBACK_MPA = 0.02
      # Where the line gives less than the piston wants, the rest comes past the cup out of the reservoir.
      SUCTION_MPA = Airway::Drive::SUCTION_MPA
      # A hand at a syringe presses no harder, MPa. [default]
      SYRINGE_MPA = 0.3

      # @param ledger [Ledger]; faults [Faults]; watch [Watch] that slips are told to; step_s [Float] that passes
      def initialize(ledger, faults, watch, step_s: STEP_S)
        @step_s = step_s
        @ledger = ledger
        @faults = faults
        @watch = watch
        @moved_ml = [0.0] * ledger.ends.size
        @excess_before_ml = ledger.excess_ml
        @swept_before_ml = 0.0
      end

      # @param ledger, watch the copies that another run goes on with
      # @return [Moment] the same, to go on from apart
      def copy(ledger, watch)
        dup.tap { |other| other.send(:go_on, ledger, watch) }
      end

      # @param seconds [Float] since the start
      # @param vacuum_mpa [Float] at every open nipple; warmth [Hash, nil] what Heat is told: brakes and boils_c; nil
      #   where it is as warm as what is round it
      # @param pushed [Array, nil] place of a far end, mL, and whether it comes in at the master
      # @param homed [Array, nil] place of a far end, and mL by which its pistons are pressed home
      # @param cracked [Boolean] the joint at the master's outlet is slack; cycled [Boolean] the ABS unit's valves are
      # @param tapped [Boolean] the hose is; frothed [Boolean] small bubbles have not joined yet
      def pass(seconds, vacuum_mpa: 0.0, warmth: nil, pushed: nil, homed: nil, cracked: false, cycled: false,
        tapped: false, frothed: false)
        @seconds = seconds
        @moved_ml.fill(0.0)
        @ledger.heat.pass(@step_s, **warmth) if warmth
        out_at_joint if cracked
        out_of_unit if cycled
        take_up
        pressure = @ledger.pressure_mpa
        home(*homed) if homed
        pushed ? push_in(*pushed) : flow_out(vacuum_mpa)
        leak(pressure)
        pass_cup(pressure)
        draw_in
        equalise(pressure) if port_open?
        move_air(tapped, frothed)
        let_air_up if port_open? && !@faults.outlet_high
        @swept_before_ml = @ledger.master.swept_ml
      end

      private

      def go_on(ledger, watch)
        @ledger = ledger
        @watch = watch
        @moved_ml = @moved_ml.dup
      end

      def port_open?
        @ledger.master.port_open?
      end

      def ends
        @ledger.ends
      end

      def notice(what)
        @watch.notice(what, @seconds)
      end

      # Fluid fills up behind pads that come nearer.
      def take_up
        taken = @ledger.give.take_up(@ledger.excess_ml)
        @ledger.rest_moved(taken)
        @excess_before_ml -= taken
      end

      # No harder than a hand presses a syringe.
      def push_in(index, ml, from_master)
        return if @ledger.pressure_mpa > SYRINGE_MPA
        @ledger.push_in(ml)
        @moved_ml[index] += from_master ? expel(index, ml) : -ml
      end

      def home(index, ml)
        @ledger.rest_moved(-ml)
        @ledger.give.press_home(ml)
        @moved_ml[index] -= ml
      end

      # Through every open nipple, as hard as pressure, head and vacuum push it.
      def flow_out(vacuum_mpa)
        ends.each_with_index do |far, index|
          next unless far.open?
          let_air_up_hose(index) if far.hung?
          ml = [driven_ml(far, index, vacuum_mpa), available_ml(vacuum_mpa)].min
          @moved_ml[index] += expel(index, ml, Air.thinned(vacuum_mpa))
        end
      end

      # The pressure falls as it flows: what flows in a step is what the pressure at its end drives.
      # @return [Float] mL
      def driven_ml(far, index, vacuum_mpa)
        pressure = @ledger.pressure_mpa
        driving = pressure + drawing_mpa(far, index, vacuum_mpa)
        return 0.0 unless driving.positive?
        softening = pressure.positive? ? @ledger.stiffness_mpa_ml(pressure) * @step_s : 0.0
        kinetic = @ledger.plumbing.kinetic(far.path, far.turns)
        Hydraulics::Flow.quadratic(driving, resistance(far) + softening, kinetic) * @step_s
      end

      # What head and vacuum add; nothing where the hose's end hangs above the master.
      def drawing_mpa(far, index, vacuum_mpa)
        return 0.0 if far.hung?
        [vacuum_mpa + (port_open? ? head_mpa(index, vacuum_mpa) : 0.0), 0.0].max
      end

      # From the reservoir's level down to the hose's end, less what air takes off it; an empty hose adds nothing. Below
      # nothing where it has to climb first.
      def head_mpa(index, vacuum_mpa = 0.0)
        path = ends[index].path
        hose_mm = ends[index].hose.wet? ? Airway::Drive::JAR_MM : 0.0
        column_mm = path.head_mm + hose_mm - @ledger.air.head_lost_mm(index, path, vacuum_mpa)
        Hydraulics::Flow.head_mpa(column_mm, @ledger.plumbing.fluid)
      end

      # Under a hose that hangs above the master, air at the nipple rises into it for what fluid it has, or the
      # reservoir.
      def let_air_up_hose(index)
        far = ends[index]
        most = port_open? ? PORT_ML_S * @step_s : [PORT_ML_S * @step_s, @ledger.jar_ml].min
        up = @ledger.air.leave(index, far.path.length_mm, most, far.path.pocket_ml)
        return unless up.positive?
        fluid, = far.hose.give(up, skip_air: true)
        @ledger.from_jar(fluid)
        @ledger.from_reservoir(up - fluid) if port_open?
        far.hose.take(0.0, up)
      end

      # No more than is under pressure, or than the reservoir has above its port; a vacuum draws what fills the gap too,
      # and air when the reservoir is empty.
      def available_ml(vacuum_mpa)
        pressed = @ledger.pressed_ml
        return pressed if pressed.positive?
        return vacuum_mpa.positive? ? [@ledger.excess_ml, 0.0].max : 0.0 unless port_open?
        vacuum_mpa.positive? ? @ledger.sealed_ml : @ledger.reservoir.ml
      end

      # @param thinned [Float] mL that a millilitre of air at the nipple is outside
      # @return [Float] mL that left by a nipple, air at its end first
      def expel(index, ml, thinned = 1.0)
        @ledger.expel(index, ml, ends[index].path, thinned)
      end

      def leak(pressure)
        return unless pressure.positive?
        @ledger.leak(@faults.leak_ml_s_mpa * pressure * @step_s)
        back(@faults.bypass_ml_s_mpa * pressure * @step_s)
      end

      # Into the reservoir; more than it holds runs over.
      def back(ml)
        notice("overfull") if @ledger.to_reservoir(ml)
      end

      # The piston comes back faster than the line gives back: fluid passes the cup. Strokes that follow quickly find
      # more in the line.
      def pass_cup(pressure)
        freed = @swept_before_ml - @ledger.master.swept_ml
        return unless freed.positive? && ends.none?(&:draws?)
        given = (pressure + SUCTION_MPA) / @ledger.plumbing.return_resistance(shut: @faults.hose_shut) * @step_s
        @ledger.from_reservoir([freed - given, 0.0].max)
      end

      # What is missing comes back by open nipples, as far as the cup's lip stands, else past the cup out of the
      # reservoir; air where that is empty.
      def draw_in
        missing = -@ledger.excess_ml
        return unless missing > 1e-12
        ends.each_index { |index| missing -= draw_back(index, missing) } unless port_open?
        take_from_reservoir(missing)
      end

      # Out of what the hose hangs in; from a jar it does not stand in, air from under the thread.
      # @return [Float] mL that came
      def draw_back(index, missing)
        far = ends[index]
        return 0.0 unless far.draws?
        came = missing.clamp(0.0, suction_mpa(far, index) / resistance(far) * @step_s)
        return 0.0 unless came.positive?
        fluid, drawn = far.draw_back(came, @ledger.jar_ml)
        @ledger.from_jar(fluid)
        @moved_ml[index] -= came
        notice("released_open") if drawn.positive? && !far.under_fluid?
        @ledger.air.enter(drawn, index, far.path.length_mm) if drawn.positive?
        came
      end

      # What the cup's lip stands, less the column that has to be lifted.
      def suction_mpa(far, index)
        [SUCTION_MPA - (far.hung? ? 0.0 : head_mpa(index)), 0.0].max
      end

      def resistance(far)
        @ledger.plumbing.resistance(far.path, far.turns, shut: @faults.hose_shut)
      end

      def take_from_reservoir(missing)
        drawn = missing - @ledger.from_reservoir(missing)
        return unless drawn > 1e-12
        notice("port_uncovered")
        @ledger.air.enter(drawn, 0, 0.0)
      end

      # Open to the reservoir, what is over runs back, as fast as the line lets it.
      def equalise(pressure)
        over = @ledger.excess_ml
        return unless over > 1e-12
        resistance = @ledger.plumbing.vent_resistance(shut: @faults.hose_shut)
        back([over, (pressure + ROLLBACK_MPA) / resistance * @step_s].min)
      end

      # What is over goes, as what runs back by the port does; air at the master first.
      def out_at_joint
        over = [@ledger.excess_ml, 0.0].max
        out = ((@ledger.pressure_mpa + ROLLBACK_MPA) / @ledger.plumbing.joint_resistance * @step_s).clamp(0.0, over)
        @ledger.leak(out - @ledger.air.rise_out(out))
      end

      def out_of_unit
        given = @ledger.unit.cycle(@step_s)
        @ledger.from_unit(given)
        @ledger.air.enter(given, 0, @ledger.unit.at_mm) if given.positive?
      end

      def move_air(tapped, frothed)
        @ledger.air.settle unless frothed
        @ledger.air.move(@ledger.plumbing.paths, flows, tapped: tapped, seconds: @step_s)
      end

      # @return [Array<Float>] mL/s outward on each way: what left by its nipple, and its share of what far ends took
      def flows
        excess = @ledger.excess_ml
        taken = (excess - @excess_before_ml) / ends.size
        @excess_before_ml = excess
        @moved_ml.map { |ml| (ml + taken) / @step_s }
      end

      # Air under the open port goes up into the reservoir; fluid comes down in its place.
      def let_air_up
        room = @ledger.reservoir.ml.clamp(0.0, PORT_ML_S * @step_s)
        @ledger.from_reservoir(@ledger.air.rise_out(room))
      end
    end
  end
end
