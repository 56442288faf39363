# frozen_string_literal: true

module Sandbag
  module Close
    # What is open round the machine, in the order of the gates, and the signature.
    class Now < Job::Now
      LEAKS = {"dry" => "Dry everywhere", "wet" => "Wet"}.freeze

      private

      def cards
        return [signature] if @stage.ready?
        return [here("cures", "Confirm what this job put right")] if @stage.cures.any?
        by_place(@stage.open_gates.map { |gate| in_its_group(gate) },
          Tables.rows("gates").to_h { |row| row.values_at("id", "round") }.compact)
      end

      def in_its_group(gate)
        return [gate.row["id"], card(gate), good(gate)] if gate.with_its_like?
        [gate.row["place"], card(gate), (good(gate) if gate.together?)]
      end

      def card(gate)
        case gate.id
        when "leak" then leak(gate)
        when "batch"
          reading("batch", "Type the batch of the fluid", entry("batch"), name: "batch",
            detail: Wording.sentence(gate.why))
        when "recheck" then recheck(gate)
        else gate.computed? ? elsewhere_said(gate) : confirm(gate)
        end
      end

      def good(gate)
        [gate.label, gate.detail, met(gate)]
      end

      def met(gate)
        entry("gate", gate: gate.id, met: true)
      end

      def confirm(gate)
        caution = gate.row["caution"] && Tables.find("cautions", gate.row["caution"])["text"]
        said = {detail: gate.detail, caution: caution}
        return by_name(gate, **said) if gate.row["by_name"]
        step("gate.#{gate.id}", gate.label, met(gate), label: gate.step? ? "Done" : "It is so", **said)
      end

      # One of the shop's people, by a digit; typed where the shop has named nobody.
      def by_name(gate, **said)
        names = @job.people.able(gate.row["power"])
        title = "#{gate.label}: #{Wording.inside(gate.row["by_name"])}"
        return reading("gate.#{gate.id}", title, met(gate), name: "name", **said) if names.empty?
        question("gate.#{gate.id}", title, names.map { |name|
          [name, entry("gate", **met(gate)[:data], name: name)]
        }, **said)
      end

      def leak(gate)
        second = @stage.leak_watch.second_from
        question("leak", "Look for leaks under a hard pull", each_answer(LEAKS, "leak"), detail: gate.detail,
          caution: gate.why, until: second&.utc&.iso8601)
      end

      def recheck(gate)
        day = @stage.rechecks.proposed
        return here("recheck", gate.label, room: gate.row["place"]) unless day
        step("recheck", gate.label, entry("recheck", on: day.iso8601), label: "On #{Day.said(day)}",
          detail: gate.detail)
      end

      # Worked out from another stage's work.
      def elsewhere_said(gate)
        open = @job.stages.values.find { |stage| stage.id != @stage.id && !stage.done? }
        return go(open.id, "#{gate.label}: #{gate.why}") if open
        here("gate.#{gate.id}", "#{gate.label}: #{gate.why}", room: gate.row["place"])
      end

      def signature
        names = @job.people.able("signs").reject { |name| @stage.second && Person.same?(@stage.second, name) }
        return reading("signed", "Sign it", entry("signed"), name: "name") if names.empty?
        question("signed", "Who signs?", names.map { |name| [name, entry("signed", name: name)] })
      end
    end
  end
end
