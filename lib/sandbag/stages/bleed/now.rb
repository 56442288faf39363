# frozen_string_literal: true

module Sandbag
  module Bleed
    # What is looked at first, then stroke by stroke, the reservoir, the colour, the next point, and the last looks.
    class Now < Job::Now
      private

      def cards
        return [here("order", Wording.sentence(@stage.order_due))] if @stage.order_due
        return [way_to_bleed] if @stage.proposed
        asked = @stage.checks.start.reject(&:good?)
        return before_fluid(asked) if asked.any?
        return [here("tight", Wording.sentence(@stage.checks.before_fluid))] if @stage.checks.before_fluid
        return finish if count.finished? && !@stage.aided_last?
        return [to_finish] if @stage.aided_last? && count.finished?
        moving
      end

      def count = @stage.count

      # The proposed one first, then the one that is usual elsewhere; the others are in the list with their verdicts.
      def way_to_bleed
        choices = [@stage.proposed, @stage.method_row].uniq.to_h { |row| row.values_at("id", "label") }
        question("method", "How is it bled?", each_answer(choices, "method", name: :method),
          detail: "#{@stage.proposed["label"]} is proposed. The others are listed below, each with its verdict.")
      end

      # All of them by one answer, the best of each; what is answered in another way is a card of its own.
      def before_fluid(asked)
        in_one_round("start", "Before fluid moves",
          asked.map { |check| [look_at(check), (best(check) unless check.answer || check.row["alone"])] }, good: "done")
      end

      DONE = "done"

      def best(check)
        value = check.row["good"].first
        [check.row["label"], ("#{check.row["answers"].fetch(value)}." unless value == DONE),
          entry("check", check: check.id, value: value)]
      end

      def look_at(check)
        row = check.row
        question("check.#{check.id}", row["label"], each_answer(row["answers"], "check", check: check.id),
          caution: (Wording.sentence(row["does"]) if check.bad?))
      end

      def finish
        asked = @stage.checks.finish.reject(&:good?)
        return asked.map { |check| check.row["rises"] ? wait_for(check) : look_at(check) } if asked.any?
        [here("report", Wording.sentence(@stage.report_due || @stage.waits_for))]
      end

      # A check that is time to wait, with its clock.
      def wait_for(check)
        step("check.#{check.id}", check.row["label"], best(check).last, label: "Waited", detail: check.row["does"],
          clock_s: @stage.checks.seconds(check))
      end

      def moving
        point = count.current
        return [next_point] if point.done
        return [last_step(point) || shut_or_done(point)] if point.missing.empty?
        return [refill] if count.reservoir.spent? && count.cycle.between_goes?
        return [stroke(point), colour] if moves_no_fluid? || (count.cycle.open? && !count.cycle.runs_open?)
        return [shut_first || refill] if count.reservoir.spent?
        return [shut_first || refill, stroke(point), colour] if count.reservoir.warning == "now"
        [stroke(point), colour, shut_first || refill]
      end

      # A step between two runs, such as the snaps of the lever.
      def moves_no_fluid?
        row = count.cycle.turn_row
        count.supply.by_ml? && !row.nil? && row["records"].nil? && !count.cycle.paused
      end

      # What comes last at a point; with the last of it the point is finished, but for a method that only helps.
      def last_step(point)
        card = beat_card(count.cycle.last_step) or return
        return card if @stage.method_row["aid"] || !count.cycle.ends_point?
        {**card, title: "#{card[:title]}: #{point.label} ran clean", act: {**card[:act], following: point_done}}
      end

      def point_done = entry("point_done", point: count.current_id)

      # A cycle that was begun is ended first.
      def shut_or_done(point)
        return stroke(point) if count.cycle.open?
        return to_finish if @stage.aided_last?
        step("done", "#{point.label} ran clean", point_done, label: "Finish this point")
      end

      # What only helps does not finish a bleed.
      def to_finish
        whole = @job.choose.bleed_methods.reject { |row| row["aid"] }.to_h { |row| row.values_at("id", "label") }
        question("method", "How is it finished?", each_answer(whole, "method", name: :method),
          detail: "#{@stage.method_row["label"]} only helps: another method follows.")
      end

      def shut_first
        beat_card(Cycle::SHUT_REFILL) if count.cycle.open? && count.cycle.shut_to_refill?
      end

      # @param beat [String, nil] of bleed_beats.yml
      def beat_card(beat, **more)
        return unless beat
        row = Tables.find("bleed_beats", beat)
        step("beat.#{beat}", row["label"], entry("beat", beat: beat), label: row["label"], detail: beat_said(row),
          clock_s: row["seconds"], **more)
      end

      def beat_said(row)
        watch = "watch: #{row["watch"]}" if row["watch"]
        ends = "ends when #{row["ends"]}" if row["ends"]
        helper = "the helper does this" if row["helper"]
        [row["how"], watch, ends, helper].compact.map { |each| Wording.sentence(each) }.join(". ")
      end

      def next_point
        id, point = count.points.find { |_, each| !each.done }
        step("point.#{id}", "Go to #{Wording.inside(point.label)}", entry("point", point: id), label: "There")
      end

      REFILLED = {
        "reservoir" => "Never let the port be uncovered.", "syringe" => "Upright, tapped, no air in it."
      }.freeze

      def refill
        step("topped_up", count.supply.refill, entry("topped_up"),
          detail: REFILLED.fetch(count.supply.kind))
      end

      def stroke(point)
        row = count.cycle.turn_row
        case row&.fetch("records", nil)
        when "run" then run(point, row)
        when "topped_up" then refill
        else
          return run(point) if row.nil? && count.supply.by_ml?
          beat_card(count.cycle.turn, figure: (to_go(point) unless count.supply.by_ml?), caution: top_up_said,
            all: in_a_row(point))
        end
      end

      # [default] Strokes that a mechanic counts in his head without losing count.
      MOST_IN_A_ROW = 5

      # Strokes one after the other through an open nipple, written down together: as many as are still to go, and none
      # past the next top-up.
      def in_a_row(point)
        return unless count.cycle.stroke_after_stroke?
        number = [point.strokes_to_go, count.reservoir.strokes_to_top_up, MOST_IN_A_ROW].min
        stroke = [count.cycle.turn_row["label"], nil, entry("beat", beat: count.cycle.turn)]
        all("#{number} strokes done", [stroke] * number) if number > 1
      end

      def to_go(point)
        point.strokes_to_go.to_s if point.strokes_to_go.positive?
      end

      def run(point, row = nil)
        detail = [row && beat_said(row), point.missing.first].compact.map { |each| Wording.sentence(each) }.join(". ")
        reading("run", "#{"#{row["label"]}: " if row}mL through #{Wording.inside(point.label)}", entry("run"),
          name: "ml", unit: "mL", figure: Said.ml(point.ml_to_go), detail: detail, caution: top_up_said)
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
