# frozen_string_literal: true

module Sandbag
  module Strip
    # What the Strip page shows.
    class View
      # @param strip [Stage]
      def initialize(strip)
        @strip = strip
        freeze
      end

      # @return [Hash]
      def to_h
        strip = @strip
        {
          setup: strip.setup.to_h,
          aside: strip.entries.of("aside").map { |entry| {entry: entry.id, what: entry.data["what"]} },
          ready: strip.ready?,
          wanting: strip.job.choose.wanting.map(&:label),
          steps: strip.work.steps.map { |step| step_view(step) },
          current: strip.step&.id,
          tray: strip.tray.cells.map { |cell| cell_view(cell) },
          pieces: strip.tray.pieces,
          open: strip.open,
          lever_locked: strip.lever_locked?,
          ladder: ladder,
          never: Circuit::Advice.never("stuck"),
          construction: constructions,
          unit: strip.unit&.at,
          section: Cylinder::Section.new(strip.work, strip.unit, strip.done_steps).to_h
        }.compact
      end

      private

      # @return [String, nil] of every unit
      def constructions
        said = @strip.work.units.map do |unit|
          unit.at ? "#{unit.label}: #{Wording.inside(unit.construction.label)}" : unit.construction.label
        end
        said.join("; ") if said.any?
      end

      def step_view(step)
        parts =
          step.takes.map do |part|
            {
              id: part.id,
              label: part.label,
              count: @strip.counts.fetch(part.id, part.quantity),
              least: part.least,
              most: part.most,
              renewed: part.renewed?,
              feature: part.feature
            }.compact
          end
        {**step.to_h, takes: parts, status: @strip.status(step), reason: @strip.skipped[step.id]}.compact
      end

      def cell_view(cell)
        {
          number: cell.number,
          part: cell.part.id,
          label: cell.part.label,
          out: cell.out,
          expected: cell.part.quantity,
          renewed: cell.part.renewed?
        }
      end

      def ladder
        tried = @strip.tried
        Tables
          .rows("stuck_ladder")
          .map do |row|
            {
              id: row["id"],
              label: row["label"],
              does: row["does"],
              limit: row["limit"],
              tried: tried.key?(row["id"]),
              freed: tried[row["id"]] || false,
              caution: row["caution"] && Tables.find("cautions", row["caution"])["text"]
            }.compact
          end
      end
    end
  end
end
