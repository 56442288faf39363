# frozen_string_literal: true

module Sandbag
  module Job
    # What a job has done to the machine, read from its journal whatever its route is by now: what came off and is not
    # back, what was opened and when, what was loosened and not tightened. A route that leaves any of it undone is
    # refused, and no gate passes over it.
    class Ledger
      # @attr what [String] as a sentence names it; entry [Entry] that says so
      Opening = Struct.new(:what, :entry, keyword_init: true) do
        def position
          entry.position
        end
      end

      # @param job [State]
      def initialize(job)
        @job = job
        @strip, @fit = job.journal.of("strip"), job.journal.of("fit")
      end

      # @return [Array<Opening>] of the fluid's way, oldest first
      def openings
        @openings ||= (taken_apart + tested_open + joints).sort_by(&:position).freeze
      end

      # @return [Integer, nil] place in the journal of the newest opening: what was proved before it proves nothing now
      def last_opened
        openings.last&.position
      end

      # @return [String, nil] why the lever cannot be read now: no fluid has moved since the circuit was opened or
      #   drained, or a nipple is open
      def unreadable
        return "a nipple is open" if @job.bleed.count.cycle.open?
        emptied = [*(taken_apart + joints).map(&:position), *drained].max
        return if emptied.nil? || @job.bleed.last_moved.to_i > emptied
        "the circuit was opened or drained, and no fluid has been through it since"
      end

      # @return [Array<String>] what the route in force would leave undone
      def faults
        return [] if @job.route&.stops?
        @faults ||= [*stranded, unbled, *untightened].compact.freeze
      end

      # @return [String, nil] what a neighbour has to know: the circuit is open, or its fluid is on the move
      def begun
        return if @job.signed?
        newest = openings.last
        return newest.what if newest
        "fluid has been moved" if @job.bleed.last_moved
      end

      private

      def taken_apart
        @taken_apart ||= @strip.of("step").filter_map do |entry|
          step = Cylinder::Construction.step_called(plain(entry))
          Opening.new(what: Wording.inside(step["label"]), entry: entry) if step && step["opens"]
        end
      end

      # A look under Ask for which the circuit was opened.
      def tested_open
        @job.ask.opened_to_look.map do |finding, entry|
          Opening.new(what: Wording.inside(finding["label"]), entry: entry)
        end
      end

      # New washers went in.
      def joints
        @joints ||= @fit.of("washers").map { |entry| Opening.new(what: "a joint was opened", entry: entry) }
      end

      def drained
        @strip.of("step").select { |entry| plain(entry) == Cylinder::Work::DRAIN }.map(&:position)
      end

      # Parts that came off a unit on which this route does not work.
      def stranded
        lost = @strip.of("step").reject { |entry| back?(entry) || covered?(entry) || nothing_out?(entry) }
        labels = lost.filter_map { |entry| Cylinder::Construction.step_called(plain(entry))&.fetch("label") }.uniq
        labels.any? ? ["off and not back: #{labels.map { |label| Wording.inside(label) }.join(", ")}"] : []
      end

      def back?(entry)
        %w[build fit].any? do |stage|
          @job.journal.of(stage).of("step").any? do |back|
            back.data["step"] == entry.data["step"] && back.position > entry.position
          end
        end
      end

      def covered?(entry)
        _, at = Cylinder::OnBench.apart(entry.data["step"])
        @job.choose.work.units.any? { |unit| unit.at == at && unit.construction.takes?(plain(entry)) }
      end

      def nothing_out?(entry)
        step = Cylinder::Construction.step_called(plain(entry))
        return true unless step
        _, at = Cylinder::OnBench.apart(entry.data["step"])
        step["takes"].all? { |part| count(part, at).zero? }
      end

      # As it was counted, or as many as such a unit has.
      def count(part, at)
        counted = @strip.by("counted", "part").dig([part, at].compact.join("@"), "count")
        counted || Cylinder::Construction.part_called(part)["quantity"]
      end

      def unbled
        return if @job.stages.key?("bleed")
        return "the circuit was opened (#{openings.last.what}) and is not bled" if openings.any?
        "fluid was moved and the bleed is not part of this repair" if @job.bleed.last_moved
      end

      # Joints with new washers, and what was loosened besides, that this route does not tighten.
      def untightened
        ids = @fit.values("washers", "joint").uniq.reject { |at| @job.choose.joints.any? { |joint| joint.at == at } }
        joints = ids.reject { |at| tightened.any? { |id| id.end_with?(".#{at}") } }
        loose = @job.stages.key?("fit") ? [] : @fit.values("loosened", "fastener").uniq - tightened
        (joints + loose).any? ? ["a joint or fastener was loosened and is not tightened"] : []
      end

      def tightened
        @fit.of("torque", "estimate").map { |entry| entry.data["fastener"] }
      end

      def plain(entry)
        Cylinder::OnBench.apart(entry.data["step"]).first
      end
    end
  end
end
