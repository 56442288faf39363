# frozen_string_literal: true

module Sandbag
  module Cylinder
    # Parts that came out on their way back: steps of the strip, last out first in, each part faced rightly, and the
    # tray reckoned up. Build puts back what is inside the cylinder, Fit what holds it on the machine.
    class PutBack
      attr_reader :steps, :facings, :reckoning

      # @param entries [Job::Entries] of the stage that does it: step, facing, kept_out, binned, scrapped
      # @param strip [Strip::Stage]
      # @param steps [Array<Cylinder::Step>] of the strip, those that go back here
      # @param fresh [Array<String>] parts that Measure renewed
      # @param counted_apart [Array<String>] parts whose old pieces are counted elsewhere
      def initialize(entries, strip, steps, fresh: [], counted_apart: [])
        @strip = strip
        @done = entries.values("step", "step")
        @steps = steps.select { |step| present(step).any? }.reverse.freeze
        @facings = Facings.new(entries.by("facing", "part").transform_values { |data| data["faces"] })
        @reckoning = Reckoning.new(strip.tray.only(@steps), fitted_parts, fresh: fresh, counted_apart: counted_apart,
          kept_out: entries.by("kept_out", "part").transform_values { |data| data["count"].round },
          binned: entries.values("binned", "part"), scrapped: entries.said("scrapped")&.fetch("count")&.round)
        freeze
      end

      # @return [Array<Cylinder::Part>] of a step, those that this cylinder has
      def present(step)
        step.takes.select { |part| part.stays? || @strip.out?(part.id) }
      end

      def done?(step)
        @done.include?(step.id)
      end

      # @return [Cylinder::Step, nil] the next one
      def step
        steps.find { |each| !done?(each) }
      end

      # Whatever came out here is back, but for what the tray still holds.
      def all_back?
        steps.any? && step.nil?
      end

      # @return [Array<Cylinder::Step>] still to be done
      def steps_to_go
        steps.reject { |each| done?(each) }
      end

      # @return [Array<Cylinder::Part>] not yet faced rightly, of one step or of all
      def wrong(among = steps)
        facings.wrong(among.flat_map { |each| present(each) })
      end

      # @return [String] the parts of a step, in a sentence
      def said(step)
        present(step).map { |part| Wording.inside(part.label) }.join(", ")
      end

      # Refuses a part that did not come out here, and more of it than came out.
      def admit_part(data)
        cells = reckoning.tray.cells
        out = reckoning.tray.out(data["part"])
        unless out.positive?
          raise Refusal.at("data/part",
            "“#{data["part"]}” is not in the tray", cells.map { |cell| cell.part.id }.join(", "))
        end
        return if data["count"].nil? || data["count"].round.between?(0, out)
        raise Refusal.at("data/count", "#{out} came out", "0 to #{out}")
      end

      # Refuses a facing of a part that does not go back here.
      def admit_facing(data)
        facings.admit(data, steps.flat_map(&:takes))
      end

      # Refuses a step whose parts are not all faced rightly.
      def refuse_wrong(step)
        wrong = wrong([step])
        return if wrong.empty?
        raise Refusal.at("data/step", "which way does it face? #{wrong.map(&:feature).join("; ")}",
          "the right way round, for every part of the step")
      end

      private

      def fitted_parts
        @steps.select { |each| done?(each) }.flat_map(&:takes).map(&:id)
      end
    end
  end
end
