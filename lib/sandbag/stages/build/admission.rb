# frozen_string_literal: true

module Sandbag
  module Build
    # Whether an entry may join a build as it stands.
    class Admission
      # @param build [Stage] before the entry
      def initialize(build)
        @build = build
        freeze
      end

      # Refuses a step before Measure has its verdict, before parts are clean and cups are soaked, out of its order, or
      # with parts not all faced rightly, a lubricant the fluid or the rubber does not bear, and counts that cannot be.
      def admit(entry)
        data = entry.data
        case entry.kind
        when "step"
          admit_step(data["step"])
          admit_lubricant(data["lubricant"]) if data["lubricant"]
        when "facing" then @build.put_back.admit_facing(data)
        when "lubricant" then admit_lubricant(data["lubricant"])
        when "kept_out", "binned" then @build.put_back.admit_part(data)
        when "check" then admit_check(data["check"])
        end
      end

      private

      def admit_step(id)
        unless @build.job.measure.done?
          raise Refusal.at("data/step", "not yet: #{@build.job.measure.waits_for}",
            "a settled verdict under Measure first")
        end
        unless @build.steps.any? { |each| each.id == id }
          raise Refusal.at("data/step", "“#{id}” is no step of this build", @build.steps.map(&:id).join(", "))
        end
        unless @build.step && @build.step.id == id
          raise Refusal.at("data/step", "#{Wording.spelled(id)} does not come now",
            @build.step ? @build.step.id : "nothing: all of it is in")
        end
        refuse_unready
        @build.put_back.refuse_wrong(@build.step)
      end

      def refuse_unready
        first = @build.first_checks.first
        return unless first
        raise Refusal.at("data/step", "not yet: #{Wording.inside(first.dig(:row, "label"))}. #{first.dig(:row, "how")}",
          "the check “#{first.dig(:row, "id")}” passed first")
      end

      def admit_lubricant(id)
        row = Tables.find("lubricants", id)
        unless @build.family
          raise Refusal.at("data/lubricant", "the fluid's family is not known", "the class on the cap, under Choose")
        end
        return if @build.wets?(id)
        allowed = @build.lubricants.select { |each| each[:allowed] }.map { |each| each.dig(:row, "id") }
        word = Fluid::Compatibility.lubricant(id, @build.family)
        raise Refusal.at("data/lubricant", "#{row["label"]} on the seals of a #{@build.family} circuit: " \
          "#{word["label"]}", allowed.join(", "))
      end

      def admit_check(id)
        return if @build.checks.any? { |check| check.dig(:row, "id") == id }
        raise Refusal.at("data/check",
          "“#{id}” is not checked here", @build.checks.map { |check| check.dig(:row, "id") }.join(", "))
      end
    end
  end
end
