# frozen_string_literal: true

module Demo
  # Works the stages of a cylinder as a careful mechanic would, so that the demonstration need not spell every step out.
  class WorkedBench
    WORK = %w[
      answered laid_out set_up stripped seen gauged built checked fitted strokes clean last_look released
    ].freeze
    REASON = "on hand, looked at against the old parts"

    def self.knows?(entry)
      WORK.include?(entry.keys.first)
    end

    # @param state [#call] gives the job's state now
    # @param add [#call] takes stage, kind and data down
    def initialize(state, add)
      @state = state
      @add = add
    end

    # @param entry [Hash] one kind of work and how far or with what
    def work(entry)
      public_send(*entry.first)
    end

    # @param odd [Hash{String => String}] question => answer, where it is not the usual one
    def answered(odd)
      while (row = state.ask.intake.unanswered.first)
        @add.call(
          "ask",
          "intake",
          {"question" => row["id"], "value" => odd.fetch(row["id"]) { USUAL.fetch(row["id"]) }}
        )
      end
    end
    USUAL = {
      "at_ease" => "yes",
      "abs" => "none",
      "abs_tool" => "no",
      "linked" => "none",
      "service_info" => "yes",
      "sole_brake" => "no",
      "fluid_marked" => "dot4",
      "fluid_found" => "dot4"
    }.freeze

    def laid_out(_)
      state.choose.wanting.each { |line| @add.call("choose", "pulled", {"line" => line.id, "reason" => REASON}) }
    end

    def set_up(_)
      laid_out(true) if state.choose.fluid
      state.strip.setup.missing.each do |row|
        first = state.strip.figures.of(row["id"]).first
        next @add.call("strip", "figure", {"figure" => first["id"], "value" => 2.8}) if first
        @add.call("strip", "setup", {"item" => row["id"], "value" => row["values"]&.keys&.first}.compact)
      end
    end

    def stripped(until_step)
      while (step = state.strip.step) && step.id != until_step
        @add.call("strip", "step", {"step" => step.id})
      end
    end

    def seen(odd)
      state.measure.looks.each do |look|
        value = odd.fetch(look.id) { look.row["values"].keys.first }
        @add.call("measure", "finding", {"check" => look.id, "value" => value})
      end
    end

    def gauged(sizes)
      state.measure.reports.flat_map(&:gaugings).flat_map(&:wanted).map(&:row).each do |row|
        gauge = (row["part"] == "bore") ? "bore_gauge" : "micrometer"
        @add.call(
          "measure",
          "gauge",
          {"place" => row["id"], "value" => sizes.fetch(row["id"]) { sizes[row["part"]] }, "gauge" => gauge}
        )
      end
    end

    # The new parts laid beside the old, everything clean, the cups soaked; then piece by piece.
    def built(until_step)
      state.measure.inner.open.each { |line| @add.call("measure", "inner", {"row" => line.id, "value" => "same"}) }
      state.build.first_checks.each { |check| pass(check) }
      while (step = state.build.step) && step.id != until_step
        step
          .takes
          .select(&:feature)
          .each { |part| @add.call("build", "facing", {"part" => part.id, "faces" => part.faces}) }
        @add.call("build", "step", {"step" => step.id})
      end
    end

    def checked(_)
      state.build.checks.reject { |check| check[:pass] }.each { |check| pass(check) }
    end

    def pass(check)
      @add.call("build", "check", {"check" => check[:row]["id"], "pass" => true})
    end

    def fitted(until_step)
      while (step = state.fit.sequence.step(state.fit.phase)) && step.id != until_step
        (step.strip&.takes || [])
          .select(&:feature)
          .each { |part| @add.call("fit", "facing", {"part" => part.id, "faces" => part.faces}) }
        @add.call("fit", "step", {"step" => step.id})
      end
    end

    # The demonstration's shop holds and opens, whatever is proposed.
    def by_hold_cycle
      @add.call("bleed", "method", {"method" => "hold_cycle"}) if state.bleed.proposed
    end

    # Looked at first, and topped up whenever the reservoir asks for it.
    def strokes(count)
      by_hold_cycle
      looked(state.bleed.checks.start)
      count.times do
        @add.call("bleed", "topped_up", {}) if state.bleed.count.reservoir.spent?
        @add.call("bleed", "stroke", {})
      end
    end

    # Every point until it runs clean, and the last look.
    def clean(colour)
      state.bleed.count.points.each_key do |point|
        @add.call("bleed", "point", {"point" => point})
        by_hold_cycle
        looked(state.bleed.checks.start)
        state.bleed.count.points[point].strokes_to_go.ceil.times do
          @add.call("bleed", "topped_up", {}) if state.bleed.count.reservoir.strokes_to_top_up < 1
          @add.call("bleed", "stroke", {})
        end
        @add.call("bleed", "topped_up", {})
        @add.call("bleed", "colour", {"colour" => colour})
        @add.call("bleed", "point_done", {"point" => point})
      end
      last_look(true)
    end

    # Both leak watches, the batch, the day of the re-check, every gate that a person confirms, and the signature.
    def released(name)
      @add.call("close", "batch", {"batch" => "L 2604"}) unless state.close.batch
      @add.call("close", "leak", {"value" => "dry"})
      @add.call("close", "leak", {"value" => "dry"}, minutes: 10)
      @add.call("close", "recheck", {"on" => state.close.rechecks.proposed.iso8601})
      state.close.gates.reject { |gate| gate.met || gate.computed? }.each do |gate|
        checked = gate.row["by_name"] ? {"name" => "M. Beck"} : {}
        @add.call("close", "gate", {"gate" => gate.id, "met" => true, **checked})
      end
      @add.call("close", "signed", {"name" => name})
    end

    # Once every point ran clean.
    def last_look(_)
      looked(state.bleed.checks.finish)
    end

    private

    def looked(checks)
      checks.reject(&:good?).each do |check|
        @add.call("bleed", "check", {"check" => check.row["id"], "value" => check.row["good"].first})
      end
    end

    def state
      @state.call
    end
  end
end
