# frozen_string_literal: true

module Sandbag
  module Job
    # Decides whether an entry may join a journal. The same answer whoever asks: the page, the API or a script.
    class Admission
      # @param state [State] the job before the entry
      def initialize(state)
        @state = state
      end

      # @param entry [Entry] as it came in
      # @return [Entry] with its data read
      # Refuses what EntryReader refuses, any entry on a signed job or on one that was referred, a correction that
      # has nothing to correct, work under a stop or before the questions that can stop it are answered, and what the
      # entry's stage does not admit, or Photos refuses; and a simulated reading on a real machine.
      def admit(entry)
        refuse_closed
        refuse_correction(entry) if entry.corrects || entry.undo?
        read = EntryReader.read(entry)
        refuse_put_away(read)
        refuse_on_hold(read)
        refuse_stopped(read)
        refuse_simulated(read)
        refuse_unasked(read)
        admit_read(read) unless read.undo?
        refuse_undone(read)
        read
      end

      private

      def admit_read(entry)
        return Photos.new(@state.journal).admit(entry) if Photos::KINDS.include?(entry.kind)
        @state.stage(entry.stage).admit(entry)
      end

      def refuse_closed
        return unless @state.signed?
        raise Refusal.at("", "this job is signed off", "a new job on the same circuit")
      end

      def refuse_correction(entry)
        target = entry.corrects && @state.journal.find(entry.corrects)
        unless target
          raise Refusal.at("corrects", "there is no such entry to take back", "the id of an entry of this job")
        end
        if @state.journal.corrected?(target.id) || target.undo?
          raise Refusal.at("corrects", "that entry is already taken back", "an entry still in force")
        end
        return if target.stage == entry.stage
        raise Refusal.at("corrects", "that entry belongs to #{target.stage}", "an entry of #{entry.stage}")
      end

      # Stages in which nothing is opened: a lever may be read before anything else is known.
      DRY = %w[ask choose feel].freeze

      def refuse_put_away(entry)
        away = @state.ask.referral
        if away.nil? || (entry.stage == "ask" && (%w[returned note].include?(entry.kind) || entry.corrects == away.id))
          return
        end
        raise Refusal.at("stage", "this job is referred", "first, under Ask, that the machine is back")
      end

      def refuse_on_hold(entry)
        held = @state.close.held
        return if held.nil? || Photos::KINDS.include?(entry.kind) || entry.corrects == held.id
        return if [%w[close held], %w[close resumed], %w[ask note]].include?([entry.stage, entry.kind])
        raise Refusal.at("stage", "this job is #{@state.on_hold_said}",
          "the job resumed, under Close")
      end

      # What a simulated instrument calls itself.
      SIMULATED = /\A\s*simulated\b/i

      def refuse_simulated(entry)
        return if @state.training || !entry.data["instrument"]&.match?(SIMULATED)
        raise Refusal.at("data/instrument", "a simulated reading proves nothing about a real machine",
          "a reading of the machine itself; or the machine marked for training")
      end

      # Said of the job, not done to the machine.
      SAID = [*Photos::KINDS, "held", "resumed"].freeze

      # @return [String] kind of the entry, or of the one that it takes back
      def answer_of(entry)
        entry.undo? ? @state.journal.find(entry.corrects).kind : entry.kind
      end

      def refuse_unasked(entry)
        return if DRY.include?(entry.stage) || entry.undo? || SAID.include?(entry.kind)
        raise Refusal.at("stage", "not yet: no repair is chosen under Ask", "a route") unless @state.route
        where = @state.ask.where
        raise Refusal.at("stage", "not yet, first under Ask: #{where.asks}", "the place") if where.wanted?
        open = @state.ask.intake.unanswered
        return if open.empty?
        raise Refusal.at(
          "stage",
          "not yet, first under Ask: #{open.map { |row| row["ask"] }.join(" ")}",
          "an answer to each"
        )
      end

      # Entries that may make another job of it.
      SHAPING = %w[route at intake].freeze

      # What is off, open or loose is put right by this job, whatever is chosen, answered otherwise or taken back.
      def refuse_undone(entry)
        shapes = entry.stage == "ask" && SHAPING.include?(entry.kind)
        return unless entry.corrects || shapes
        left = @state.with(entry).ledger.faults - @state.ledger.faults
        return if left.empty?
        raise Refusal.at(entry.undo? ? "corrects" : "data", "this would leave undone: #{left.join("; ")}",
          "a repair that puts it right, or these entries taken back first")
      end

      # What may be the answer that raised the stop.
      ANSWERS = [%w[choose fluid]].freeze

      def refuse_stopped(entry)
        return if !@state.stop || entry.stage == "ask" || SAID.include?(entry.kind)
        return if ANSWERS.include?([entry.stage, answer_of(entry)])
        raise Refusal.at("stage", "do not use: #{@state.stop}", "another finding or route under Ask")
      end
    end
  end
end
