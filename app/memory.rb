# frozen_string_literal: true

require "monitor"

module App
  # What was folded from journals, kept at hand. Journals only grow, so that what was read of one stays true: a
  # request reads what has come since, whoever wrote it. Forgetting costs time, never truth.
  class Memory
    MOST_JOBS = 200

    # @attr journal [Sandbag::Job::Journal]; key [Array] what the state was built on; state [Sandbag::Job::State]
    Kept = Struct.new(:journal, :key, :state)

    def initialize
      @jobs = {}
      @stock = [0, Sandbag::Shelf::Stock.new].freeze
      @shop = [nil, nil]
      @calendar = [nil, nil]
      @lock = Monitor.new
    end

    # @return [Sandbag::Shop] as it is set now
    def shop(store)
      set(store).first
    end

    # @return [Array<String>] names of settings that cannot be read
    def damaged_settings(store)
      set(store).last
    end

    # @param of [Object] all that the calendar is made of
    # @yieldreturn [String] the calendar
    # @return [String] as it was made last, where it is made of the same
    def calendar(of)
      @lock.synchronize do
        made_of, text = @calendar
        return text if text && made_of == of
        yield.tap { |fresh| @calendar = [of, fresh] }
      end
    end

    # @return [Array(Integer, Sandbag::Shelf::Stock)] the shelf, and the place in its journal that it is folded up to
    def stock(store)
      @lock.synchronize do
        position, stock = @stock
        newest = store.stock_moves.position
        return @stock if newest == position
        position, stock = 0, Sandbag::Shelf::Stock.new if newest < position
        moves = store.stock_moves.between(position, newest).map { |row| Sandbag::Shelf::Move.new(**row) }
        folded = [newest, stock.after(moves)].freeze
        @stock = folded unless store.in_transaction?
        folded
      end
    end

    # @param circuit [Hash] the circuit's row; shop [Sandbag::Shop]
    # @return [Sandbag::Job::State] of an open job
    def state(store, job_id, circuit, shop)
      @lock.synchronize do
        journal = journal(store, job_id)
        stands = standing(store, circuit, shop)
        key = key(journal.position, circuit, stands)
        kept = @jobs[job_id]
        return kept.state if kept.key == key
        keep(job_id, Kept.new(journal, key, fresh_state(store, circuit, journal, stands))).state
      end
    end

    # @return [Sandbag::Job::State] of a job on a circuit before its first entry, wherever it is worked: its people may
    #   be those of another shop
    def empty_state(store, circuit, shop)
      stands = {**standing(store, circuit, shop), people: Sandbag::Job::People.new}
      fresh_state(store, circuit, Sandbag::Job::Journal.new([]), stands)
    end

    # Something that only grows has been taken back.
    def forget
      @lock.synchronize do
        @jobs.clear
        @stock = [0, Sandbag::Shelf::Stock.new].freeze
      end
    end

    # An entry was stored: what was worked out to admit it need not be worked out again.
    # @param state [Sandbag::Job::State] with that entry; circuit [Hash] the row it was worked out on
    def learn(job_id, state, circuit)
      @lock.synchronize do
        known = @jobs[job_id]&.journal&.position.to_i
        return if known > state.journal.position
        keep(job_id,
          Kept.new(state.journal, key(state.journal.position, circuit, state.standing.except(:last_good)), state))
      end
    end

    private

    def set(store)
      text = store.settings.text(ShopSettings::NAME)
      kept_text, kept = @shop
      return kept if kept && kept_text == text
      ShopSettings.read(store).tap { |read| @shop = [text, read] }
    end

    # What a job is folded on besides its journal and its circuit.
    def standing(store, circuit, shop)
      kind, use, training = store.machines.nature(circuit[:machine_id])
      {lubricant: shop.lubricant, machine_kind: kind, machine_use: use,
       fluid_months: Sandbag::Fluid::ChangeDue.most_months(shop.fluid_months, use), schools: shop.schools,
       training: training, two_controls: store.circuits.two_controls?(circuit),
       others: Sandbag::Job::OtherCircuits.new(store.circuits.others(circuit)), people: shop.people}
    end

    def fresh_state(store, circuit, journal, stands)
      Sandbag::Job::State.new(journal, Sandbag::Circuit::Sheet.stored(circuit[:sheet]), **stands,
        last_good: store.jobs.last_good(circuit[:id]))
    end

    def key(position, circuit, stands)
      [position, circuit[:id], circuit[:revision], stands]
    end

    def journal(store, job_id)
      journal = @jobs[job_id]&.journal || Sandbag::Job::Journal.new([])
      newest = store.journals.position(job_id)
      journal = Sandbag::Job::Journal.new([]) if newest < journal.position
      rows = (newest == journal.position) ? [] : store.journals.of_job(job_id, after: journal.position)
      journal = Sandbag::Job::Journal.new(journal.entries + rows.map { |row| entry(row) }) if rows.any?
      keep(job_id, Kept.new(journal, *@jobs[job_id]&.to_a&.drop(1)))
      journal
    end

    def entry(row)
      Sandbag::Job::Entry.new(**row.slice(:id, :stage, :kind, :data, :at, :by, :corrects, :position))
    end

    # The longest unused goes first.
    def keep(job_id, kept)
      @jobs.delete(job_id)
      @jobs.shift if @jobs.size >= MOST_JOBS
      @jobs[job_id] = kept
    end
  end
end
