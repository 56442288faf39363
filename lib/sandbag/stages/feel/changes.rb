# frozen_string_literal: true

module Sandbag
  module Feel
    # The lever then and now: air, dead travel and stiffness before this job, when it was last good, and now, with plain
    # words for what changed by more than its errors (docs/trade.md 8.1, F19).
    class Changes
      # What counts as a change, in standard errors of the difference.
      SURE = 2.0
      # Softer by more than this is worth a word, whatever its error.
      SOFTER = 1.1

      # @attr id [String] air, dead or stiffness; before, last_good, now [Float]; says [String, nil]
      Row = Struct.new(:id, :label, :before, :last_good, :now, :says, keyword_init: true)

      # @param before, now [LeverFit, nil]; last_good [Hash, nil] as LeverFit#to_h was kept
      def initialize(before, now, last_good)
        @before = before&.to_h&.transform_keys(&:to_s) || {}
        @now = now&.to_h&.transform_keys(&:to_s) || {}
        @last_good = last_good || {}
        freeze
      end

      # @return [Array<Hash>] empty while there is nothing to compare
      def to_a
        return [] if @now.empty? || (@before.empty? && @last_good.empty?)
        [
          row("air", "Trapped air", ->(fit) { fit["air_ml"] }, air_said),
          row("dead", "Dead travel", ->(fit) { fit["dead_volume_ml"] && dead_mm(fit) }, dead_said),
          row("stiffness", "Stiffness", ->(fit) { fit["stiffness_ml_mpa"] }, stiffness_said)
        ].map { |each| each.to_h.compact }
      end

      private

      def row(id, label, value, says)
        Row.new(id: id, label: label, before: value.call(@before), last_good: value.call(@last_good),
          now: value.call(@now), says: says)
      end

      def dead_mm(fit)
        fit["dead_volume_ml"] * fit["mm_per_ml"]
      end

      def air_said
        return if @before.empty?
        moved = @before["air_ml"] - @now["air_ml"]
        sure = SURE * Math.hypot(@before["air_error_ml"], @now["air_error_ml"])
        return "Air came out." if moved > sure
        "More air than before." if moved < -sure
      end

      def dead_said
        moved = moved("dead_volume_ml", 0)
        return "Pads stand further off, or free play grew." if moved.positive?
        "Pads stand nearer, or free play shrank." if moved.negative?
      end

      def stiffness_said
        return unless moved("stiffness_ml_mpa", 1).positive?
        "Softer than it was: hose, caliper or tapered pads." if
          @now["stiffness_ml_mpa"] > SOFTER * against["stiffness_ml_mpa"]
      end

      # How far a number moved against the last good lever, or the one before; 0 within its errors.
      # @param place [Integer] of the number in the covariance
      def moved(name, place)
        moved = @now[name] - against[name]
        (moved.abs > SURE * Math.hypot(error(against, place), error(@now, place))) ? moved : 0.0
      end

      def against
        [@last_good, @before].find { |fit| fit.any? }
      end

      def error(fit, place)
        Math.sqrt(fit["covariance"][place][place])
      end
    end
  end
end
