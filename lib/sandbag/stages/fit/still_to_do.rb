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

      # @return [Array<Hash>] id of its part of the page, label, and how many are left
      def to_a
        rows.select { |_, _, has, _| has }.map { |id, label, _, left| {id: id, label: label, left: left} }
      end

      private

      def rows
        fit = @fit
        [
          ["steps", "Steps", fit.sequence.steps.any? { |step| in_phase?(step) }, left(fit.sequence)],
          ["washers", "Washers and seals", before? && fit.washers.stacks.any?, left(fit.washers)],
          ["hoses", "Hoses", before? && fit.hoses.laid.any?, left(fit.hoses)],
          ["torque", "Torque", fit.torques.lines.any? { |line| in_phase?(line) }, left(fit.torques)],
          ["free_play", "Free play", fit.free_play.wanted?, left(fit.free_play)],
          ["looks", "Clearance and looks", @phases.any? { |phase| fit.checks.of_phase(phase).any? }, left(fit.checks)],
          ["reservoir", "Reservoir", before? && fit.reservoir.wanted?, left(fit.reservoir)],
          ["tray", "Tray", fit.put_back.all_back?, fit.tray_due ? 1 : 0],
          ["switch", "Switch", fit.electrics.wanted? && (before? || fit.electrics.lamp_wanted?), left(fit.electrics)]
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
