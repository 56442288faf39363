# frozen_string_literal: true

module Sandbag
  module Measure
    # New against old; then the nominal size, the looks, the gauge, the verdict, and what the kit brings beside what
    # came out.
    class Now < Job::Now
      COMPARED = {"same" => "The same", "differs" => "It differs"}.freeze

      private

      def cards
        return compare if @stage.comparison.open.any?
        report = @stage.at_hand
        return [go("strip", "Take it apart first")] unless @job.strip.done?
        return [nominal(report)] if report.unit.unproven && !@stage.by_eye?
        open = @stage.reports.reject(&:whole?).flat_map { |each| each.inspection.open }
        return looks(open) if open.any?
        gauges = @stage.reports.reject(&:whole?).flat_map(&:gauge_missing)
        return gauges.map { |place| gauge(place) } if gauges.any?
        return inner if @stage.reports.all?(&:settled?)
        [here("verdict", Wording.sentence(@stage.waits_for))]
      end

      def inner
        in_one_round("inner", "New against old",
          @stage.inner.open.map { |line| [beside_old(line), (same(line) if line.plain?)] }, good: "the same")
      end

      def same(line)
        [line.label, line.compare, entry("inner", row: line.id, value: "same")]
      end

      def beside_old(line)
        answers = {"same" => "The same", "kept" => line.row["kept"]}.compact
        question("inner.#{line.id}", "New against old: #{line.label}",
          each_answer(answers, "inner", row: line.id), detail: line.compare)
      end

      def nominal(report)
        here("nominal", "Settle the nominal size", detail: Wording.sentence(report.unit.unproven), room: "gauge")
      end

      def compare
        @stage.comparison.open.map do |row|
          answers = {**COMPARED, "none" => row["without"]}.compact
          question("compare.#{row["id"]}", "New against old: #{row["label"]}",
            each_answer(answers, "compared", row: row["id"]), detail: row["compare"])
        end
      end

      # Each look at what seals, slides or tells the cause by itself; the others of one kind together.
      def looks(open)
        in_rounds(open.map { |look| [look.row["together"], look_at(look), (good(look) if look.together?)] },
          Tables.rows("looks_together").to_h { |row| row.values_at("id", "label") })
      end

      def good(look)
        value, row = look.row["values"].first
        [look.label, "#{look.row["how"]} Good: #{Wording.inside(row["label"])}.",
          entry("finding", check: look.id, value: value)]
      end

      def look_at(look)
        shown = look.to_h
        question("look.#{look.id}", look.label, each_answer(shown[:values], "finding", check: look.id),
          detail: shown[:how], caution: shown[:does])
      end

      def gauge(place)
        held = Tables.rows("gauges").find { |row| row["id"] == place.row["gauge"] } || Tables.rows("gauges").first
        reading("gauge.#{place.id}", place.label, entry("gauge", place: place.id, gauge: held["id"]), name: "value",
          unit: "mm", detail: "With #{Wording.inside(held["label"])}; another gauge is picked on the page.")
      end
    end
  end
end
