# frozen_string_literal: true

module Sandbag
  module Airway
    # Fluid that has to leave one point until what comes out is new (docs/physics.md 5).
    module FlushVolume
      # V = V_upstream + V_cal ln(1/(1−P)): the old column is pushed out ahead, the caliper or slave is a stirred tank.
      # @param upstream_ml [Float] still-old volume of cylinder and lines on the path
      # @param tank_ml [Float] caliper or slave
      # @param purity [Float] wanted share of new fluid, 0 ≤ P < 1
      # @return [Float] mL
      def self.ml(upstream_ml, tank_ml, purity)
        unless purity >= 0 && purity < 1
          raise Refusal.at("purity", "purity of #{purity} cannot be reached", "from 0 to below 1")
        end
        upstream_ml + tank_ml * Math.log(1 / (1 - purity))
      end
    end
  end
end
