# frozen_string_literal: true

module App
  # Opens jobs, records entries, and shows a job as its journal tells it, or as its signature closed it.
  class JobDesk
    # Another entry came in between, again and again.
    class Busy < StandardError; end

    # An entry that was admitted, with all that is stored with it. Worked out before the write lock is taken; stored
    # if the job still stands where it stood.
    # times: when the server took it, and what a wrong clock said.
    Draft = Struct.new(:job, :circuit, :state, :entry, :times, :after, :stock_position, keyword_init: true)

    ATTEMPTS = 8
    TIMES = %i[received_at said_at].freeze

    # @param store [Store::All]; memory [Memory]
    # @param today [Date] for what ages on the shelf
    def initialize(store, memory, today)
      @store = store
      @memory = memory
      @today = today
      @shelf = ShelfDesk.new(store, memory)
    end

    # @param follows [String, nil] id of the re-check that it is opened for
    # @return [Boolean] false when the job was there already
    # Refuses a circuit on which a job is open, unless it is asked for all the same, and a re-check of another one.
    def open(id, circuit_id, at, beside: false, follows: nil)
      @store.transaction do
        @store.circuits.find(circuit_id)
        next same_job?(id, circuit_id) if @store.jobs.include?(id)
        refuse_second(circuit_id) unless beside
        refuse_other_recheck(follows, circuit_id) if follows
        @store.jobs.open(id: id, circuit_id: circuit_id, at: at, follows: follows)
      end.tap { |fresh| Recheck.new(@store, self).begin(id, follows, at) if fresh && follows }
    end

    # @param given [Hash] an entry, and received_at and said_at
    # @return [Draft, nil] what was written; nil when the entry was there already
    def write(job_id, given)
      ATTEMPTS.times do
        draft = draft(@store.jobs.find(job_id), given)
        return unless draft
        next unless @store.transaction { still?(draft) && keep(draft) }
        @memory.learn(job_id, draft.after, draft.circuit)
        return draft
      end
      raise Busy, "job #{job_id} is being written to by somebody else"
    end

    # @return [Hash] the job's head: where it stands, and its photos
    def head(id)
      job = @store.jobs.find(id)
      job[:closed_at] ? @store.jobs.record(id)["head"] : open_job(job).head
    end

    # @return [Hash] what one stage shows, under the stage's name
    # Refuses a stage the job does not have.
    def stage(id, stage)
      job = @store.jobs.find(id)
      return stage_of_record(id, stage) if job[:closed_at]
      answer(stage, open_job(job).stage(stage))
    end

    # @param draft [Draft, nil] what was just written: nothing is read again for it
    # @return [Hash] job and stage, as an entry left them; no stage where the route has taken it away
    # A signed job's head is as it was stored.
    def left_by(draft, id, stage)
      return left_on_record(id, stage) if draft.nil? || draft.after.signed?
      now = OpenJob.new(@store, @shelf, shop, draft.job, draft.circuit, draft.after)
      {
        job: now.head,
        stage: (answer(stage, now.stage(stage)) if draft.after.stages.key?(stage))
      }.compact
    end

    # @return [Hash] what the shelf has for a job, or had when it was signed
    def supplies(id)
      job = @store.jobs.find(id)
      return @store.jobs.record(id)["supplies"] if job[:closed_at]
      supplies_of(state_of(job)).to_h
    end

    # @param supposed [Hash] of Airway::Way; explain [String, nil] the way to bleed whose figures are wanted
    # @return [Hash] ways to bleed an open job, the best first
    def bleed_verdicts(id, supposed, explain: nil)
      job = @store.jobs.find(id)
      raise Sandbag::Refusal.at("", "this job is signed off", "an open job") if job[:closed_at]
      state = state_of(job)
      state.bleed.verdicts(shelf: @shelf.stock.tools(state.choose.family), explain: explain, **supposed)
    end

    # @return [Array<Hash>] head, and what Ask, Feel and Close show: for the owner
    def owner_sheet(id)
      shown = %w[ask feel close].map { |name| stage(id, name).values_at(name, name.to_sym).compact.first }
      [head(id), *shown]
    end

    # @return [Hash] everything a job card says
    def card(id)
      job = @store.jobs.find(id)
      job[:closed_at] ? @store.jobs.record(id)["card"] : open_job(job).card
    end

    # @return [Sandbag::Job::State] of a job that is not signed
    def state_of(job, circuit = @store.circuits.find(job[:circuit_id]))
      @memory.state(@store, job[:id], circuit, shop)
    end

    # @return [Sandbag::Choose::Supplies] what the shelf has for a job
    def supplies_of(state, stock = @shelf.stock)
      Sandbag::Choose::Supplies.new(state.choose, stock, today: @today)
    end

    # Writes the records of jobs that were signed by a Sandbag that did not keep one. Once, when the server starts.
    def record_signed
      @store.jobs.unrecorded.each do |id|
        job = @store.jobs.find(id)
        circuit = @store.circuits.find(job[:circuit_id]).merge(sheet: job[:sheet])
        state = state_of(job, circuit)
        @store.transaction { record(job, circuit, state) }
      end
    end

    private

    def open_job(job)
      circuit = @store.circuits.find(job[:circuit_id])
      OpenJob.new(@store, @shelf, shop, job, circuit, state_of(job, circuit))
    end

    def left_on_record(id, stage)
      head = head(id)
      here = (head[:stages] || head["stages"]).any? { |each| (each[:id] || each["id"]) == stage }
      {job: head, stage: (stage(id, stage) if here)}.compact
    end

    def shop
      @shop ||= @memory.shop(@store)
    end

    def same_job?(id, circuit_id)
      return false if @store.jobs.find(id)[:circuit_id] == circuit_id
      raise Clash, "job #{id} is on another circuit"
    end

    def refuse_second(circuit_id)
      other = @store.jobs.open_on(circuit_id)
      return unless other
      raise Sandbag::Refusal.at(
        "circuit_id",
        "a job is open on this circuit: #{other}",
        "that job; or beside: true to open a second one beside it"
      )
    end

    def refuse_other_recheck(id, circuit_id)
      recheck = @store.dues.recheck(id)
      return if recheck[:circuit_id] == circuit_id && recheck[:done_by].nil?
      raise Sandbag::Refusal.at("follows", "that re-check is done, or on another circuit",
        "an open one of this circuit")
    end

    def stage_of_record(id, stage)
      stages = @store.jobs.record(id)["stages"]
      answer(stage, stages.fetch(stage) { raise Store::Missing.new("stage of this job", stage) })
    end

    def answer(stage, view)
      {:id => stage, stage => view}
    end

    # @return [Draft, nil] nil when the entry is there already
    def draft(job, given)
      known = @store.journals.find(given[:id])
      return same_entry?(known, job, given) if known
      raise Sandbag::Refusal.at("", "this job is signed off", "a new job on the same circuit") if job[:closed_at]
      circuit = @store.circuits.find(job[:circuit_id])
      state = state_of(job, circuit)
      position, stock = @memory.stock(@store)
      entry =
        Sandbag::Job::Admission.new(state).admit(
          Sandbag::Job::Entry.new(**given.except(*TIMES), position: state.journal.position + 1)
        )
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

    # What goes together is recorded with what wetted it, and what is pulled with the count that is promised: shop and
    # shelf may go over to something else later.
    def completed(state, entry, stock)
      if entry.stage == "build" && entry.kind == "step"
        return entry.with(data: {"lubricant" => state.build.lubricant, **entry.data})
      end
      return entry unless pulls?(entry)
      supplies_of(state, stock).admit(entry)
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
      Headlines.new(@store, @memory).write(draft.job[:id], draft.after, draft.circuit[:revision])
      close(draft) if draft.entry.kind == "signed"
      true
    end

    # What an entry does to the shelf.
    def move_stock(draft)
      entry = draft.entry
      if pulls?(entry)
        if Sandbag::Choose::Supplies::RESERVED.include?(@shelf.stock.find(entry.data["item"]).kind)
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
      raise Clash, "entry #{given[:id]} is used otherwise"
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

    # The job keeps the circuit as it was and all that was decided; the machine's record takes what was changed.
    def close(draft)
      id, circuit, state, entry = draft.job[:id], draft.circuit, draft.after, draft.entry
      @store.jobs.close(id, at: entry.at, sheet: circuit[:sheet])
      job = draft.job.merge(closed_at: entry.at)
      record(job, circuit, state)
      LeverFile.new(@store).add(job, state)
      supplies_of(state).stale.each do |pulled|
        @shelf.release(id, state.journal.find(pulled[:entry]), entry) if pulled[:item]
      end
      @shelf.use_up(id, entry)
      sheet = Sandbag::Calendar::SignedDays.written(state, entry.at[0, 10])
      @store.circuits.write_sheet(circuit[:id], sheet.to_h)
      book = DueBook.new(@store, shop, @today)
      book.write(circuit, sheet)
      book.sign(job, state)
    end

    def record(job, circuit, state)
      content = {
        edition: Sandbag::Tables.edition,
        supplies: supplies_of(state).to_h,
        **OpenJob.new(@store, @shelf, shop, job, circuit, state).to_h
      }
      @store.jobs.write_record(job[:id], JSON.parse(Sandbag::Said.in(JSON.generate(content), shop.display)))
      @store.jobs.write_headline(job[:id], state.headline, Headlines::SIGNED)
    end
  end
end
