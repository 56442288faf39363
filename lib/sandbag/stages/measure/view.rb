# frozen_string_literal: true

module Sandbag
  module Measure
    # What the Measure page shows.
    class View
      # @param measure [Stage]
      def initialize(measure)
        @measure = measure
        freeze
      end

      # @return [Hash]
      def to_h
        measure = @measure
        {apart: measure.apart?, comparison: measure.comparison.to_h,
         inner: measure.inner.lines.map(&:to_h), inspection: measure.looks.map(&:to_h),
         next: next_look, **(measure.apart? ? gauged : {}), never: Circuit::Advice.never("measure"),
         fresh: measure.fresh_parts, by_eye: measure.by_eye?, sheet: measure.job.sheet.to_h}.compact
      end

      private

      def next_look
        @measure.reports.reject(&:whole?).flat_map { |report| report.inspection.open }.first&.id
      end

      def gauged
        at_hand = @measure.at_hand
        to_gauge = @measure.reports.reject(&:whole?)
        gauging = at_hand.gaugings.find { |each| each.missing.any? } || at_hand.gaugings.last
        {
          limits: gauging.limits.to_h,
          gauges: Tables.rows("gauges").map { |row| row.slice("id", "label") },
          places: to_gauge.flat_map { |report| report.gaugings.flat_map { |each| places(each) } },
          judgements: judgements,
          taper_mm: at_hand.gaugings.filter_map(&:taper_mm).max,
          unproven: at_hand.unit.unproven,
          next_place: to_gauge.flat_map(&:gauge_missing).first&.id,
          unit: at_hand.unit.at,
          size_mm: (gauging.limits.nominal_mm if at_hand.gaugings.size > 1),
          verdict: verdict(at_hand),
          units: (@measure.reports.map { |report| unit(report) } if @measure.reports.size > 1)
        }
      end

      def judgements
        @measure.reports.flat_map do |report|
          unit = report.unit.at ? {unit: report.unit.at, unit_name: report.unit.label} : {}
          report.sized_judgements.map { |judgement, size| {**judgement.to_h, **unit, size_mm: size}.compact }
        end
      end

      def unit(report)
        {unit: report.unit.at, label: report.unit.label, whole: report.whole?, may_renew: @measure.may_renew?(report),
         settled: report.settled?, verdict: verdict(report)}.compact
      end

      def verdict(report)
        next_route = @measure.next_route
        parts = report.verdict.parts.map { |id| {id: id, label: part_label(id)} }
        {
          **report.verdict.to_h,
          parts: parts,
          next_route: next_route && {id: next_route.id, label: next_route.label}
        }.compact
      end

      def part_label(id)
        @measure.job.strip.work.part(id)&.label || Wording.spelled(id)
      end

      # @return [Array<Hash>] places with the gauge that is held there
      def places(gauging)
        gauging.wanted.map do |place|
          reading = gauging.reading(place)
          {
            id: place.id,
            label: place.label,
            part: place.row["part"],
            held: place.row["gauge"],
            value_mm: reading&.value_mm,
            gauge: reading&.gauge&.fetch("id"),
            entry: reading&.entry
          }.compact
        end
      end
    end
  end
end
