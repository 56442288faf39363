# frozen_string_literal: true

module Sandbag
  module Strip
    # Set-up, the order for this construction, and the tray.
    class Stage
      RECENT = 10

      attr_reader :work, :tray, :setup

      # @param entries [Array<Job::Entry>] of this stage, in force
      # @param choose [Choose::Stage] says what is taken apart
      def initialize(entries, choose)
        @entries = entries
        @work = choose.work
        @wanting = choose.wanting
        @setup = Setup.new(of("setup").to_h { |entry| [entry.data["item"], entry.data] }, choose.sheet)
        @skipped = of("skipped").to_h { |entry| entry.data.values_at("step", "reason") }
        @taken = of("step").map { |entry| entry.data["step"] }
        @counts = of("counted").to_h { |entry| [entry.data["part"], entry.data["count"].round] }
        @tray = Tray.new(done_steps, @counts)
        freeze
      end

      # @return [Step, nil] the next one
      def step
        work.steps.find { |each| !passed?(each) }
      end

      # @return [Array<Step>] taken, in the order of the construction
      def done_steps
        work.steps.select { |each| @taken.include?(each.id) }
      end

      # @return [Array<String>] what is open to the air now
      def open
        done_steps.filter_map(&:cover)
      end

      # The reservoir is empty or the cylinder open: nobody presses the lever.
      def lever_locked?
        @taken.any?
      end

      # The tray holds it.
      def out?(part_id)
        tray.out(part_id).positive?
      end

      # The last rung of the ladder was reached: the piston does not come.
      def given_up?
        of("tried").any? { |entry| entry.data["method"] == Knowledge.table("stuck_ladder").last["id"] }
      end

      def done?
        setup.missing.empty? && step.nil?
      end

      # Nothing is opened before bench and machine are ready.
      def ready?
        @wanting.empty? && setup.missing.empty?
      end

      def waits_for
        return if done?
        return "on the bench: #{@wanting.first.label.downcase}" if @wanting.any?
        return "set-up: #{setup.missing.first["label"].downcase}" if setup.missing.any?
        next_said = step.label.downcase
        open.empty? ? next_said : "#{next_said}; open to the air: #{open.join(", ")}. Cover it"
      end

      def unresolved
        "The piston does not come: the cylinder is renewed." if given_up?
      end

      # Refuses a step out of its order, before the set-up, or before kit, fluid and tools lie on the bench, and a count no such
      # part has.
      def admit(entry)
        data = entry.data
        case entry.kind
        when "setup" then setup.admit(data)
        when "step", "skipped" then admit_step(data["step"])
        when "counted" then admit_count(data)
        end
      end

      def to_h
        {setup: setup.to_h, ready: ready?, steps: work.steps.map { |each| step_view(each) }, current: step&.id,
         tray: tray.cells.map { |cell| {number: cell.number, part: cell.part.id, label: cell.part.label, out: cell.out, expected: cell.part.quantity, renewed: cell.part.renewed?} },
         pieces: tray.pieces, open: open, lever_locked: lever_locked?, ladder: ladder, never: Knowledge.table("never_advised").select { |row| row["at"].include?("stuck") }.map { |row| row["text"] },
         construction: work.construction&.label, section: Section.new(work, done_steps).to_h, recent: @entries.last(RECENT).map { |entry| {id: entry.id, kind: entry.kind} }}.compact
      end

      private

      def of(kind)
        @entries.select { |entry| entry.kind == kind }
      end

      def passed?(each)
        @taken.include?(each.id) || @skipped.key?(each.id)
      end

      def status(each)
        return "skipped" if @skipped.key?(each.id)
        return "done" if @taken.include?(each.id)
        (each == step) ? "current" : "ahead"
      end

      def step_view(each)
        parts = each.takes.map { |part| {id: part.id, label: part.label, count: @counts.fetch(part.id, part.quantity), least: part.least, most: part.most, renewed: part.renewed?, feature: part.feature}.compact }
        {**each.to_h, takes: parts, status: status(each), reason: @skipped[each.id]}.compact
      end

      def ladder
        tried = of("tried").to_h { |entry| entry.data.values_at("method", "freed") }
        Knowledge.table("stuck_ladder").map do |row|
          {id: row["id"], label: row["label"], does: row["does"], limit: row["limit"], tried: tried.key?(row["id"]), freed: tried[row["id"]] || false,
           caution: row["caution"] && Knowledge.find("cautions", row["caution"])["text"]}.compact
        end
      end

      def admit_step(id)
        refuse_unready
        found = work.steps.find { |each| each.id == id }
        raise Refusal.at("data/step", "“#{id}” is no step of this strip", work.steps.map(&:id).join(", ")) unless found
        raise Refusal.at("data/step", "#{found.label.downcase} is done", step&.id || "nothing: all of it is out") if passed?(found)
        raise Refusal.at("data/step", "#{found.label.downcase} comes after #{step.label.downcase}", "#{step.id}, or skip it with a reason") unless found == step
      end

      def refuse_unready
        return if ready?
        raise Refusal.at("data/step", "not on the bench: #{@wanting.map { |line| line.label.downcase }.join(", ")}", "the pull list under Choose first") if @wanting.any?
        raise Refusal.at("data/step", "not yet: #{setup.missing.map { |row| row["label"].downcase }.join(", ")}", "the set-up first")
      end

      def admit_count(data)
        part = work.part(data["part"])
        raise Refusal.at("data/part", "“#{data["part"]}” does not come out here", work.parts.map(&:id).join(", ")) unless part
        return if data["count"].round.between?(0, MOST) && data["count"] == data["count"].round
        raise Refusal.at("data/count", "#{part.label}: #{data["count"]} cannot be", "a whole number up to #{MOST}")
      end

      # More of one part than any cylinder has.
      MOST = 20
    end
  end
end
