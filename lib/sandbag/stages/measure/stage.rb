# frozen_string_literal: true

module Sandbag
  module Measure
    # Reuse or renew: what is seen, what is gauged, and one verdict. On a job that puts a new part on: new against old.
    class Stage < Job::Stage
      # A reading further than this from the nominal is a slip of the gauge or of the key, mm.
      FAR_MM = 0.5
      PISTONS = %w[piston cal_piston].freeze

      attr_reader :inspection, :comparison, :cylinder, :gauging

      def initialize(job)
        super
        @strip = job.strip
        @cylinder = job.choose.cylinder
        @comparison = Comparison.new(entries.by("compared", "row"), job.route&.id, job.sheet.kind)
        @inspection =
          Inspection.new(entries.by("finding", "check").transform_values { |data| data["value"] }, @strip.tray)
        @gauging =
          @cylinder &&
          Gauging.new(
            readings,
            limits,
            piston: !fresh_parts.intersect?(PISTONS),
            places: @cylinder.construction.gauge_places
          )
      end

      # The cylinder is apart; else a new part is compared with the old.
      def apart?
        !cylinder.nil?
      end

      # There is something to look at or to compare.
      def here?
        apart? || comparison.rows.any?
      end

      # @return [Verdict, nil] nil when nothing comes apart
      def verdict
        return unless apart?
        @verdict ||=
          Verdict.new(
            inspection,
            judgements,
            missing: missing,
            given_up: @strip.given_up?,
            called: called,
            fresh: fresh_parts,
            cylinder: cylinder
          )
      end

      # @return [Array<String>] parts that are renewed although they would be used again if they passed
      def fresh_parts
        entries.values("renewed", "part")
      end

      def done?
        apart? ? verdict.settled? : comparison.open.empty?
      end

      def waits_for
        return if done?
        return "compare new with old: #{Wording.inside(comparison.open.first["label"])}" unless apart?
        "#{Wording.inside(verdict.label)}: " \
          "#{(verdict.id == "parts") ? Wording.spelled(verdict.parts.first) : verdict.reasons.first}"
      end

      def unresolved
        verdict.reasons.first if apart? && verdict.id == "unit"
      end

      # @return [Job::Route, nil] the route on when the cylinder is past use
      def next_route
        Job::Route.find(job.route.condemned) if apart? && verdict.id == "unit"
      end

      # Judged without gauges: recorded as an estimate.
      def by_eye?
        entries.of("by_eye").any?
      end

      # @return [WearLimits]
      def limits
        Cylinder::WearLimits.new(cylinder.bore_mm, entries.of("limits").reduce({}) { |all, entry|
          all.merge(entry.data)
        })
      end

      # @return [Hash{String => Gauging::Reading}] by place
      def readings
        entries
          .of("gauge")
          .to_h do |entry|
            place, value, gauge = entry.data.values_at("place", "value", "gauge")
            [
              place,
              Gauging::Reading.new(
                entry: entry.id,
                place: place,
                value_mm: value,
                gauge: Tables.find("gauges", gauge)
              )
            ]
          end
      end

      # Limits say nothing of a nominal that is not proven; a spring is judged all the same.
      # @return [Array<Judgement>]
      def judgements
        spring = entries.said("spring")
        (cylinder.unproven ? [] : gauging.judgements) +
          (spring ? [SpringLength.judge(*spring.values_at("free", "new"))] : [])
      end

      private

      # A call stands for the readings it was made on.
      def called
        entries.reverse_each.take_while { |entry| entry.kind != "gauge" }.find { |entry| entry.kind == "called" }&.data
      end

      # @return [Array<String>] what is still to be looked at, read or said
      def missing
        looks =
          inspection.open.map do |look|
            look.value ? "#{look.row["label"]}: clean it and look again." : "#{look.row["label"]}: not looked at."
          end
        looks + gauge_missing
      end

      def gauge_missing
        return [] if by_eye? || gauging.wanted.empty?
        return ["The nominal bore is not proven, so no limit applies: #{cylinder.unproven}"] if cylinder.unproven
        left = gauging.missing
        left.empty? ? [] : ["#{left.size} gauge readings to go, next: #{Wording.inside(left.first["label"])}."]
      end
    end
  end
end
