# frozen_string_literal: true

module Sandbag
  module Fit
    # What is done in which order (docs/trade.md 6.1): the dry trial first, then whatever came off back on, set and
    # routed; after the bleed the lid, the last figures and the marks.
    class Sequence
      # @attr strip [Cylinder::Step, nil] a part that goes back; row [Hash, nil] of fit_steps.yml
      Step = Struct.new(:id, :label, :does, :when, :strip, :row, keyword_init: true) do
        def trial?
          !row.nil? && row["trial"] == true
        end

        # @return [String, nil] of steps_together.yml
        def together
          strip ? strip.together : row["together"]
        end
      end

      # Parts that stay off until the bleed is done.
      AFTER = %w[lid lid_lock lid_screws plate diaphragm insert].freeze

      attr_reader :steps

      # @param scope [Scope]; put_back [Cylinder::PutBack]; entries [Job::Entries] of fit
      # @param bled_at [Integer, nil] place of the last stroke, 0 before the first: what comes after the bleed is done
      #   again after another one; nil where there is no bleed to wait for
      def initialize(scope, put_back, entries, bled_at:)
        @put_back = put_back
        @entries = entries
        @bled_at = bled_at
        rows = scope.rows("fit_steps").reject { |row| put_back.steps.map(&:plain).intersect?(row["instead"] || []) }
        @steps = ordered(rows).freeze
        freeze
      end

      # @return [Array<Step>] before the bleed, or after it
      def of(phase)
        steps.select { |step| step.when == phase }
      end

      # @return [Step, nil] the next one of a phase
      def step(phase)
        of(phase).find { |each| !done?(each) }
      end

      # The dry trial is done again after a clash.
      def done?(step)
        entry = @entries.of("step").reverse_each.find { |each| each.data["step"] == step.id }
        !entry.nil? && entry.position > since(step)
      end

      # @return [Job::Entry, nil] the newest clash
      def clash
        @entries.last("clash")
      end

      # @return [Step, nil] the dry trial, where this job has one
      def trial
        steps.find(&:trial?)
      end

      # @return [Boolean] nothing else is fitted yet
      def trying?
        !trial.nil? && !done?(trial)
      end

      # @return [Array<String>]
      def due(phase)
        of(phase).filter_map do |step|
          next Wording.inside(step.label) unless done?(step)
          wrong = step.strip ? @put_back.wrong([step.strip]) : []
          "which way it faces: #{Wording.inside(wrong.first.feature)}" if wrong.any?
        end
      end

      # Refuses a step that is none here, is done, or does not come now, and one with a part the wrong way round.
      def admit(id, phase)
        found = steps.find { |each| each.id == id }
        raise Refusal.at("data/step", "“#{id}” is no step here", steps.map(&:id).join(", ")) unless found
        now = step(phase)
        unless now == found
          raise Refusal.at("data/step", "#{Wording.inside(found.label)} does not come now",
            now ? now.id : "nothing: all of it is done")
        end
        @put_back.refuse_wrong(found.strip) if found.strip
      end

      private

      # @return [Integer] place in the journal before which a step no longer counts
      def since(step)
        return clash&.position.to_i if step.trial?
        (step.when == "after") ? @bled_at : 0
      end

      def ordered(rows)
        first, last = rows.partition { |row| !row["last"] }
        back = @put_back.steps.map { |step| back(step) }
        steps = first.map { |row| step_of(row) } + back.reject { |step| AFTER.include?(step.id) } +
          last.map { |row| step_of(row) } + back.select { |step| AFTER.include?(step.id) }
        steps.partition { |step| step.when == "before" }.flatten
      end

      def step_of(row)
        Step.new(id: row["id"], label: row["label"], does: row["does"], when: @bled_at ? row["when"] : "before",
          row: row).freeze
      end

      def back(step)
        phase = (@bled_at && AFTER.include?(step.id)) ? "after" : "before"
        Step.new(id: step.id, label: @put_back.present(step).map(&:label).join(", "), when: phase, strip: step).freeze
      end
    end
  end
end
