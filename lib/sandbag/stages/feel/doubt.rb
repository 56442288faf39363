# frozen_string_literal: true

module Sandbag
  module Feel
    # What the readings of a lever cannot see and the estimate has to carry (docs/physics.md 7): the return spring's
    # preload, the lever's efficiency, and the early give of seals and pads.
    class Doubt
      # How far off, as a share, where nobody measured it: physics.md 7 gives ± 25 % and ± 0.05 of 0.9 as the most that
      # is usual, taken here as a little more than one standard error.
      PRELOAD = 0.22
      EFFICIENCY = 0.044
      # What seals and pads may take up at low pressure beyond C p, as a share of the pad gap's volume; mL. [estimate]
      GIVE_SHARE = 0.04
      # It is all taken up by about three times this, MPa. [estimate]
      GIVE_MPA = 0.1

      # @param circuit [Hydraulics::Circuit]
      # @param preload_known [Boolean] somebody measured the pull at which the piston first moves
      def initialize(circuit, preload_known: false)
        @circuit = circuit
        @preload_known = preload_known
        freeze
      end

      # @return [Array<Float>] standard errors of what may be off, as shares
      def errors
        @preload_known ? [EFFICIENCY] : [EFFICIENCY, PRELOAD]
      end

      # @return [Array<Float>] MPa by which each would move a pressure
      def slopes(force_n)
        pulled = @circuit.lever.gain * force_n / @circuit.master.area_mm2
        return [pulled] if @preload_known
        [pulled, -@circuit.master.preload_n / @circuit.master.area_mm2]
      end

      # @return [Float] mL that may be taken up by seals and pads at a pressure
      def give_ml(pressure_mpa)
        GIVE_SHARE * @circuit.budget.gap_ml * (1 - Math.exp(-pressure_mpa / GIVE_MPA))
      end
    end
  end
end
