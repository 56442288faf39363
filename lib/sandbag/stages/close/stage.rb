# frozen_string_literal: true

module Sandbag
  module Close
    # Release gates, what is done at the end, and the signature.
    class Stage < Job::Stage
      # Everything else must stand first: nothing is wheeled or ridden on an unproven lever.
      LAST = "function"
      # Somebody else has checked.
      SECOND = "second"

      # @return [Array<Gate>] every gate and step that this kind of circuit has, in the order of the table
      def gates
        @gates ||= gates_in(Tables.rows("gates")).freeze
      end

      # @param id [String]
      # @return [Gate, nil] worked out alone: what one gate takes
      def gate_called(id)
        rows = Tables.rows("gates").select { |row| id == row["id"] || (row["each"] && id.start_with?("#{row["id"]}.")) }
        gates_in(rows).find { |gate| gate.id == id }
      end

      # @return [String, nil] the second person, who checked and does not sign
      def second
        gate_called(SECOND)&.name
      end

      # @return [Job::Entry, nil]
      def signature
        entries.last("signed")
      end

      def signed?
        !signature.nil?
      end

      def done?
        signed?
      end

      def ready?
        open_gates.empty?
      end

      # @return [Array<Gate>] those that keep the machine here, in order
      def open_gates
        gates.reject(&:met)
      end

      def waits_for
        return if signed?
        open = open_gates.first
        open ? Wording.inside(open.label) : "a signature"
      end

      # @return [Array<Ask::Flags::Flag>] what this job was to cure and nobody has confirmed
      def cures
        job.ask.flags.standing
      end

      # @return [Job::Entry, nil] that put the job on hold, not released; nil once it was resumed
      def held
        entry = entries.last("held", "resumed")
        entry if entry&.kind == "held"
      end

      # @return [LeakWatch]
      def leak_watch
        @leak_watch ||= LeakWatch.new(job)
      end

      # @return [Hash, nil] label and until, while the second leak watch is not due yet
      def wait
        from = leak_watch.second_from unless signed?
        from && {label: Tables.find("waits", "leak_watch")["label"], until: from.utc.iso8601}
      end

      # @return [Level]
      def level
        @level ||= Level.new(job.sheet, job.feel.circuit,
          worn: worn, below_mm: fresh.said("level")&.fetch("below"))
      end

      # @return [Hash{String => Float}] caliper => mm that each of its pads is worn, as measured in this job
      def worn
        entries.by("worn", "part").transform_values { |data| data["depth"] }
      end

      # @return [Sessions] since fluid last moved
      def sessions
        @sessions ||= Sessions.new(job, fresh)
      end

      # @return [Discs]
      def discs
        @discs ||= Discs.new(job.sheet, measured_discs)
      end

      # @return [Hash{String => Hash}] caliper => figure of its disc => mm, as measured in this job
      def measured_discs
        entries.of("disc").each_with_object({}) do |entry, measured|
          part, figure, value = entry.data.values_at("part", "figure", "value")
          (measured[part] ||= {})[figure] = value
        end
      end

      # @return [String, nil] batch of the fluid: as typed, or that the bottle off the shelf has it
      def batch
        typed = entries.said("batch")&.fetch("batch")
        typed || ("from the bottle off the shelf" if fluid_pulled?)
      end

      # @return [Hash] see FluidBalance; nil where no fluid moved
      def fluid_balance
        FluidBalance.new(job.choose, job.bleed).to_h if job.stages.key?("bleed")
      end

      # @return [Date, nil] the day of the first re-check
      def recheck_on
        entry = entries.last("recheck")
        entry && Day.read(entry.data["on"], after: Day.on(entry.at))
      end

      # @return [Rechecks] what is looked at again, and when
      def rechecks
        Rechecks.new(job, first: recheck_on)
      end

      private

      def scope
        @scope ||= Scope.new(job)
      end

      # What was looked at since fluid last moved.
      def fresh
        @fresh ||= entries.after(job.bleed.last_disturbed)
      end

      def fluid_pulled?
        job.choose.pulled.any? { |entry| entry.data["line"] == "fluid" && entry.data["item"] }
      end

      # @param rows [Array<Hash>] of gates.yml
      # @return [Array<Gate>] those that this job has
      def gates_in(rows)
        rows.select { |row| scope.here?(row) }.flat_map { |row| gates_of(row) }
      end

      # @return [Array<Gate>] one, or one for each nipple
      def gates_of(row)
        return [gate(row, row["id"], row["label"])] unless row["each"]
        job.choose.places.of_kind("nipple").map do |nipple|
          gate(row, "#{row["id"]}.#{nipple.at}", row["label"].sub("{name}", nipple.label))
        end
      end

      def gate(row, id, label)
        state, why, known = judged(row, id)
        Gate.new(row: row, id: id, label: job.sheet.kind.fill(label), detail: detail(row), state: state, why: why,
          known: known || false,
          name: confirmations.dig(id, "name"), denied: confirmations.dig(id, "met") == false).freeze
      end

      # What Strip wrote down as moved aside is named where accessories go back.
      def detail(row)
        said = job.sheet.kind.fill(row["detail"])
        (row["aside"] && job.strip.aside.any?) ? "#{said} Taken off: #{job.strip.aside.join("; ")}." : said
      end

      # @return [Array(Symbol, String, Boolean)] state, why it is open, whether another stage said so
      def judged(row, id)
        return [:not_touched, nil] if !scope.touched?(row) && proofs.known(row).nil?
        return standing(*proofs.computed(row)) if row["settled"] == "computed"
        known = proofs.known(row) if row["settled"] == "known"
        known ? [*standing(*known), true] : standing(confirmed?(id), nil)
      end

      def standing(met, why)
        [met ? :met : :open, why]
      end

      def proofs
        @proofs ||= Proofs.new(self, scope)
      end

      # A confirmation made before the last stroke no longer holds.
      def confirmed?(id)
        confirmations.dig(id, "met") || false
      end

      def confirmations
        @confirmations ||= fresh.by("gate", "gate")
      end
    end
  end
end
