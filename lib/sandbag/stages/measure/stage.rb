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
        Cylinder::WearLimits.new(cylinder.bore_mm, entries.of("limits").reduce({}) { |all, entry| all.merge(entry.data) })
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

      # Refuses what Inspection and Comparison refuse, a place no gauge is held to, a size far from the nominal, a
      # part that is not in the tray, and a call where the figures are plain.
      def admit(entry)
        data = entry.data
        case entry.kind
        when "finding" then inspection.admit(data)
        when "compared" then comparison.admit(data)
        when "gauge" then admit_gauge(data)
        when "renewed" then admit_renewed(data)
        when "called" then admit_called
        end
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

      def admit_gauge(data)
        unless apart?
          raise Refusal.at("data/place", "nothing is apart to be gauged", "a job that takes the cylinder apart")
        end
        place = Tables.find("gauge_places", data["place"])
        known = cylinder.construction.gauge
        unless known.include?(place["id"])
          raise Refusal.at(
            "data/place",
            "this #{cylinder.noun} is not gauged there",
            known.empty? ? "nowhere: its looks decide" : known.join(", ")
          )
        end
        gauge = Tables.find("gauges", data["gauge"])
        unless gauge["judges"]
          what = (place["part"] == "bore") ? "a bore" : "a piston"
          raise Refusal.at(
            "data/gauge",
            "a #{Wording.inside(gauge["label"])} only tells the nominal size; it cannot judge #{what}",
            "bore_gauge, micrometer"
          )
        end
        off = (data["value"] - cylinder.bore_mm).abs
        return if off <= FAR_MM
        raise Refusal.at(
          "data/value",
          "#{Said.mm(data["value"], "g")} is #{Said.mm(off, 2)} from the nominal #{Said.mm(cylinder.bore_mm, "g")}",
          "within #{Said.mm(FAR_MM, 1)} of it; a wrong nominal is put right on the machine's page"
        )
      end

      def admit_renewed(data)
        return if @strip.work.part(data["part"])
        raise Refusal.at("data/part", "“#{data["part"]}” did not come out here", @strip.work.parts.map(&:id).join(", "))
      end

      def admit_called
        return if apart? && judgements.any? { |judgement| judgement.verdict == "too_close" }
        raise Refusal.at(
          "data/verdict",
          "the figures are plain: nothing is too close to call",
          "a figure within the gauge's uncertainty of its limit"
        )
      end
    end
  end
end
