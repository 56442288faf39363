# frozen_string_literal: true

module Sandbag
  module Close
    # Which gates a job has, by its kind of circuit and by what it touched (docs/trade.md 9.3).
    class Scope
      CONDITIONS = %w[
        fluid_left fluid_in fluid_moved opened estimated tested two_controls slave_off abs second_person
        lid_by_hand linked sessions
      ].freeze
      TOUCHES = %w[strip measure build fit bleed joint clear].freeze

      # @param job [Job::State]
      def initialize(job)
        @job = job
        @kind = job.sheet.kind
        @route = job.route
        freeze
      end

      # @return [Hash, nil] Fit of this job
      def fit
        @job.stages["fit"]
      end

      # @param row [Hash] of gates.yml
      # @return [Boolean] the job has it, touched or not
      def here?(row)
        return false unless @route.nil? || @route.gate?(row["id"])
        return false if row["machines"] && !row["machines"].include?(@job.machine_kind)
        return false if row["if"] && !holds?(row["if"], row)
        must, may = row.values_at("must", "may")
        return true if must ? @kind.has?(*must) : may.nil?
        return false unless may && @kind.has?(*may)
        (!row["may_if"].nil? && holds?(row["may_if"], row)) || proved?(row)
      end

      # The job touched what the gate is about.
      def touched?(row)
        case row["touches"]
        when nil then true
        when "joint" then !fit.nil? && fit.covers?("torques")
        when "clear" then !fit.nil? && fit.covers?("clear")
        else @job.stages.key?(row["touches"])
        end
      end

      # Fit has to do with it.
      def proved?(row)
        !row["proof"].nil? && !fit.nil? && fit.covers?(row["proof"])
      end

      private

      def holds?(condition, row)
        case condition
        when "fluid_left" then @route&.handles_fluid? == false
        when "fluid_in" then @job.stages.key?("choose") && (@route.nil? || @route.handles_fluid?)
        when "fluid_moved" then @job.stages.key?("bleed")
        when "opened" then @job.ask.opened?
        when "estimated" then !fit.nil? && fit.torques.estimates.any?
        when "tested" then tests.include?(row["id"])
        when "two_controls" then row["test"].any? { |id| @job.feel.tests.there?(id) } || tests.include?(row["id"])
        when "slave_off" then moves?("far_end")
        when "abs" then @job.ask.intake.abs != "none"
        when "lid_by_hand" then lid_by_hand?
        when "linked" then @job.bleed.linked?
        when "sessions" then @job.close.sessions.any?
        when "second_person" then @job.ask.second_person?
        end
      end

      # Fluid was poured in, and the lid goes back under no step of Fit.
      def lid_by_hand?
        @job.stages.key?("bleed") && (fit.nil? || fit.sequence.steps.none? { |step| step.id.start_with?("lid") })
      end

      def tests
        @route ? @route.tests : []
      end

      def moves?(what)
        !@route.nil? && @route.moves.include?(what)
      end
    end
  end
end
