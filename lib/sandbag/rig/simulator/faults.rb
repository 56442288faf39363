# frozen_string_literal: true

module Sandbag
  module Rig
    # What a simulated circuit hides besides air: nothing unless it is named.
    class Faults
      # Where fluid gets out.
      PLACES = %w[joint lever far_end].freeze
      # A hose that is shut inside holds back what lies behind it: so much of gap and stiffness is still felt. [default]
      BEHIND = 0.35

      extend Attributes

      # bypass_ml_s_mpa: past the main cup, back to the reservoir, for each MPa; leak_ml_s_mpa: out of the circuit, at
      # leak_at; port_blocked, no_free_play [Boolean]: the compensating port stays shut; softer: times the stiffness
      # volume that hoses and calipers should take; knocked_back: times the running clearance that pads stand further
      # off until they are pumped up; gap: times the running clearance, for good; free_play_mm: too much at the finger;
      # return_s: that the lever takes to come back by itself; hose_shut [Boolean]: nothing comes back through the hose;
      # outlet_high [Boolean]: the master's outlet stands higher than its port, and keeps its air; slave_stuck
      # [Boolean]: a clutch's slave stays where it is; spring: times the return spring's force; rubs_n: at the finger,
      # in and out; give: of seals and pads before they are firm, times the running clearance
      attributes :bypass_ml_s_mpa, :leak_ml_s_mpa, :leak_at, :port_blocked, :no_free_play, :softer, :knocked_back, :gap,
        :free_play_mm, :return_s, :hose_shut, :outlet_high,
        :slave_stuck, :spring, :rubs_n, :give

      def initialize(bypass_ml_s_mpa: 0.0, leak_ml_s_mpa: 0.0, leak_at: "joint", port_blocked: false,
        no_free_play: false, softer: 1.0, knocked_back: 0.0, gap: 1.0, free_play_mm: 0.0, return_s: 0.0,
        hose_shut: false, outlet_high: false, slave_stuck: false, spring: 1.0,
        rubs_n: 0.0, give: 0.0)
        @bypass_ml_s_mpa = Measures.finite("bypass", bypass_ml_s_mpa)
        @leak_ml_s_mpa = Measures.finite("leak", leak_ml_s_mpa)
        raise Refusal.at("leak_at", "nothing leaks at “#{leak_at}”", PLACES.join(", ")) unless PLACES.include?(leak_at)
        @leak_at = leak_at
        @port_blocked = port_blocked
        @no_free_play = no_free_play
        @softer = Measures.finite("softer", softer)
        @knocked_back = Measures.finite("knocked_back", knocked_back)
        @gap = Measures.finite("gap", gap)
        @free_play_mm = Measures.finite("free_play", free_play_mm)
        @return_s = Measures.finite("return", return_s)
        @hose_shut = hose_shut
        @outlet_high = outlet_high
        @slave_stuck = slave_stuck
        @spring = Measures.finite("spring", spring)
        @rubs_n = Measures.finite("rubs", rubs_n)
        @give = Measures.finite("give", give)
        freeze
      end

      # The compensating port opens when the lever is let go.
      def port_opens?
        !port_blocked && !no_free_play
      end

      # @return [Float] share of gap and stiffness that the master feels
      def felt
        hose_shut ? BEHIND : 1.0
      end

      # @param other [Faults]
      # @return [Faults] both at once, the worse of each
      def and(other)
        plain = Faults.new.attributes
        Faults.new(**attributes.merge(other.attributes) { |name, one, two| (two == plain[name]) ? one : two })
      end
    end
  end
end
