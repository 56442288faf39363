# frozen_string_literal: true

module Sandbag
  module Fit
    # How much is left of each kind of work in the phase at hand; kinds that this job does not have are left out.
    class StillToDo
      # @param fit [Stage]
      def initialize(fit)
        @fit = fit
        @phases = fit.bleeds? ? [fit.phase] : %w[before after]
        freeze
      end

      # @return [Array<Hash>] label, and how many are left
      def to_a
        rows.select { |_, has, _| has }.map { |label, _, left| {label: label, left: left} }
      end

      private

      def rows
        fit = @fit
        [
          ["Steps", fit.sequence.steps.any? { |step| in_phase?(step) }, left(fit.sequence)],
          ["Washers and seals", before? && fit.washers.stacks.any?, left(fit.washers)],
          ["Hoses", before? && fit.hoses.laid.any?, left(fit.hoses)],
          ["Torque", fit.torques.lines.any? { |line| in_phase?(line) }, left(fit.torques)],
          ["Free play", fit.free_play.wanted?, left(fit.free_play)],
          ["Clearance and looks", before? && fit.checks.all.any?, left(fit.checks)],
          ["Reservoir", before? && fit.reservoir.wanted?, left(fit.reservoir)],
          ["Tray", fit.put_back.all_back?, fit.tray_due ? 1 : 0],
          ["Switch", before? && fit.electrics.wanted?, left(fit.electrics)]
        ]
      end

      def before?
        @phases.include?("before")
      end

      # @param work a step or a fastener, done before the bleed or after it
      def in_phase?(work)
        @phases.include?(work.when)
      end

      def left(room)
        @phases.sum { |phase| room.due(phase).size }
      end
    end
  end
end
