# frozen_string_literal: true

module Sandbag
  module Close
    # Whether an entry may join what is closed as it stands.
    class Admission
      # @param close [Stage] before the entry
      def initialize(close)
        @close = close
        freeze
      end

      # Refuses to confirm what is computed or not touched, any waiver, a second hold and a resume without one, a cure
      # before the work is done, a leak watch of a circuit without fluid, a wet place that is none, a function test
      # before the lever is proven, a day that is none or past, and a signature over an open gate or by the person who
      # checked it as the second.
      def admit(entry)
        case entry.kind
        when "gate" then admit_gate(entry.data)
        when "waived" then refuse_waiver
        when "held" then admit_held(entry.data["name"])
        when "resumed" then refuse_not_held
        when "cured" then admit_cure(entry.data["flag"])
        when "leak" then admit_leak(entry.data)
        when "recheck" then admit_recheck(entry)
        when "worn", "disc" then admit_brake_end(entry.data["part"])
        when "session" then admit_session
        when "level" then admit_level
        when "signed" then admit_signature(entry.data["name"])
        end
      end

      private

      def admit_cure(id)
        unless @close.cures.any? { |flag| flag.id == id }
          raise Refusal.at("data/flag", "#{id} is not up, or lets nothing go on", @close.cures.map(&:id).join(", "))
        end
        open = @close.job.stages.values.find { |stage| stage.id != @close.id && !stage.done? }
        raise Refusal.at("data/flag", "not yet: #{open.waits_for}", "the work of this job first") if open
      end

      def admit_gate(data)
        gate = find(data["gate"])
        if gate.computed?
          raise Refusal.at("data/gate", "#{gate.label} is worked out, not confirmed", "a confirmed gate")
        end
        if gate.row["by_name"] && data["met"] && data["name"].nil?
          raise Refusal.at("data/name", "#{gate.label}: somebody says so by name", Wording.inside(gate.row["by_name"]))
        end
        @close.job.people.refuse("data/name", data["name"], gate.row["power"]) if gate.row["by_name"] && data["met"]
        return unless data["gate"] == Stage::LAST && data["met"]
        refuse_open(@close.open_gates.reject { |each| each.id == Stage::LAST }, "no function test yet")
      end

      # Jobs on record have it.
      def refuse_waiver
        raise Refusal.at("kind", "no gate is waived", "the gate met, or the job put on hold, not released")
      end

      def admit_held(name)
        refuse_held_twice
        @close.job.people.refuse("data/name", name)
      end

      def refuse_held_twice
        raise Refusal.at("kind", "this job is on hold", "the job resumed first") if @close.held
      end

      def refuse_not_held
        raise Refusal.at("kind", "this job is not on hold", "a job that is on hold") unless @close.held
      end

      def find(id)
        @close.gate_called(id) ||
          raise(Refusal.at("data/gate", "this job has no gate “#{id}”", @close.gates.map(&:id).join(", ")))
      end

      def admit_signature(name)
        @close.job.people.refuse("data/name", name, "signs")
        refuse_open(@close.open_gates, "cannot be signed")
        second = @close.second
        return unless second && Person.same?(second, name)
        raise Refusal.at("data/name", "#{name} checked as the second person too",
          "two people: one signs, another checks")
      end

      def admit_leak(data)
        why = @close.job.ledger.unreadable
        raise Refusal.at("kind", "no joint can be watched under pressure: #{why}", "the bleed first") if why
        return unless data["place"]
        known = (data["value"] == "wet") ? @close.leak_watch.watched.map(&:id) : []
        return if known.include?(data["place"])
        raise Refusal.at("data/place", "“#{data["place"]}” is not where it is wet",
          known.empty? ? "no place" : known.join(", "))
      end

      def admit_recheck(entry)
        typed = entry.data["on"]
        today = Day.on(entry.at)
        day = Day.read(typed, after: today)
        raise Refusal.at("data/on", "“#{typed}” is no day", Day::ACCEPTED) unless day
        return if day.between?(today, today >> Rechecks::FAR_MONTHS)
        raise Refusal.at("data/on", "#{Day.said(day)} is past, or too far off to be a re-check",
          "a day from #{Day.said(today)} to #{Day.said(today >> Rechecks::FAR_MONTHS)}")
      end

      def admit_brake_end(id)
        ends = @close.job.sheet.far_ends.map { |part| part["id"] }
        return if !@close.job.sheet.clutch? && ends.include?(id)
        raise Refusal.at("data/part", "“#{id}” has no pads and no disc here",
          @close.job.sheet.clutch? ? "a brake" : ends.join(", "))
      end

      def admit_session
        return if @close.sessions.kept?
        raise Refusal.at("kind", "no sessions are kept of this machine",
          "a brake that is driven on a track or used hard")
      end

      def admit_level
        return if @close.level.measured?
        raise Refusal.at("kind", "this reservoir has no level to read off: #{@close.level.to_h[:says]}",
          "the gate confirmed")
      end

      def refuse_open(open, what)
        return if open.empty?
        raise Refusal.new(open.map do |gate|
          Refusal::Problem.new(pointer: "gates/#{gate.id}",
            message: "#{what}: still open: #{Wording.inside(gate.label)}", accepted: gate.detail)
        end)
      end
    end
  end
end
