# frozen_string_literal: true

module Sandbag
  module Choose
    # Lever curves of a few candidates laid over one another: as built, and in the reserve case.
    module LeverCurves
      MOST = 4
      # Drawn up to this multiple of the hardest pull among them.
      BEYOND = 1.3

      # @param options [Array<Option>]
      # @return [Array<Hash>] key, normal, reserve; both lists of force_n, travel_mm, pressure_mpa; empty on a clutch
      # Refuses more than MOST.
      def self.of(options)
        if options.size > MOST
          raise Refusal.at("candidates", "#{options.size} curves are too many to read", "up to #{MOST}")
        end
        brakes = options.reject { |option| option.circuit.clutch? }
        top_n = brakes.map { |option| option.candidate.circuit.finger_force_n(option.pressure_mpa) }.max.to_f * BEYOND
        brakes.map do |option|
          circuit = option.candidate.circuit
          {
            key: option.key,
            normal: Hydraulics::LeverCurve.points(circuit, up_to_n: top_n),
            reserve: Hydraulics::LeverCurve.points(circuit, up_to_n: top_n, reserve: true)
          }
        end
      end
    end
  end
end
