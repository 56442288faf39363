# frozen_string_literal: true

module Sandbag
  module Rig
    # Ask's own tests, done on a simulated lever: what each comes out as, by the words of findings.yml. What fluid and
    # air tell is tried on the running circuit; what an eye sees is told by what is hidden; the rest is as it should be.
    class LeverTests
      # A firm pull at a brake, N; and at a clutch as a share of what releases it. [default]
      FIRM_N = Tables::Figures.value("firm_hand").to_f
      NEARLY = 0.95
      LIGHT_N = 10.0
      # Tip travel as shares of the free gap, and creep in a minute: as the values of the findings say.
      SHORT, NORMAL, LONG = 0.2, 0.6, 0.9
      HOLDS_MM, SLOW_MM = Tables::Figures.value("creep").to_f, 12.0
      # Times the travel between a light and a firm pull that a sound lever has, and mm it comes further before it
      # meets anything. [default]
      SPONGY = 1.5
      DEAD_MM = 6.0
      # Quick strokes of the pump test, s there and s back, and mm that the lever has to come up by. [default]
      PUMPS, QUICK_S = 5, 0.12
      RISES_MM = 2.0
      # Steps of the simulation from end to end.
      SLOWLY, QUICKLY = 400, 40
      # Shares of its way that a lever let go has still to come after a breath, and after a while. [default]
      SLOW_SHARE, HANGS_SHARE = 0.1, 0.02
      BREATH_S, WHILE_S = 0.5, 2.0
      # MPa that stay after the lever was let go, and mL at a joint, that can be noticed. [default]
      RESIDUAL_MPA = 0.01
      WEEP_ML, DRIP_ML = 0.005, 0.5
      # How far a nipple is opened to see what comes. [default]
      GENTLE_TURNS = 0.25
      # mL of air that can be seen: at the port, and in a clear hose after one stroke. [default]
      SEEN_ML = 0.01
      # Shares of the lift needed under which a clutch does not move, and does not free at all. [default]
      NO_LIFT, HALF_LIFT = 0.1, 0.5
      # Air this near to the master is shut in with it when its outlet is plugged, as a share of the way. [default]
      AT_MASTER = 0.1

      # @param mystery [Mystery]
      def initialize(mystery)
        @mystery = mystery
        @sheet = mystery.sheet
        @circuit = Sandbag::Circuit::Assembly.build(@sheet)
        @gap_mm = @sheet.value("lever", "gap_to_grip")
        @firm_n = @sheet.clutch? ? NEARLY * @circuit.finger_force_n(@circuit.slave.release_pressure_mpa) : FIRM_N
        freeze
      end

      # @param id [String] of findings.yml, for the side of the lever
      # @return [String, nil] one of the finding's values; nil where it says nothing either way
      # Refuses a test that is none of these.
      def value(id)
        row = Tables.find("findings", id)
        unless row && ["a", @mystery.side[0]].include?(row["for"])
          raise Refusal.at("finding", "“#{id}” is nothing to try on it", "a finding of a #{@mystery.side}")
        end
        @mystery.shows.fetch(id) { respond_to?(:"try_#{id}", true) ? send(:"try_#{id}") : sound_value(id) }
      end

      private

      # What an eye or a question finds where nothing is wrong with it.
      def sound_value(id)
        (id == "fluid_colour") ? "pale" : Tables.find("findings", id)["ordinary"]
      end

      # The lever pressed until it pushes back so hard, or to its end: slowly, or as quickly as one pumps.
      def pressed(rig, force, steps: SLOWLY)
        from = rig.lever_mm
        (1..steps).each do |step|
          to = from + (rig.travel_mm - from) * step / steps
          rig.act("do" => "lever", "to" => to, "s" => Simulation::STEP_S)
          break if rig.force_n >= force || (block_given? && yield)
        end
        rig
      end

      # The lever pressed until the slave stands out as far as frees the clutch, or to its end.
      def freed(rig)
        pressed(rig, Float::INFINITY) { rig.lift_mm >= @circuit.slave.lift_needed_mm }
      end

      def let_go(rig, seconds)
        rig.act("do" => "lever", "to" => 0, "s" => seconds)
      end

      def sound
        Simulation.new(@sheet)
      end

      # A brake to firm, as a share of the gap to the grip; a clutch until it is free, beside a sound one.
      def try_lever_travel
        return clutch_travel if @sheet.clutch?
        share = pressed(@mystery.start, @firm_n).lever_mm / @gap_mm
        return "short" if share < SHORT
        return "normal" if share <= NORMAL
        (share <= LONG) ? "long" : "to_grip"
      end

      def clutch_travel
        rig = freed(@mystery.start)
        return "to_grip" if rig.lift_mm < needed
        further = rig.lever_mm - freed(sound).lever_mm
        return "long" if further > DEAD_MM
        (further < -DEAD_MM) ? "short" : "normal"
      end

      def try_lever_feel
        way = ->(rig) { pressed(rig.call, @firm_n).lever_mm - pressed(rig.call, LIGHT_N).lever_mm }
        return "spongy" if way.call(-> { @mystery.start }) > SPONGY * way.call(-> { sound })
        further = pressed(@mystery.start, LIGHT_N).lever_mm - pressed(sound, LIGHT_N).lever_mm
        (further > DEAD_MM) ? "dead_then_firm" : "firm"
      end

      # Travel on stroke one, quick strokes, hold, compare.
      def try_pump_up
        rig = pressed(@mystery.start, @firm_n)
        first = rig.lever_mm
        let_go(rig, QUICK_S)
        PUMPS.times { let_go(rig.act("do" => "lever", "to" => first, "s" => QUICK_S), QUICK_S) }
        rises = first - met_quickly(rig) > RISES_MM
        return rises ? "rises_sinks" : "never_builds" if rig.force_n < @firm_n || sinks(rig) > HOLDS_MM
        rises ? "rises_holds" : "same"
      end

      # Pressed as quickly as one pumps.
      # @return [Float] mm at which it pushes back firmly, told between two steps
      def met_quickly(rig)
        below = [rig.lever_mm, rig.force_n]
        pressed(rig, @firm_n, steps: QUICKLY) do
          below = [rig.lever_mm, rig.force_n]
          false
        end
        return rig.lever_mm if rig.force_n < @firm_n
        share = (@firm_n - below.last) / (rig.force_n - below.last)
        below.first + share * (rig.lever_mm - below.first)
      end

      # A steady pull for a minute: the lever follows as it gives.
      # @return [Float] mm that it gave
      def sinks(rig)
        from = rig.lever_mm
        60.times do
          rig.act("do" => "wait", "s" => 1)
          to = rig.lever_mm
          to += 0.1 while to < rig.travel_mm - 0.1 && rig.snapshot.act("do" => "lever", "to" => to,
            "s" => Simulation::STEP_S).force_n < @firm_n
          rig.act("do" => "lever", "to" => to, "s" => Simulation::STEP_S) if to > rig.lever_mm
        end
        rig.lever_mm - from
      end

      def try_hold_sink
        creep = sinks(pressed(@mystery.start, @firm_n))
        return "holds" if creep <= HOLDS_MM
        (creep <= SLOW_MM) ? "slow" : "fast"
      end

      # Down the pass and pressed again, beside a cold lever.
      def try_hot_fade
        cold = pressed(@mystery.start, @firm_n).lever_mm
        hot = pressed(@mystery.start.act("do" => "descend", "s" => Lesson::PASS_S), @firm_n).lever_mm
        (hot - cold > DEAD_MM) ? "long_when_hot" : "none"
      end

      # % of the values of the finding, as their names say.
      def try_fluid_water
        {"ge3" => 3, "2to3" => 2, "1to2" => 1, "lt1" => 0}.find { |_, from| @mystery.start.water_percent >= from }.first
      end

      # The lever at the grip, and how far the slave stands out.
      def try_slave_lift
        lift = lifted
        return "none" if lift < NO_LIFT * needed
        (lift < needed) ? "short" : "in_spec"
      end

      def try_clutch_gear
        lift = lifted
        return "separates" if lift >= needed
        (lift >= HALF_LIFT * needed) ? "partial" : "none"
      end

      def needed
        @circuit.slave.lift_needed_mm
      end

      def lifted
        rig = @mystery.start
        rig.act("do" => "lever", "to" => [rig.travel_mm, @gap_mm].min, "s" => 1).lift_mm
      end

      def try_return_action
        back = @mystery.faults.return_s
        return "hangs" if back * (1 - HANGS_SHARE) > WHILE_S
        (back * (1 - SLOW_SHARE) > BREATH_S) ? "slow" : "free"
      end

      def try_wet_lever
        (leaked("lever") < WEEP_ML) ? "dry" : "damp_boot"
      end

      def try_wet_joint
        leaked = leaked("joint")
        return "dry" if leaked < WEEP_ML
        (leaked < DRIP_ML) ? "weep" : "drip"
      end

      def try_wet_slave
        (leaked("far_end") < WEEP_ML) ? "dry" : "fluid"
      end

      # Under a steady pull for a minute.
      def leaked(place)
        return 0.0 unless @mystery.faults.leak_at == place
        rig = pressed(@mystery.start, @firm_n)
        sinks(rig)
        rig.leaked_ml
      end

      # Five light strokes, the ports watched.
      def try_bubbles
        rig = @mystery.start
        5.times do
          let_go(pressed(rig, LIGHT_N), 0.5)
          rig.act("do" => "wait", "s" => 0.5)
        end
        (rig.air_out_ml > SEEN_ML) ? "few_then_stop" : "none"
      end

      def try_port_jet
        @mystery.start.port_open? ? "present" : "absent"
      end

      def try_residual
        rig = @mystery.start
        5.times { let_go(pressed(rig, @firm_n), 0.3) }
        rig.act("do" => "wait", "s" => 1)
        (rig.port_open? && rig.pressure_mpa < RESIDUAL_MPA) ? "free" : "builds"
      end

      def try_free_play
        @mystery.faults.no_free_play ? "none" : "in_spec"
      end

      # A clear hose and one gentle stroke: full, held while the nipple is open.
      def try_nipple_flow
        rig = @mystery.start
        id = rig.plumbing.paths.first.id
        rig.act("do" => "nipple", "end" => id, "turns" => GENTLE_TURNS)
        rig.act("do" => "lever", "to" => rig.travel_mm, "s" => 3)
        return "no_flow" if rig.jar_ml + rig.air_out_ml < SEEN_ML
        return "bubbles" if rig.air_out_ml > SEEN_ML
        (@mystery.shows["fluid_colour"] == "brown") ? "dark_slug" : "clean"
      end

      def try_mc_isolated
        return "sinks" if @mystery.faults.bypass_ml_s_mpa.positive?
        start = @mystery.start
        length = start.plumbing.paths.first.length_mm
        (start.slugs.any? { |slug| slug.at_mm < AT_MASTER * length }) ? "soft" : "firm"
      end
    end
  end
end
