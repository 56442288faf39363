# frozen_string_literal: true

module Sandbag
  module Fit
    # What must not touch, pull or catch, and what must work: lengths measured and looks answered (docs/trade.md 6.6,
    # 6.7). Each fails by its own name and holds the release.
    class Checks
      # @attr row [Hash] of fit_checks.yml; value [Float, String, nil] as measured or answered; from_mm, aim_mm
      Check = Struct.new(:row, :value, :from_mm, keyword_init: true) do
        def gap?
          row["gap"] == true
        end

        # Known only once the circuit is bled.
        def after?
          row["after"] == true
        end

        # @return [Boolean, nil] nil while nobody looked
        def pass
          return if value.nil?
          gap? ? value >= from_mm : value != "bad"
        end

        def due
          return if pass
          name = Wording.inside(row["label"])
          return name if value.nil?
          gap? ? "#{name}: #{Said.mm(value, 0)}, at least #{Said.mm(from_mm, 0)}" : "#{name}: not right"
        end

        # Seen to be good with the others of its place: not what is measured, what a machine may be without,
        # nor what somebody found not right.
        def together?
          !gap? && !row["may_lack"] && value.nil?
        end

        # Wide enough, and still near something that could be pushed on.
        def near?
          gap? && pass && row["aim"] && value < row["aim"]
        end
      end

      attr_reader :all

      # @param scope [Scope]; entries [Job::Entries] of fit
      # @param bled_at [Integer, nil] place of the last stroke, 0 before the first: what is known only of a bled circuit
      #   is looked at again after another one; nil where there is no bleed to wait for
      def initialize(scope, entries, bled_at: nil)
        @scope = scope
        @bled_at = bled_at
        newest = entries.of("gap", "check").to_h { |entry| [entry.data["check"], entry] }
        @all = scope.rows("fit_checks").map do |row|
          Check.new(row: row, value: value(row, newest[row["id"]]), from_mm: from_mm(row)).freeze
        end.freeze
        freeze
      end

      # @param proof [String] of fit_checks.yml
      # @return [Array<Check>]
      def of(proof)
        all.select { |check| check.row["proves"] == proof }
      end

      # @return [Array<String>]
      def due(phase)
        of_phase(phase).filter_map(&:due)
      end

      # @return [Array<Check>] looked at before the bleed, or after it
      def of_phase(phase)
        all.select { |check| phase_of(check) == phase }
      end

      # Refuses a check this job does not have, a look where a length is wanted and the other way round, and “none” of
      # what every such circuit has; and before the bleed what only a bled circuit shows.
      # @param phase [String] before or after the bleed
      def admit(entry, phase)
        check = all.find { |each| each.row["id"] == entry.data["check"] } || raise(Refusal.at("data/check",
          "“#{entry.data["check"]}” is not checked here", all.map { |each| each.row["id"] }.join(", ")))
        if check.gap? != (entry.kind == "gap")
          raise Refusal.at("kind", "#{check.row["label"]} is #{check.gap? ? "measured" : "looked at"}",
            check.gap? ? "gap" : "check")
        end
        if phase_of(check) == "after" && phase == "before"
          raise Refusal.at("data/check", "#{check.row["label"]}: only a bled circuit shows it",
            of_phase("before").map { |each| each.row["id"] }.join(", "))
        end
        return unless entry.data["value"] == "none" && !check.row["may_lack"]
        raise Refusal.at("data/value", "#{check.row["label"]}: there is one on every such machine", "good, bad")
      end

      private

      def phase_of(check)
        (check.after? && @bled_at) ? "after" : "before"
      end

      def value(row, entry)
        return if entry.nil? || (row["after"] && @bled_at && entry.position <= @bled_at)
        entry.data["value"]
      end

      def from_mm(row)
        from = row["from"]
        from.is_a?(String) ? @scope.sheet.value("lever", from) : from
      end
    end
  end
end
