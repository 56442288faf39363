# frozen_string_literal: true

module Sandbag
  module Fastening
    # A crow's foot in line with the wrench lengthens it: the fastener gets M (L + E) / L, where M is what the wrench
    # reads, L its own length from the grip and E that of the foot. At right angles it adds nothing.
    module CrowsFoot
      # @param wrench [Hash, nil] with arm and foot, mm, where there is one in line
      # @return [Float] torque at the fastener over what the wrench reads
      def self.factor(wrench)
        arm, foot = wrench&.values_at("arm", "foot")
        (arm && foot) ? (arm + foot).fdiv(arm) : 1.0
      end
    end
  end
end
