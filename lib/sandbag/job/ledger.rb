# frozen_string_literal: true

module Sandbag
  module Job
    # What a job has done to the machine, read from its journal, whatever its route is now: what came off and is not
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
        @strip, @build, @fit = %w[strip build fit].map { |stage| job.journal.of(stage) }
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

      # @return [String, nil] what a neighbour has to know: the circuit was opened, or fluid was moved
      def begun
        return if @job.signed?
        newest = openings.last
        return newest.what if newest
        "fluid has been moved" if @job.bleed.last_moved
      end

      private

      # @attr entry [Entry] of the strip; row [Hash] of the construction's steps; at [String, nil] see OnBench#at
      Taken = Struct.new(:entry, :row, :at, keyword_init: true)

      # @return [Array<Taken>] steps by which something came off
      def taken
        @taken ||= @strip.of("step").filter_map do |entry|
          plain, at = apart(entry)
          row = Cylinder::Construction.step_called(plain)
          Taken.new(entry: entry, row: row, at: at) if row
        end.freeze
      end

      def apart(entry)
        Cylinder::OnBench.apart(entry.data["step"])
      end

      def taken_apart
        taken.select { |step| step.row["opens"] }
          .map { |step| Opening.new(what: Wording.inside(step.row["label"]), entry: step.entry) }
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
        @strip.of("step").select { |entry| apart(entry).first == Cylinder::Work::DRAIN }.map(&:position)
      end

      # Parts that came off a unit on which this route does not work.
      def stranded
        lost = taken.reject { |step| back?(step) || covered?(step) || nothing_out?(step) }
        labels = lost.map { |step| Wording.inside(step.row["label"]) }.uniq
        labels.any? ? ["off and not back: #{labels.join(", ")}"] : []
      end

      def back?(step)
        (@build.of("step") + @fit.of("step")).any? do |back|
          back.data["step"] == step.entry.data["step"] && back.position > step.entry.position
        end
      end

      def covered?(step)
        @job.choose.work.units.any? { |unit| unit.at == step.at && unit.construction.takes?(step.row["id"]) }
      end

      def nothing_out?(step)
        step.row["takes"].all? { |part| count(part, step.at).zero? }
      end

      # As it was counted, or as many as such a unit has.
      def count(part, at)
        counted = @strip.by("counted", "part").dig(Cylinder::OnBench.named(part, at), "count")
        counted || Cylinder::Construction.part_called(part)["quantity"]
      end

      def unbled
        return if @job.stages.key?("bleed")
        return "the circuit was opened (#{openings.last.what}) and is not bled" if openings.any?
        "fluid was moved and the bleed is not part of this repair" if @job.bleed.last_moved
      end

      # Joints with new washers, and what was loosened besides, that this route does not tighten.
      def untightened
        others = @fit.values("washers", "joint") - @job.choose.joints.map(&:at)
        joints = others.reject { |at| tightened.any? { |id| id.end_with?(".#{at}") } }
        loose = @job.stages.key?("fit") ? [] : @fit.values("loosened", "fastener") - tightened
        (joints + loose).any? ? ["a joint or fastener was loosened and is not tightened"] : []
      end

      def tightened
        @fit.of("torque", "estimate").map { |entry| entry.data["fastener"] }
      end
    end
  end
end
