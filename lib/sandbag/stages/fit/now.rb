# frozen_string_literal: true

module Sandbag
  module Fit
    # The next step with its facings, then what is measured and looked at, in the order of the page.
    class Now < Job::Now
      LOOKED = {"good" => "Good", "bad" => "Not right"}.freeze
      NONE = {"none" => "There is none"}.freeze

      private

      def cards
        return [here("clash", Wording.sentence(@stage.clash_said))] if @stage.clash_said
        order = sequence
        return order if order.any?
        return [here("count", Wording.sentence(@stage.tray_due), room: "tray")] if @stage.tray_due
        [*hoses, *washers, *torques, *free_play, *looks, *tilt, *electrics, *later]
      end

      def sequence
        at = @stage.step or return []
        act = act_of(at)
        return facings_or(act, @stage.put_back, at.strip) if faced_wrong?(at)
        ahead = @stage.sequence.of(@stage.phase).reject { |each| @stage.sequence.done?(each) }
        in_one_go(act, together(ahead).take_while { |each| !faced_wrong?(each) }) do |each|
          [each.label, each.does, entry("step", step: each.id)]
        end
      end

      # One of its parts is not known to face the right way yet.
      def faced_wrong?(step)
        !step.strip.nil? && @stage.put_back.wrong([step.strip]).any?
      end

      def act_of(at)
        all = @stage.sequence.of(@stage.phase)
        step("step.#{at.id}", at.label, entry("step", step: at.id), detail: at.does,
          figure: "#{all.count { |each| @stage.sequence.done?(each) } + 1} of #{all.size}")
      end

      def hoses
        @stage.hoses.laid.select { |laid| laid.due.any? }.map do |laid|
          here("hose.#{laid.line["id"]}", Wording.sentence(laid.due.first), room: "hoses")
        end
      end

      def washers
        @stage.washers.stacks.reject(&:done?).map do |stack|
          count = stack.wanted
          step("washers.#{stack.at}", "Washers: #{stack.label}",
            entry("washers", joint: stack.at, old: count, new: count), label: "#{count} old off, #{count} new on",
            detail: "Count them. Another count is typed on the page.")
        end
      end

      def torques
        wanted = @stage.torques.lines.reject(&:done?)
        wanted = wanted.select { |line| line.when == @stage.phase } if @stage.bleeds?
        wanted.chunk_while { |one, other| alike?(one, other) }.flat_map { |same| tighten(same) }
      end

      # The same fastener at several places, one after the other with the wrench as it is set: one reading for all.
      def tighten(lines)
        cards = lines.map { |line| torque(line) }
        return cards unless lines.size > 1
        first, *others = cards
        together = {id: "torque.all.#{lines.first.fastener["id"]}",
                    title: "Tighten all #{lines.size}, one after the other", detail: lines.map(&:label).join("; "),
                    field: {**first[:field], also: others.map { |card| card[:field][:entry] }}}
        [{**first, **together}, *cards]
      end

      def alike?(one, other)
        one.fastener == other.fastener && one.range&.aim == other.range&.aim &&
          [one, other].all? { |line| line.range && !line.asks && !line.reading && !wrong_wrench?(line) }
      end

      def torque(line)
        return fact(line) if line.asks
        id = "torque.#{line.id}"
        unless line.range
          return reading("figure.#{line.id}", "#{line.label}: the service figure", entry("figure", fastener: line.id),
            name: "from", unit: "N·m", detail: "From the machine's service information. There is no default.")
        end
        aim = Said.figure(line.range.aim, :torque, "g")
        return snug(line, id, aim) if line.by_driver && wrong_wrench?(line)
        if wrong_wrench?(line)
          return here(id, "Say which wrench is in your hand", detail: "For #{aim}: #{line.label}", room: "torque")
        end
        reading(id, "Tighten: #{line.label}", entry("torque", fastener: line.id), name: "value", unit: "N·m",
          figure: aim, caution: (Wording.sentence(line.due) if line.reading))
      end

      # No wrench in hand reads so little.
      def snug(line, id, aim)
        step(id, "Tighten: #{line.label}", entry("snug", fastener: line.id), label: "Snug, by hand",
          detail: Wording.sentence(line.by_driver), figure: aim)
      end

      # None is in hand, or it does not read this figure.
      def wrong_wrench?(line)
        wrench = @stage.torques.wrench
        wrench.nil? || !line.unfit_with(wrench).nil?
      end

      def fact(line)
        part, field = @stage.torques.asked_at(line)
        choices = Circuit::Field.all.find { |each| [each.part, each.name] == [part["part"], field] }&.choices
        return here("torque.#{line.id}", Wording.sentence(line.due), room: "torque") unless choices
        question("fact.#{line.id}", Wording.sentence(line.due), (choices - [UNKNOWN]).map { |value|
          [Wording.sentence(Wording.spelled(value)), entry("fact", part: part["id"], field: field, value: value)]
        })
      end
      UNKNOWN = "unknown"

      def free_play
        due = @stage.free_play.due(@stage.phase).first or return []
        read = (Wording.sentence(due) if @stage.free_play.newest)
        [reading("free_play", "Measure the free play at the tip", entry("free_play", at: "tip"), name: "value",
          unit: "mm", detail: @stage.free_play.range_said, caution: read)]
      end

      def looks
        checks = @stage.bleeds? ? @stage.checks.of_phase(@stage.phase) : @stage.checks.all
        by_place(checks.reject(&:pass).map { |check|
          [check.row["place"], look_at(check), (good(check) if check.together?)]
        })
      end

      def good(check)
        [check.row["label"], check.row["how"], entry("check", check: check.row["id"], value: "good")]
      end

      def look_at(check)
        row = check.row
        id = "check.#{row["id"]}"
        if check.gap?
          return reading(id, row["label"], entry("gap", check: row["id"]), name: "value", unit: "mm",
            detail: "#{row["how"]} At least #{Said.mm(check.from_mm, 0)}.")
        end
        answers = row["may_lack"] ? LOOKED.merge(NONE) : LOOKED
        question(id, row["label"], each_answer(answers, "check", check: row["id"]), detail: row["how"])
      end

      def tilt
        due = @stage.reservoir.due(@stage.phase)
        return [] if due.empty?
        return [here("tilt", Wording.sentence(due.first), room: "reservoir")] if @stage.reservoir.tilt_deg
        [reading("tilt", "Measure how far the reservoir leans", entry("tilt"), name: "angle", unit: "°")]
      end

      def electrics
        room = @stage.electrics
        return [] if room.due(@stage.phase).empty?
        open = contacts(room)
        (open.empty? && room.lamp_due?(@stage.phase)) ? [lamp] : open
      end

      def contacts(room)
        [(switch("rest", "Switch at rest") unless room.good?("rest")),
          (switch("pulled", "Switch #{@job.sheet.kind.control["pressed"]}") unless room.good?("pulled"))].compact
      end

      def switch(state, title)
        reading("switch.#{state}", title, entry("ohms", state: state), name: "ohms", unit: "Ω").merge(
          answers: [{label: "The meter shows no contact", entry: entry("ohms", state: state, open: true)}]
        )
      end

      def lamp
        reading("lamp", "Lever travel at which the lamp comes on", entry("lamp"), name: "travel", unit: "mm").merge(
          answers: [{label: "This machine has no lamp", entry: entry("lamp", none: true)}]
        )
      end

      # Everything before the bleed is done.
      def later
        @stage.due(@stage.phase).empty? ? [go("bleed", "Bleed it, then come back")] : []
      end
    end
  end
end
