# frozen_string_literal: true

module Sandbag
  module Rig
    # What stands in the clear hose at a nipple: fluid and bubbles as they came out, the newest first, and how much of
    # the old fluid has been driven out behind it.
    class ClearHose
      # What the hose holds before it runs into the jar, mL. [default]
      HOLDS_ML = 4.0
      # Old fluid is pushed out by new, not all at once: from this share of what the way holds to this. [default]
      FRESH_FROM, FRESH_AT = 0.8, 1.3

      # @param way_ml [Float] of fluid between the reservoir and the nipple; old [Boolean]
      def initialize(way_ml, old: false)
        @way_ml = way_ml
        @old = old
        @passed_ml = 0.0
        @pieces = []
      end

      # @return [ClearHose] the same, to go on from apart
      def copy
        dup.tap { |other| other.instance_variable_set(:@pieces, @pieces.map(&:dup)) }
      end

      # @param fluid_ml, air_ml [Float] that came out together
      def take(fluid_ml, air_ml)
        @passed_ml += fluid_ml
        push(true, air_ml)
        push(false, fluid_ml)
        @pieces.pop while @pieces.size > 1 && @pieces.sum(&:last) - @pieces.last.last > HOLDS_ML
      end

      # What goes back in by the nipple, the last that came first.
      # @param ml [Float] at most; skip_air [Boolean] its air has risen out of reach
      # @return [Array(Float, Float)] mL of fluid and of air
      def give(ml, skip_air: false)
        @pieces.reject!(&:first) if skip_air
        fluid = air = 0.0
        while @pieces.any? && ml - fluid - air > 1e-12
          is_air, held = @pieces.first
          given = [held, ml - fluid - air].min
          is_air ? air += given : fluid += given
          (held - given > 1e-12) ? @pieces.first[1] -= given : @pieces.shift
        end
        @passed_ml -= fluid
        [fluid, air]
      end

      # Fluid stands in it.
      def wet?
        @pieces.any? { |air, _| !air }
      end

      # @return [Float] 0 where old fluid comes, 1 where fresh does
      def fresh
        return 1.0 unless @old
        ((@passed_ml / @way_ml - FRESH_FROM) / (FRESH_AT - FRESH_FROM)).clamp(0.0, 1.0)
      end

      # @return [Array<Hash>] air [Boolean] and ml, from the nipple on
      def pieces
        @pieces.map { |air, ml| {air: air, ml: ml} }
      end

      private

      def push(air, ml)
        return unless ml.positive?
        if @pieces.first&.first == air
          @pieces.first[1] += ml
        else
          @pieces.unshift([air, ml])
        end
      end
    end
  end
end
