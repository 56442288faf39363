# frozen_string_literal: true

module Sandbag
  module Fit
    # What the Fit page shows.
    class View
      # @param fit [Stage]
      def initialize(fit)
        @fit = fit
        freeze
      end

      # @return [Hash]
      def to_h
        {
          **sequence,
          **Parts.new(@fit).to_h,
          torques: @fit.torques.lines.map { |line| torque(line) },
          places: @fit.job.choose.places.map(&:to_h),
          at: @fit.job.ask.where.at.map(&:id),
          others: @fit.torques.others.map { |line| {id: line.id, label: line.label} },
          wrench: @fit.torques.wrench,
          washers: @fit.washers.stacks.map { |stack| washers(stack) },
          hoses: @fit.hoses.laid.map { |laid| hose(laid) },
          free_play: free_play,
          walk: Job::Walk.of(@fit.checks.all.map { |check| check.row["place"] }),
          checks: @fit.checks.all.map { |check| check(check) },
          reservoir: (reservoir if @fit.reservoir.wanted?),
          electrics: (electrics if @fit.electrics.wanted?),
          still_to_do: StillToDo.new(@fit).to_a,
          ready: @fit.enough?
        }.compact
      end

      private

      def sequence
        sequence = @fit.sequence
        now = @fit.step
        {
          phase: @fit.phase,
          bleeds: @fit.bleeds?,
          sheet: @fit.scope.sheet.to_h,
          unready: @fit.unready,
          steps: sequence.steps.map { |step| step_view(step, now) },
          current: now&.id,
          clash: @fit.clash&.slice("id", "label", "wants"),
          clashes: (sequence.trying? ? Tables.rows("clashes").map { |row| row.slice("id", "label") } : [])
        }
      end

      def step_view(step, now)
        status = if @fit.sequence.done?(step)
          "done"
        else
          (step == now) ? "current" : "ahead"
        end
        {id: step.id, label: step.label, does: step.does, when: step.when, status: status, trial: step.trial?}.compact
      end

      def torque(line)
        {
          id: line.id, label: line.label, place: line.place&.id, when: line.when, asks: ask(line), range: range(line),
          note: line.row&.fetch("label"),
          set_nm: line.set_nm(@fit.torques.wrench),
          value_nm: (line.value_nm if line.reading), by: (line.reading || line.estimate || line.snug)&.by,
          tool: line.reading && (line.reading.data["instrument"] || line.wrench&.fetch("name", nil)),
          verdict: line.verdict, over: (line.row["over"] if line.verdict == "over" && line.row), turns: line.turns,
          estimated: line.estimated?, snug: line.by_driver, snugged: line.snugged?, done: line.done?, due: line.due
        }.compact
      end

      # The question, and where its answer is kept.
      def ask(line)
        return unless line.asks
        part, field = @fit.torques.asked_at(line)
        {question: TorqueLine::ASKED.fetch(line.asks), part: part["id"], field: field,
         options: field_of(part, field).choices.reject { |choice| choice == "unknown" }}
      end

      def field_of(part, field)
        Circuit::PartFields.of(part["part"], @fit.scope.sheet.kind.id).fetch(field)
      end

      def range(line)
        range = line.range
        range && {from_nm: range.from, to_nm: range.to, aim_nm: range.aim, ceiling_nm: range.ceiling,
                  source: range.source, units: Units::SHOWN["torque"].keys.map { |unit| range.said(unit) }}.compact
      end

      def washers(stack)
        {
          joint: stack.at,
          label: stack.label,
          hoses: stack.hoses,
          wanted: stack.wanted,
          kind: stack.kind,
          old: stack.old,
          new: stack.new,
          done: stack.done?,
          due: stack.due,
          warning: stack.warning
        }.compact
      end

      def hose(laid)
        run = laid.run
        {
          line: laid.line["id"], label: laid.line["label"], length_mm: run.length_mm, needs_mm: run.needs_mm,
          slack_mm: run.slack_mm, verdict: run.verdict, says: run.says, longest: run.longest,
          least_bend_mm: run.least_bend_mm, bend_mm: laid.bend, bend_fine: run.bend_fine?,
          high_spot_mm: high_spot(laid.line), due: laid.due,
          positions: @fit.hoses.positions.map { |row| position(row, laid) }
        }.compact
      end

      def position(row, laid)
        {id: row["id"], label: row["label"], may_lack: row["may_lack"] || false,
         path_mm: laid.run.paths[row["id"]], lacks: laid.lacks.include?(row["id"])}.compact
      end

      def high_spot(line)
        @fit.scope.sheet.values(line)["high_spot"].value
      end

      def free_play
        play = @fit.free_play
        return unless play.wanted?
        {
          at: play.newest&.at,
          value_mm: play.newest&.value_mm, other_mm: play.converted_mm, verdict: play.verdict,
          by_service: play.by_service, range: play.range_said, says: play.says,
          fine: play.fine? || false, due: play.due("before").first || play.due("after").first,
          before: @fit.job.strip.figures.to_a.select { |figure| figure.key?(:value) }
        }.compact
      end

      def check(check)
        row = check.row
        {
          id: row["id"],
          label: row["label"],
          place: row["place"],
          how: row["how"],
          gap: check.gap?,
          together: check.together? && !later?(check),
          from_mm: check.from_mm,
          aim_mm: row["aim"],
          value_mm: (check.value if check.gap?),
          answer: (check.value unless check.gap?),
          pass: check.pass,
          near: check.near? || false,
          may_lack: row["may_lack"] || false,
          later: (true if later?(check))
        }.compact
      end

      # Only the bled circuit shows it.
      def later?(check)
        @fit.phase == "before" && @fit.checks.of_phase("after").include?(check)
      end

      def reservoir
        room = @fit.reservoir
        geometry = room.geometry
        {tilt_deg: room.tilt_deg, limit_deg: room.limit_deg, covered: room.covered?, height_mm: room.height_mm,
         half_mm: geometry.half_mm, port_offset_mm: geometry.port_offset_mm,
         port_known: !@fit.scope.sheet.value("reservoir", "port_offset").nil?,
         shape: @fit.scope.sheet.value("reservoir", "shape"), beyond: room.beyond,
         due: room.due("before").first}.compact
      end

      def electrics
        room = @fit.electrics
        {
          rest: state(room, "rest"), pulled: state(room, "pulled"), lamp_wanted: room.lamp_wanted?,
          bite_mm: room.bite_mm, lamp_mm: room.lamp&.fetch("travel", nil), no_lamp: room.lamp&.fetch("none", nil),
          lamp_good: room.lamp_good?,
          lamp_later: (true if @fit.phase == "before" && room.lamp_phase == "after"),
          pressed: @fit.scope.sheet.kind.control["pressed"]
        }.compact
      end

      def state(room, name)
        data = room.reading(name)
        {ohms: data&.fetch("ohms", nil), open: data&.fetch("open", nil), good: room.good?(name)}.compact
      end
    end
  end
end
