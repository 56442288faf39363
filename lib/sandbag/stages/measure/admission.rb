# frozen_string_literal: true

module Sandbag
  module Measure
    # Whether a look, a reading or a call may join what was measured.
    class Admission
      # @param measure [Stage] before the entry
      def initialize(measure)
        @measure = measure
        freeze
      end

      # Refuses what Inspection and Comparison refuse, a place no gauge is held to, a size far from the nominal, a
      # part that is not in the tray, and a call where the figures are plain.
      def admit(entry)
        data = entry.data
        case entry.kind
        when "finding" then @measure.inspection.admit(data)
        when "compared" then @measure.comparison.admit(data)
        when "gauge" then admit_gauge(data)
        when "renewed" then admit_renewed(data)
        when "called" then admit_called
        end
      end

      private

      def admit_gauge(data)
        unless @measure.apart?
          raise Refusal.at("data/place", "nothing is apart to be gauged", "a job that takes the cylinder apart")
        end
        place = Tables.find("gauge_places", data["place"])
        known = @measure.cylinder.construction.gauge
        unless known.include?(place["id"])
          raise Refusal.at(
            "data/place",
            "this #{@measure.cylinder.noun} is not gauged there",
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
        off = (data["value"] - @measure.cylinder.bore_mm).abs
        return if off <= Stage::FAR_MM
        raise Refusal.at(
          "data/value",
          "#{Said.mm(data["value"],
            "g")} is #{Said.mm(off, 2)} from the nominal #{Said.mm(@measure.cylinder.bore_mm, "g")}",
          "within #{Said.mm(Stage::FAR_MM, 1)} of it; a wrong nominal is put right on the machine's page"
        )
      end

      def admit_renewed(data)
        return if @measure.job.strip.work.part(data["part"])
        raise Refusal.at("data/part", "“#{data["part"]}” did not come out here",
          @measure.job.strip.work.parts.map(&:id).join(", "))
      end

      def admit_called
        return if @measure.apart? && @measure.judgements.any? { |judgement| judgement.verdict == "too_close" }
        raise Refusal.at(
          "data/verdict",
          "the figures are plain: nothing is too close to call",
          "a figure within the gauge's uncertainty of its limit"
        )
      end
    end
  end
end
