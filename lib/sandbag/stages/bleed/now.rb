# frozen_string_literal: true

module Sandbag
  module Bleed
    # What is looked at first, then stroke by stroke, the reservoir, the colour, the next point, and the last looks.
    class Now < Job::Now
      private

      def cards
        return [here("order", Wording.sentence(@stage.order_due))] if @stage.order_due
        asked = @stage.checks.start.reject(&:good?)
        return asked.map { |check| look_at(check) } if asked.any?
        return [here("tight", Wording.sentence(@stage.checks.before_fluid))] if @stage.checks.before_fluid
        return finish if count.finished? && !@stage.aided_last?
        return [here("method", Wording.sentence(@stage.waits_for))] if @stage.aided_last? && count.finished?
        moving
      end

      def count = @stage.count

      def look_at(check)
        row = check.row
        question("check.#{check.id}", row["label"], each_answer(row["answers"], "check", check: check.id),
          caution: (Wording.sentence(row["does"]) if check.bad?))
      end

      def finish
        asked = @stage.checks.finish.reject(&:good?)
        return asked.map { |check| look_at(check) } if asked.any?
        [here("report", Wording.sentence(@stage.report_due || @stage.waits_for))]
      end

      def moving
        point = count.current
        return [next_point] if point.done
        return [refill] if count.reservoir.spent?
        if point.missing.empty?
          return [step("done", "#{point.label} ran clean", entry("point_done", point: count.current_id),
            label: "Finish this point")]
        end
        [stroke(point), colour, refill].compact
      end

      def next_point
        id, point = count.points.find { |_, each| !each.done }
        step("point.#{id}", "Go to #{Wording.inside(point.label)}", entry("point", point: id), label: "There")
      end

      def refill
        step("topped_up", count.supply.refill, entry("topped_up"), detail: "Never let the port be uncovered.")
      end

      def stroke(point)
        return run(point) if count.supply.by_ml?
        beat = Tables.find("bleed_beats", count.cycle.turn) if count.cycle.turn
        figure = point.strokes_to_go.positive? ? point.strokes_to_go.to_s : nil
        title = beat ? beat["label"] : "One stroke"
        step("stroke", title, beat ? entry("beat", beat: beat["id"]) : entry("stroke"), label: title,
          detail: [beat && beat["how"], point.missing.first].compact.map { |each| Wording.sentence(each) }.join(". "),
          figure: figure,
          caution: top_up_said)
      end

      def run(point)
        reading("run", "mL through #{Wording.inside(point.label)}", entry("run"), name: "ml", unit: "mL",
          figure: Said.ml(point.ml_to_go), detail: point.missing.first, caution: top_up_said)
      end

      def top_up_said
        left = count.reservoir.strokes_to_top_up
        "Top up soon: #{left} more." if !count.supply.by_ml? && left <= Airway::ReservoirCount::SOON_STROKES
      end

      def colour
        colours = Tables.rows("fluid_colours").to_h { |row| row.values_at("id", "label") }
        question("colour", "What runs through the hose?", each_answer(colours, "colour", name: :colour))
      end
    end
  end
end
