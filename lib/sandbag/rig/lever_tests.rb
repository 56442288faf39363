# frozen_string_literal: true

module Sandbag
  module Rig
    # Ask's own tests, done on a simulated lever: what each comes out as, by the words of findings.yml. What fluid and
    # air tell is tried on the running circuit; what an eye sees is told by what is hidden; the rest is as it should be.
    class LeverTests
      # Findings that are tried on it: by hand, by eye, by asking, and with the circuit opened.
      IDS = %w[
        lever_feel lever_travel pump_up hold_sink return_action level fluid_colour fluid_water fluid_debris hot_fade
        history boot_state wet_lever wet_joint wet_slave hose_state diaphragm_state bubbles port_jet free_play residual
        friction_state release_point nipple_flow mc_isolated
      ].freeze
      FIRM_N = 100.0
      LIGHT_N = 10.0
      # Tip travel as shares of the free gap, and creep in a minute: as the values of the findings say.
      SHORT, NORMAL, LONG = 0.2, 0.6, 0.9
      HOLDS_MM, SLOW_MM = 2.0, 12.0
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
      # Air this near to the master is shut in with it when its outlet is plugged, as a share of the way. [default]
      AT_MASTER = 0.1

      # @param mystery [Mystery]
      def initialize(mystery)
        @mystery = mystery
        @gap_mm = Mystery.sheet.value("lever", "gap_to_grip")
        freeze
      end

      # @return [Array<Hash>] rows of findings.yml
      def self.rows
        IDS.map { |id| Knowledge.find("findings", id) }
      end

      # @param id [String] of IDS
      # @return [String, nil] one of the finding's values; nil where it says nothing either way
      # Refuses a test that is none of these.
      def value(id)
        raise Refusal.at("finding", "“#{id}” is not tried on it", IDS.join(", ")) unless IDS.include?(id)
        @mystery.shows.fetch(id) { respond_to?(:"try_#{id}", true) ? send(:"try_#{id}") : sound_value(id) }
      end

      private

      # What an eye or a question finds where nothing is wrong with it.
      def sound_value(id)
        (id == "fluid_colour") ? "pale" : Knowledge.find("findings", id)["ordinary"]
      end

      # The lever pressed until it pushes back so hard, or to its end: slowly, or as quickly as one pumps.
      def pressed(rig, force, steps: SLOWLY)
        from = rig.lever_mm
        (1..steps).each do |step|
          to = from + (rig.travel_mm - from) * step / steps
          rig.act("do" => "lever", "to" => to, "s" => Simulation::STEP_S)
          break if rig.force_n >= force
        end
        rig
      end

      def let_go(rig, seconds)
        rig.act("do" => "lever", "to" => 0, "s" => seconds)
      end

      def sound
        Simulation.new(Mystery.sheet)
      end

      def try_lever_travel
        share = pressed(@mystery.start, FIRM_N).lever_mm / @gap_mm
        return "short" if share < SHORT
        return "normal" if share <= NORMAL
        (share <= LONG) ? "long" : "to_grip"
      end

      def try_lever_feel
        way = ->(rig) { pressed(rig.call, FIRM_N).lever_mm - pressed(rig.call, LIGHT_N).lever_mm }
        return "spongy" if way.call(-> { @mystery.start }) > SPONGY * way.call(-> { sound })
        further = pressed(@mystery.start, LIGHT_N).lever_mm - pressed(sound, LIGHT_N).lever_mm
        (further > DEAD_MM) ? "dead_then_firm" : "firm"
      end

      # Travel on stroke one, quick strokes, hold, compare.
      def try_pump_up
        rig = pressed(@mystery.start, FIRM_N)
        first = rig.lever_mm
        let_go(rig, QUICK_S)
        PUMPS.times { let_go(rig.act("do" => "lever", "to" => first, "s" => QUICK_S), QUICK_S) }
        pressed(rig, FIRM_N, steps: QUICKLY)
        rises = first - rig.lever_mm > RISES_MM
        return rises ? "rises_sinks" : "never_builds" if rig.force_n < FIRM_N || sinks(rig) > HOLDS_MM
        rises ? "rises_holds" : "same"
      end

      # A steady pull for a minute: the lever follows as it gives.
      # @return [Float] mm that it gave
      def sinks(rig)
        from = rig.lever_mm
        60.times do
          rig.act("do" => "wait", "s" => 1)
          to = rig.lever_mm
          to += 0.1 while to < rig.travel_mm - 0.1 && rig.snapshot.act("do" => "lever", "to" => to,
            "s" => Simulation::STEP_S).force_n < FIRM_N
          rig.act("do" => "lever", "to" => to, "s" => Simulation::STEP_S) if to > rig.lever_mm
        end
        rig.lever_mm - from
      end

      def try_hold_sink
        creep = sinks(pressed(@mystery.start, FIRM_N))
        return "holds" if creep <= HOLDS_MM
        (creep <= SLOW_MM) ? "slow" : "fast"
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

      # Under pressure for a minute.
      def leaked(place)
        return 0.0 unless @mystery.faults.leak_at == place
        pressed(@mystery.start, FIRM_N).act("do" => "wait", "s" => 60).leaked_ml
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
        5.times { let_go(pressed(rig, FIRM_N), 0.3) }
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
