# frozen_string_literal: true

module Sandbag
  module Fit
    # Whether an entry may join a fitting as it stands.
    class Admission
      # @param fit [Stage] before the entry
      def initialize(fit)
        @fit = fit
        freeze
      end

      # Refuses to fit before the cylinder is together, or past a clash or an untried dry fit; and what the rooms
      # refuse.
      def admit(entry)
        raise Refusal.at("kind", "this job fits nothing", "an entry of another stage") unless @fit.here?
        refuse_early(entry) unless Stage::KNOWN.include?(entry.kind)
        data = entry.data
        case entry.kind
        when "step" then admit_step(data["step"])
        when "facing" then @fit.put_back.admit_facing(data)
        when "kept_out", "binned" then @fit.put_back.admit_part(data)
        when "clash" then admit_clash
        when "fact" then Fastening::Facts.admit(@fit.job.sheet, data)
        when "wrench" then Torques.admit_wrench(entry.data)
        when "figure", "torque", "estimate", "snug" then @fit.torques.admit(entry, @fit.phase)
        when "loosened" then admit_loosened(data["fastener"])
        when "washers" then @fit.washers.admit(data)
        when "path", "bend" then @fit.hoses.admit(entry)
        when "by_service" then @fit.free_play.admit_reason
        when "gap", "check" then @fit.checks.admit(entry, @fit.phase)
        when "ohms" then @fit.electrics.admit(data)
        when "lamp" then @fit.electrics.admit_lamp(data, @fit.phase)
        end
      end

      private

      def refuse_early(entry)
        raise Refusal.at("kind", "not yet: #{@fit.unready}", "that first") if @fit.unready
        raise Refusal.at("kind", "not yet: #{@fit.clash_said}", "what was chosen instead, under Choose") if @fit.clash
        return unless @fit.sequence.trying? && !(entry.kind == "step" && entry.data["step"] == @fit.sequence.trial.id)
        raise Refusal.at("kind", "not yet: the trial fit, dry, comes first", @fit.sequence.trial.id)
      end

      def admit_step(id)
        @fit.sequence.admit(id, @fit.phase)
        return if @fit.step
        raise Refusal.at("data/step", "marks come after the last figure", @fit.torques.due(@fit.phase).first)
      end

      def admit_clash
        return if @fit.sequence.trial
        raise Refusal.at("kind", "this job has no dry trial", "a step of this job")
      end

      def admit_loosened(id)
        known = @fit.torques.others.map(&:id)
        return if known.include?(id)
        raise Refusal.at("data/fastener", "“#{id}” is on the list already, or not on this circuit", known.join(", "))
      end
    end
  end
end
