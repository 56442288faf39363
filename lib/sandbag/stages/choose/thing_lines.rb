# frozen_string_literal: true

require "date"

module Sandbag
  module Choose
    # Lines of the pull list that are neither kit, unit, hose, seal of a joint nor tool: parts by job_parts.yml, parts
    # that are renewed whenever they come out and that no kit holds, and the rows of bench_things.yml.
    class ThingLines
      # @param sheet [Circuit::Sheet]; route [Job::Route]; work [Cylinder::Work]; scope [Scope]
      # @param joints [Array<Circuit::Place>] those the job opens; on [Date] the day the job began
      def initialize(sheet, route, work, scope, joints:, on:)
        @sheet = sheet
        @route = route
        @work = work
        @scope = scope
        @joints = joints
        @on = on
        freeze
      end

      # @return [Array<PullList::Line>]
      def parts
        always_new + @scope.wanted(Tables.rows("job_parts")).map { |row| part_of(row) }
      end

      # @param group [String] consumables or protection
      # @return [Array<PullList::Line>]
      def of(group)
        @scope.wanted(Tables.rows("bench_things")).select { |row| row["group"] == group }.map do |row|
          PullList::Line.new(id: row["id"], group: group, label: row["label"], detail: detail_of(row, nil), count: 1)
        end
      end

      private

      def part_of(row)
        due = row["renewal"] && Renewal.new(@sheet, row["renewal"], @on)
        PullList::Line.new(
          id: row["id"],
          group: "parts",
          label: row["label"],
          detail: detail_of(row, due),
          count: counted(row),
          kind: "part",
          thing: row["id"],
          needed: needed?(row, due),
          to_start: true
        )
      end

      def needed?(row, due)
        row.fetch("needed", false) || (due&.due? || @route.renews.intersect?(row["must_for"] || []))
      end

      def detail_of(row, due)
        said = [row["detail"], *(hose_ends if row["per"] == "banjo"), due&.said].compact
        Wording.sentence(said.join("; ")) if said.any?
      end

      def counted(row)
        case row["per"]
        when "far_end" then @sheet.far_ends.size
        when "banjo" then banjos.size
        else row.fetch("count", 1)
        end
      end

      def banjos
        @joints.select(&:banjo?)
      end

      # A bolt is as long as its hose ends are many.
      def hose_ends
        banjos.map { |joint| "#{joint.label} for #{joint.hoses} hose end#{"s" if joint.hoses > 1}" }
      end

      # What seals a joint has a line of its own, and what lies in a kit is the kit's.
      SEALS = %w[crush_washer olive hose_insert].freeze

      def always_new
        parts = @work.steps.flat_map { |step| step.takes.map { |part| [part, step.unit] } }
        parts.select { |part, unit| new_outside_kit?(part, unit) }.map do |part, unit|
          PullList::Line.new(id: "part.#{part.id}", group: "parts",
            label: unit.tagged(Tables.find("kit_items", part.plain)["label"]),
            detail: "New whenever the old one comes out", count: part.quantity, kind: "part", thing: part.plain,
            needed: true, to_start: true)
        end
      end

      def new_outside_kit?(part, unit)
        part.once == "new" && part.quantity.positive? && !SEALS.include?(part.plain) &&
          Tables.find("kit_items", part.plain) && !(unit.apart && unit.construction.part(part.plain))
      end
    end
  end
end
