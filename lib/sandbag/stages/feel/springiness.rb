# frozen_string_literal: true

module Sandbag
  module Feel
    # How much further a lever goes from a light pull to a firm one, read as trapped air (docs/physics.md 7): all that
    # a hand without a gauge can say of air. What is not known moves the air, one thing at a time; what 95 % lies within
    # is the root of the sum of their squares.
    class Springiness
      # A light pull is this share of the firm one. [default]
      LIGHT_SHARE = 0.2
      # A hand knows a force to this share, 95 %. [default]
      FORCE = 0.4
      # What the circuit's own stiffness may be off by, as a share, 95 %: beyond it the hoses are at fault (Verdict).
      STIFFNESS = Verdict::SOFT - 1
      # Two readings of a ruler, each known to twice its standard error.
      READINGS = 2 * Math.sqrt(2)

      # @param circuit [Hydraulics::Circuit]
      # @return [Float] N of the light pull: well over the return spring
      def self.light_n(circuit)
        [LIGHT_SHARE * circuit.kind.firm_n, 2 * circuit.finger_force_n(0)].max
      end

      # Refuses, at firm, a firm pull that goes less far than the light one.
      def self.check(light_mm, firm_mm)
        return unless firm_mm < light_mm
        raise Refusal.at("firm", "the firm pull goes less far than the light one", "the longer travel here")
      end

      # @param circuit [Hydraulics::Circuit]; light_mm, firm_mm [Float] travel at the finger under each pull
      # @param error_mm [Float] standard error of one reading; reference_mpa [Float] see Circuit::Reference
      # Refuses what check refuses.
      def initialize(circuit, light_mm:, firm_mm:, error_mm:, reference_mpa:)
        self.class.check(light_mm, firm_mm)
        @circuit = circuit
        @reference_mpa = reference_mpa
        @sizes = {light: self.class.light_n(circuit), firm: circuit.kind.firm_n,
                  stiffness: circuit.budget.stiffness_ml_mpa, travel: firm_mm - light_mm}
        @error_mm = error_mm
        freeze
      end

      # @return [String] clear, springy or cant_tell
      def id
        low, high = cost_interval_mm
        return "clear" if high < limit(Verdict::PASS_MM)
        (low > limit(Verdict::AGAIN_MM)) ? "springy" : "cant_tell"
      end

      # @return [Array<Float>] mL of air that 95 % lies within, nothing below zero
      def interval_ml
        middle = air_ml(@sizes)
        moved = doubted.map { |sizes| air_ml(sizes) - middle }
        low, high = moved.partition(&:negative?).map { |each| Math.sqrt(each.sum { |off| off**2 }) }
        [[middle - low, 0.0].max, [middle + high, 0.0].max]
      end

      # @return [Array<Float>] mm of travel that it costs at the reference force
      def cost_interval_mm
        interval_ml.map do |air|
          @circuit.travel_of_volume_mm(Hydraulics::VolumeBudget.air_taken_ml(air, @reference_mpa))
        end
      end

      def to_h
        low, high = interval_ml
        {verdict: id, low_ml: low, high_ml: high, why: why}
      end

      private

      # Each that may be off, once more and once less.
      def doubted
        off = {light: FORCE, firm: FORCE, stiffness: STIFFNESS, travel: READINGS * @error_mm / @sizes[:travel]}
        off.select { |_, share| share.finite? }.flat_map do |name, share|
          [1 - share, 1 + share].map { |times| {**@sizes, name => @sizes[name] * times} }
        end
      end

      # Travel that stiffness does not explain, over the share of air that is squeezed between the two pulls.
      def air_ml(sizes)
        low, high = sizes.values_at(:light, :firm).map { |force| [@circuit.pressure_mpa(force), 0.0].max }
        taken = Hydraulics::VolumeBudget.air_taken_ml(1.0, high) - Hydraulics::VolumeBudget.air_taken_ml(1.0, low)
        volume = sizes[:travel] / @circuit.travel_of_volume_mm(1.0)
        (volume - sizes[:stiffness] * (high - low)) / taken
      end

      def limit(millimetres)
        millimetres * @circuit.kind.air_share
      end

      def why
        low, high = interval_ml
        noun = @circuit.kind.control["noun"]
        case id
        when "clear" then "Under #{Said.ml(high, 2)} of air: the #{noun} is clear of it."
        when "springy" then "#{Said.ml(low, 2)} of air or more: bleed again."
        else
          "#{low.zero? ? "Under" : "#{Said.ml(low, 2)} to"} #{Said.ml(high, 2)} of air. By hand it cannot be told " \
            "closer: bottles or weights of known weight hung on the #{noun}, or a luggage scale, would tell."
        end
      end
    end
  end
end
