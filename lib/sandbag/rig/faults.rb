# frozen_string_literal: true

module Sandbag
  module Rig
    # What a simulated circuit hides besides air: nothing unless it is named.
    class Faults
      extend Attributes

      # bypass_ml_s_mpa: past the main cup, back to the reservoir, for each MPa; leak_ml_s_mpa: out of a joint;
      # port_blocked, no_free_play [Boolean]: the compensating port stays shut; softer: times the stiffness volume that
      # hoses and calipers should take; gap: times the running clearance (worn pads, knock-back, taper)
      attributes :bypass_ml_s_mpa, :leak_ml_s_mpa, :port_blocked, :no_free_play, :softer, :gap

      def initialize(bypass_ml_s_mpa: 0.0, leak_ml_s_mpa: 0.0, port_blocked: false, no_free_play: false, softer: 1.0,
        gap: 1.0)
        @bypass_ml_s_mpa = Measures.finite("bypass", bypass_ml_s_mpa)
        @leak_ml_s_mpa = Measures.finite("leak", leak_ml_s_mpa)
        @port_blocked = port_blocked
        @no_free_play = no_free_play
        @softer = Measures.finite("softer", softer)
        @gap = Measures.finite("gap", gap)
        freeze
      end

      # The compensating port opens when the lever is let go.
      def port_opens?
        !port_blocked && !no_free_play
      end
    end
  end
end
