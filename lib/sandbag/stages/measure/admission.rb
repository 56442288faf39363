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

      # Refuses a look that does not concern what came out, what Comparison and InnerComparison refuse, a place no gauge
      # is held to, a size far from the nominal, a part that is not in the tray, limits or a call of a unit that is not
      # apart, a call where the figures are plain, and renewing a unit that is not one of several.
      def admit(entry)
        data = entry.data
        case entry.kind
        when "finding" then admit_look(data)
        when "compared" then @measure.comparison.admit(data)
        when "inner" then admit_inner(data)
        when "inner_figure" then @measure.inner.admit_figure(data)
        when "gauge" then admit_gauge(data)
        when "renewed" then admit_renewed(data)
        when "limits" then report(data)
        when "called" then admit_called(report(data))
        when "whole" then admit_whole(report(data))
        end
      end

      private

      def admit_look(data)
        look = @measure.looks.find { |each| each.id == data["check"] }
        unless look
          raise Refusal.at("data/check", "“#{data["check"]}” is not looked at here",
            @measure.looks.map(&:id).join(", "))
        end
        return if look.row["values"].key?(data["value"])
        raise Refusal.at("data/value", "#{look.label} cannot be “#{data["value"]}”", look.row["values"].keys.join(", "))
      end

      # A piston that is renewed, because it failed or because the job is for that, is not the old one.
      def admit_inner(data)
        @measure.inner.admit(data)
        return unless data["value"] == "kept" && data["row"].start_with?("piston") && @measure.new_piston?
        raise Refusal.at("data/value", "this job puts a new piston in", "same, differs or resolved")
      end

      # @return [UnitReport] of the unit that an entry is about
      def report(data)
        found = @measure.reports.find { |each| each.unit.at == data["unit"] }
        return found if found
        known = @measure.reports.map { |each| each.unit.at }.compact
        raise Refusal.at("data/unit", "“#{data["unit"]}” is not apart here",
          known.empty? ? "no unit" : known.join(", "))
      end

      def admit_gauge(data)
        unless @measure.apart?
          raise Refusal.at("data/place", "nothing is apart to be gauged", "a job that takes the cylinder apart")
        end
        gauging = gauging_at(data["place"])
        refuse_default(gauging)
        refuse_gauge(data, gauging.wanted.find { |each| each.id == data["place"] })
        refuse_far(data["value"], gauging.limits.nominal_mm)
      end

      def gauging_at(id)
        gaugings = @measure.reports.flat_map(&:gaugings)
        found = gaugings.find { |gauging| gauging.wanted.any? { |each| each.id == id } }
        return found if found
        known = gaugings.flat_map { |gauging| gauging.wanted.map(&:id) }
        raise Refusal.at("data/place", "this #{@measure.at_hand.unit.noun} is not gauged there",
          known.empty? ? "nowhere: its looks decide" : known.join(", "))
      end

      def refuse_gauge(data, place)
        gauge = Tables.find("gauges", data["gauge"])
        return if gauge["judges"]
        what = (place.row["part"] == "bore") ? "a bore" : "a piston"
        raise Refusal.at(
          "data/gauge",
          "a #{Wording.inside(gauge["label"])} only tells the nominal size; it cannot judge #{what}",
          "bore_gauge, micrometer"
        )
      end

      # A size that is only the trade's default is no size to measure against.
      def refuse_default(gauging)
        unit = @measure.reports.find { |report| report.gaugings.include?(gauging) }.unit
        return unless unit.default_size
        raise Refusal.at("data/place", "the nominal size of this #{unit.noun} is not known: #{unit.unproven}",
          "the size on the machine's page first, as it is cast or stamped on the part")
      end

      def refuse_far(value_mm, nominal_mm)
        off = (value_mm - nominal_mm).abs
        return if off <= Stage::FAR_MM
        raise Refusal.at(
          "data/value",
          "#{Said.mm(value_mm, "g")} is #{Said.mm(off, 2)} from the nominal #{Said.mm(nominal_mm, "g")}",
          "within #{Said.mm(Stage::FAR_MM, 1)} of it; a wrong nominal is put right on the machine's page"
        )
      end

      def admit_renewed(data)
        return if @measure.job.strip.work.part(data["part"])
        raise Refusal.at("data/part", "“#{data["part"]}” did not come out here",
          @measure.job.strip.work.parts.map(&:id).join(", "))
      end

      def admit_called(report)
        return if report.judgements.any? { |judgement| judgement.verdict == "too_close" }
        raise Refusal.at(
          "data/verdict",
          "the figures are plain: nothing is too close to call",
          "a figure within the gauge's uncertainty of its limit"
        )
      end

      def admit_whole(report)
        return if @measure.may_renew?(report)
        raise Refusal.at("data/unit", "it is all that this job works on", "another repair, under Ask")
      end
    end
  end
end
