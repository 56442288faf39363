# frozen_string_literal: true

module Sandbag
  module Rig
    # Ask's own tests, done on a simulated lever: what each comes out as, by the words of findings.yml.
    class LeverTests
      # Findings that a lever by itself, the eye and a plugged outlet can show.
      IDS = %w[
        lever_travel lever_feel hold_sink wet_joint residual free_play hose_state friction_state mc_isolated
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
      # MPa that stay after the lever was let go, and mL at a joint, that can be noticed. [default]
      RESIDUAL_MPA = 0.01
      WEEP_ML, DRIP_ML = 0.005, 0.5
      BULGES = 1.5
      KNOCKED = 2.0
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
      # @return [String] one of the finding's values
      # Refuses a test that is none of these.
      def value(id)
        raise Refusal.at("finding", "“#{id}” is not tried on it", IDS.join(", ")) unless IDS.include?(id)
        send(:"try_#{id}")
      end

      private

      # The lever pressed until it pushes back so hard, or to its end.
      def pressed(rig, force)
        steps = 400
        (1..steps).each do |step|
          rig.act("do" => "lever", "to" => rig.travel_mm * step / steps, "s" => Simulation::STEP_S)
          break if rig.force_n >= force
        end
        rig
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

      # A steady pull for a minute: the lever follows as it gives.
      def held
        rig = pressed(@mystery.start, FIRM_N)
        from = rig.lever_mm
        60.times do
          rig.act("do" => "wait", "s" => 1)
          to = rig.lever_mm
          to += 0.1 while to < rig.travel_mm - 0.1 && rig.snapshot.act("do" => "lever", "to" => to,
            "s" => Simulation::STEP_S).force_n < FIRM_N
          rig.act("do" => "lever", "to" => to, "s" => Simulation::STEP_S) if to > rig.lever_mm
        end
        [rig, rig.lever_mm - from]
      end

      def try_hold_sink
        creep = held.last
        return "holds" if creep <= HOLDS_MM
        (creep <= SLOW_MM) ? "slow" : "fast"
      end

      def try_wet_joint
        leaked = held.first.leaked_ml
        return "dry" if leaked < WEEP_ML
        (leaked < DRIP_ML) ? "weep" : "drip"
      end

      def try_residual
        rig = @mystery.start
        5.times do
          pressed(rig, FIRM_N)
          rig.act("do" => "lever", "to" => 0, "s" => 0.3)
        end
        rig.act("do" => "wait", "s" => 1)
        return "free" if rig.port_open? && rig.pressure_mpa < RESIDUAL_MPA
        "builds"
      end

      def try_free_play
        @mystery.faults.no_free_play ? "none" : "in_spec"
      end

      def try_hose_state
        (@mystery.faults.softer > BULGES) ? "bulges" : "sound"
      end

      def try_friction_state
        (@mystery.faults.gap > KNOCKED) ? "taper_knock" : "ok"
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
