# frozen_string_literal: true

module App
  # Records entries: each is admitted, then stored if the job still stands where it stood.
  class JobWriter
    # An entry that was admitted, with all that is stored with it. Worked out before the write lock is taken; stored
    # if the job still stands where it stood.
    # times: when the server took it, and what a wrong clock said.
    Draft = Struct.new(:job, :circuit, :state, :entry, :times, :after, :stock_position, keyword_init: true)

    ATTEMPTS = 8
    TIMES = %i[received_at said_at].freeze

    # @param store [Store::All]; memory [Memory]; reader [JobReader]; shelf [ShelfDesk]; signing [SigningOff]
    def initialize(store, memory, reader, shelf, signing)
      @store = store
      @memory = memory
      @reader = reader
      @shelf = shelf
      @signing = signing
    end

    # @param given [Hash] an entry; clock [DeviceClock, nil] that says when it happened; nil takes its time as it is
    # @return [Draft, nil] what was written; nil when the entry was there already
    def write(job_id, given, clock: nil)
      ATTEMPTS.times do
        draft = draft(@store.jobs.find(job_id), given, clock)
        return unless draft
        next unless @store.transaction { still?(draft) && keep(draft) }
        @memory.learn(job_id, draft.after, draft.circuit)
        return draft
      end
      raise JobDesk::Busy, "job #{job_id} is being written to by somebody else"
    end

    private

    # A retired machine is not released.
    def refuse_release(circuit, entry)
      return unless entry.kind == "signed"
      JobOpening.refuse_retired(@store.machines.find(circuit[:machine_id]), "kind")
    end

    # @return [Draft, nil] nil when the entry is there already
    def draft(job, given, clock)
      known = @store.journals.find(given[:id])
      return same_entry?(known, job, given) if known
      raise Sandbag::Refusal.at("", "this job is signed off", "a new job on the same circuit") if job[:closed_at]
      circuit = @store.circuits.find(job[:circuit_id])
      state = @reader.state_of(job, circuit)
      position, stock = @memory.stock(@store)
      given = {**given, **stamped(clock, given[:at], job, state.journal)} if clock
      entry =
        Sandbag::Job::Admission.new(state).admit(
          Sandbag::Job::Entry.new(**given.except(*TIMES), position: state.journal.position + 1)
        )
      refuse_release(circuit, entry)
      entry = completed(state, entry, stock)
      refuse_strange_photo(job[:id], entry)
      after = state.with(entry)
      Draft.new(
        job: job,
        circuit: circuit,
        state: state,
        entry: entry,
        times: given.slice(*TIMES),
        after: after,
        stock_position: position
      )
    end

    def stamped(clock, said, job, journal)
      newest = journal.entries.last&.at
      clock.stamp(said, opened: Time.iso8601(job[:opened_at]), newest: newest && Time.iso8601(newest))
    end

    # What goes together is recorded with what wetted it, and what is pulled with the count that is promised: shop and
    # shelf may go over to something else later.
    def completed(state, entry, stock)
      if entry.stage == "build" && entry.kind == "step"
        return entry.with(data: {"lubricant" => state.build.lubricant, **entry.data})
      end
      return entry unless pulls?(entry)
      @reader.supplies_of(state, stock).admit(entry)
    end

    # Nothing has come in since the draft was worked out.
    def still?(draft)
      @store.journals.position(draft.job[:id]) == draft.entry.position - 1 &&
        @store.circuits.revision(draft.circuit[:id]) == draft.circuit[:revision] &&
        @store.stock_moves.position == draft.stock_position
    end

    def keep(draft)
      @store.journals.append(draft.job[:id], {**draft.entry.to_h, **draft.times})
      move_stock(draft)
      @store.jobs.refer(draft.job[:id], draft.after.ask.referral&.at)
      sign(draft) if draft.entry.kind == "signed"
      true
    end

    # In the transaction, so that no other job opens the circuit meanwhile.
    def sign(draft)
      Neighbours.new(@store, @memory).refuse_signature(draft.job, draft.circuit)
      @signing.close(draft)
    end

    # What an entry does to the shelf.
    def move_stock(draft)
      entry = draft.entry
      if pulls?(entry)
        if Sandbag::Choose::PullAdmission::RESERVED.include?(@shelf.stock.find(entry.data["item"]).kind)
          @shelf.reserve(draft.job[:id], entry)
        end
      elsif entry.undo?
        pulled = draft.state.journal.find(entry.corrects)
        @shelf.release(draft.job[:id], pulled, entry) if pulls?(pulled)
      end
    end

    # A photo is taken up by the job it was sent to.
    def refuse_strange_photo(job_id, entry)
      return unless entry.kind == "photo" && @store.photos.find(entry.data["photo"])&.fetch(:job_id) != job_id
      raise Sandbag::Refusal.at(
        "data/photo",
        "no photo “#{entry.data["photo"]}” was sent to this job",
        "the id of one that was"
      )
    end

    def pulls?(entry)
      entry.stage == "choose" && entry.kind == "pulled" && !entry.data["item"].nil?
    end

    # A retry carries the same entry to the same job; anything else has borrowed an id.
    def same_entry?(known, job, given)
      same =
        known.values_at(:job_id, :stage, :kind, :corrects) == [job[:id], *given.values_at(:stage, :kind, :corrects)]
      return if same && says_the_same?(known[:data], given)
      raise Clash, "entry #{given[:id]} is used for something else"
    end

    # What was completed when it was stored is not said again.
    def says_the_same?(stored, given)
      read =
        Sandbag::Job::EntryReader.read(
          Sandbag::Job::Entry.new(**given.slice(:id, :stage, :kind, :data, :at, :by, :corrects))
        )
      read.data.all? { |name, value| stored[name] == value }
    rescue Sandbag::Refusal
      false
    end
  end
end
