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
        {apart: measure.apart?, comparison: measure.comparison.to_h, inspection: measure.inspection.looks.map(&:to_h),
         next: measure.inspection.open.first&.row&.fetch("id"), **(measure.apart? ? gauged : {}),
         never: Circuit::Advice.never("measure"),
         fresh: measure.fresh_parts, by_eye: measure.by_eye?, sheet: measure.job.sheet.to_h}.compact
      end

      private

      def gauged
        left = @measure.gauging.missing
        {
          limits: @measure.limits.to_h,
          gauges: Tables.rows("gauges").map { |row| row.slice("id", "label") },
          places: @measure.gauging.wanted.map { |row| place(row) },
          judgements: @measure.judgements.map(&:to_h),
          taper_mm: @measure.gauging.taper_mm,
          unproven: @measure.cylinder.unproven,
          next_place: left.first&.fetch("id"),
          verdict: verdict
        }
      end

      def verdict
        next_route = @measure.next_route
        parts = @measure.verdict.parts.map { |id| {id: id, label: part_label(id)} }
        {
          **@measure.verdict.to_h,
          parts: parts,
          next_route: next_route && {id: next_route.id, label: next_route.label}
        }.compact
      end

      def part_label(id)
        @measure.job.strip.work.part(id)&.label || Wording.spelled(id)
      end

      # @return [Hash] a place with the gauge that is held there
      def place(row)
        reading = @measure.readings[row["id"]]
        {
          id: row["id"],
          label: row["label"],
          part: row["part"],
          held: row["gauge"],
          value_mm: reading&.value_mm,
          gauge: reading&.gauge&.fetch("id"),
          entry: reading&.entry
        }.compact
      end
    end
  end
end
