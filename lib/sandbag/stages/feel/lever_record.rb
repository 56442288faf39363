# frozen_string_literal: true

module Sandbag
  module Feel
    # A lever as it goes on file when its job is signed: how it came in, where it was read then, and how it went out.
    module LeverRecord
      # @param feel [Stage] of a signed job; came_at, went_at [String] when the job was opened and signed
      # @return [Array<Hash>] at, state (came or went), bled, and the figures of a brake or of a clutch; empty where
      #   nothing was read
      def self.of(feel, came_at, went_at)
        bled = feel.job.stages.key?("bleed")
        return [clutch(feel.lift, went_at, bled)].compact if feel.clutch?
        [brake(feel.before, "came", came_at, false), brake(feel.report, "went", went_at, bled)].compact
      end

      # @return [Hash, nil] travel lost to air at the reference force with its error and limit, mm; air mL; dead travel
      #   mm; stiffness mL/MPa
      def self.brake(report, state, at, bled)
        return unless report.fit&.covariance
        verdict = report.verdict
        lever = report.fit.to_h
        {
          "at" => at, "state" => state, "bled" => bled,
          "cost_mm" => verdict.cost_mm, "cost_error_mm" => verdict.cost_error_mm, "limit_mm" => verdict.pass_mm,
          "air_ml" => lever[:air_ml], "air_error_ml" => lever[:air_error_ml],
          "dead_mm" => [lever[:dead_volume_ml], 0].max * lever[:mm_per_ml],
          "dead_error_mm" => Math.sqrt(report.fit.covariance[0, 0]) * lever[:mm_per_ml],
          "stiffness_ml_mpa" => lever[:stiffness_ml_mpa],
          "stiffness_error_ml_mpa" => Math.sqrt(report.fit.covariance[1, 1])
        }
      end

      # @return [Hash, nil] lift at the slave and what it needs with its margin, mm
      def self.clutch(lift, at, bled)
        return unless lift
        figures = lift.to_h
        {"at" => at, "state" => "went", "bled" => bled, "lift_mm" => figures[:lift_mm],
         "lift_error_mm" => ClutchLiftCheck::GAUGE_ERROR_MM,
         "wanted_mm" => figures[:needed_mm] + figures[:margin_mm]}
      end
      private_class_method :brake, :clutch
    end
  end
end
