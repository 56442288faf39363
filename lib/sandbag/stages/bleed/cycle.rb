# frozen_string_literal: true

module Sandbag
  module Bleed
    # Where the steps of a bleeding method stand at one point (docs/trade.md 7.3): those before, those that are done
    # again and again, and those after. Frozen; each change gives the next.
    class Cycle
      RELEASE = "release"
      # A nipple that stays open from go to go is shut for a refill, and opened again.
      SHUT_REFILL, OPEN_AGAIN = "shut_refill", "open_again"

      extend Attributes

      # before, beats, after: ids of bleed_beats.yml in their order, a step that is done several times as often;
      # phase: before, cycle or after; done: those of this phase, oldest first; open [Boolean] the nipple was opened
      # and not shut since; paused [Boolean] it was shut for a refill; begun [Boolean] the steps before were done at
      # some point; refills_open [Boolean] a valve holds, so that it stays open for a refill
      attributes :before, :beats, :after, :phase, :done, :open, :paused, :begun, :refills_open

      def initialize(beats:, before: [], after: [], phase: nil, done: [], open: false, paused: false,
        begun: false, refills_open: false)
        @before = before
        @beats = beats
        @after = after
        @phase = phase || (before.any? ? "before" : "cycle")
        @done = done.freeze
        @open = open
        @paused = paused
        @begun = begun
        @refills_open = refills_open
        freeze
      end

      # @return [Cycle] of a method, at its first point
      def self.of(method)
        each = %w[before beats after].to_h { |part| [part.to_sym, repeated(method[part] || [])] }
        new(**each, refills_open: method.fetch("refills_open", false))
      end

      def self.repeated(ids)
        ids.flat_map { |id| [id] * Tables.find("bleed_beats", id).fetch("times", 1) }
      end
      private_class_method :repeated

      # @return [Array<String>] the steps of the phase at hand
      def steps
        {"before" => before, "cycle" => beats, "after" => after}.fetch(phase)
      end

      # @return [String, nil] the step whose turn it is; none after the last
      def turn
        return OPEN_AGAIN if paused
        steps[done.size]
      end

      # @return [Hash, nil] row of bleed_beats.yml
      def turn_row
        Tables.find("bleed_beats", turn) if turn
      end

      def open?
        open
      end

      # One go is ended, and the next has not begun.
      def between_goes?
        phase == "cycle" && done.empty? && !open?
      end

      # The nipple stays open from go to go.
      def runs_open?
        before.any? { |id| opens?(id) } && beats.none? { |id| shuts?(id) }
      end

      # Each step is a stroke like the one before.
      def stroke_after_stroke?
        phase == "cycle" && !paused && beats.one? && turn_row["records"].nil?
      end

      # The nipple stays open from go to go, and is shut for a refill.
      def shut_to_refill?
        runs_open? && !refills_open
      end

      # @return [Boolean] a step that the method has somewhere
      def has?(beat)
        (before | beats | after).include?(beat) || (shut_to_refill? && [SHUT_REFILL, OPEN_AGAIN].include?(beat))
      end

      # In its turn; the first of those after, once something was done; shut for a refill, whenever it is open.
      def in_turn?(beat)
        beat == turn || starts_after?(beat) || (beat == SHUT_REFILL && shut_to_refill? && open?)
      end

      # The last step of what is done again and again.
      def ends_go?(beat)
        phase == "cycle" && done.size + 1 == beats.size && beat == beats.last
      end

      # #last_step is the last of the steps that come last at a point.
      def ends_point?
        after.size == ((phase == "after") ? done.size : 0) + 1
      end

      # @param beat [String] one that is in its turn
      # @return [Cycle] after it; a cycle begins again after its last step
      def after_beat(beat)
        turned = with(open: nipple_after(beat), paused: beat == SHUT_REFILL)
        return turned if [SHUT_REFILL, OPEN_AGAIN].include?(beat)
        return turned.with(phase: "after", done: [beat]) if beat != turn && starts_after?(beat)
        turned.moved_on([*done, beat])
      end

      # Strokes or millilitres were counted without their steps: the next go begins.
      # @return [Cycle]
      def counted
        with(phase: "cycle", done: [], open: runs_open? && open, paused: false, begun: true)
      end

      # A slip: the go at hand does not count, and begins again.
      # @return [Cycle]
      def again
        with(done: (phase == "cycle") ? [] : done, open: false)
      end

      # Something else was written down that a step stands for.
      # @param kind [String] run or topped_up
      # @return [Cycle]
      def recorded(kind)
        return after_beat(turn) if turn_row&.fetch("records", nil) == kind
        (kind == "run" && phase != "cycle") ? counted : self
      end

      # @return [Cycle] as it begins at another point: what is done once is not done again
      def at_next_point
        left = begun ? before.reject { |id| Tables.find("bleed_beats", id)["once"] } : before
        with(before: left, phase: left.any? ? "before" : "cycle", done: [], open: false, paused: false)
      end

      # What comes last at a point, as soon as enough has passed: the first of those steps, or the one whose turn it is.
      # @return [String, nil]
      def last_step
        return turn if phase == "after"
        after.first if starts_after?(after.first) && (begun || open?)
      end

      # @param beat [String] one whose turn it is not
      # @return [String] what went wrong
      def slip(beat)
        if open? && beat == RELEASE
          return "The lever came back with the nipple open: it has drawn air in. The cycle does not count."
        end
        "“#{label(turn)}” was left out before “#{label(beat)}”. The cycle does not count."
      end

      def to_h
        {
          phase: phase,
          beats: steps.chunk_while { |one, other| one == other }.map { |same| shown(same) },
          done: done.chunk_while { |one, other| one == other }.count { |same| same.size == times(same.first) },
          turn: turn,
          now: (shown([turn]) if turn),
          last: last_step && shown([last_step]),
          led: before.any? || after.any?,
          runs_open: runs_open?,
          refills_open: (true if refills_open),
          open: open?
        }.compact
      end

      protected

      def moved_on(now)
        return with(done: now) if now.size < steps.size
        case phase
        when "before" then with(phase: "cycle", done: [], begun: true)
        when "cycle" then with(done: [])
        else with(done: now)
        end
      end

      private

      def starts_after?(beat)
        after.any? && phase == "cycle" && beat == after.first && (!open? || after.any? { |id| shuts?(id) })
      end

      def nipple_after(beat)
        nipple = Tables.find("bleed_beats", beat)["nipple"]
        nipple ? nipple == "open" : open
      end

      def opens?(id)
        Tables.find("bleed_beats", id)["nipple"] == "open"
      end

      def shuts?(id)
        Tables.find("bleed_beats", id)["nipple"] == "shut"
      end

      def times(id)
        Tables.find("bleed_beats", id).fetch("times", 1)
      end

      def shown(same)
        row = Tables.find("bleed_beats", same.first)
        {**row.slice("id", "label", "how", "watch", "ends", "seconds", "helper", "records").transform_keys(&:to_sym),
          times: (same.size if same.size > 1)}.compact
      end

      def label(beat)
        Tables.find("bleed_beats", beat)["label"]
      end
    end
  end
end
