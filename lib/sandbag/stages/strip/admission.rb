# frozen_string_literal: true

module Sandbag
  module Strip
    # Whether an entry may join a strip as it stands.
    class Admission
      # @param strip [Stage] before the entry
      def initialize(strip)
        @strip = strip
        freeze
      end

      # Refuses a figure that is not taken here, a step out of its order, before the set-up, or before kit, fluid and
      # tools lie on the bench, and a count no such part has.
      def admit(entry)
        data = entry.data
        case entry.kind
        when "setup" then @strip.setup.admit(data)
        when "figure" then @strip.figures.admit(data)
        when "step", "skipped" then admit_step(data["step"], skipped: entry.kind == "skipped")
        when "counted" then admit_count(data)
        end
      end

      private

      def admit_step(id, skipped:)
        refuse_unready
        found = @strip.work.steps.find { |each| each.id == id }
        unless found
          raise Refusal.at("data/step", "“#{id}” is no step of this strip",
            @strip.work.steps.map(&:id).join(", "))
        end
        label = Wording.inside(found.label)
        if @strip.passed?(found)
          raise Refusal.at("data/step", "#{label} is done",
            @strip.step&.id || "nothing: all of it is out")
        end
        refuse_without(found) unless skipped
        return if found == @strip.step
        raise Refusal.at("data/step", "#{label} comes after #{Wording.inside(@strip.step.label)}",
          "#{@strip.step.id}, or skip it with a reason")
      end

      # There is no default for what this step takes.
      def refuse_without(found)
        return if found.needs.nil? || @strip.job.ask.intake.value(found.needs) == "yes"
        raise Refusal.at("data/step", "#{found.label}: #{found.lost}",
          "the service information on hand, under Ask; or skip it with a reason")
      end

      def refuse_unready
        return if @strip.ready?
        if @strip.wanting.any?
          raise Refusal.at("data/step",
            "still to fetch: #{@strip.wanting.map { |line| Wording.inside(line.label) }.join(", ")}",
            "the pull list under Choose first")
        end
        unless @strip.compared?
          raise Refusal.at(
            "data/step",
            "not yet: #{@strip.job.measure.waits_for}",
            "new compared with old, under Measure, first"
          )
        end
        raise Refusal.at(
          "data/step",
          "not yet: #{@strip.setup.missing.map { |row| Wording.inside(row["label"]) }.join(", ")}",
          "the set-up first"
        )
      end

      def admit_count(data)
        part = @strip.work.part(data["part"])
        unless part
          raise Refusal.at("data/part", "“#{data["part"]}” does not come out here",
            @strip.work.parts.map(&:id).join(", "))
        end
        return if data["count"].round.between?(0, Stage::MOST) && data["count"] == data["count"].round
        raise Refusal.at("data/count", "#{part.label}: #{data["count"]} cannot be", "a whole number up to #{Stage::MOST}")
      end
    end
  end
end
