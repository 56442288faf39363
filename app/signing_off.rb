# frozen_string_literal: true

require "securerandom"

module App
  # Closes a job with its signature: the job keeps the circuit as it was and all that was decided, the machine's record
  # takes what was changed.
  class SigningOff
    # @param store [Store::All]; reader [JobReader]; shelf [ShelfDesk]; today [Date]
    def initialize(store, reader, shelf, today)
      @store = store
      @reader = reader
      @shelf = shelf
      @today = today
    end

    # In the transaction that stores the signature.
    # @param draft [JobWriter::Draft] of the signature
    def close(draft)
      id, circuit, state, entry = draft.job[:id], draft.circuit, draft.after, draft.entry
      @store.jobs.close(id, at: entry.at, sheet: circuit[:sheet])
      job = draft.job.merge(closed_at: entry.at)
      record(job, circuit, state)
      added = state.route&.adds && add_circuit(circuit, state, entry)
      LeverFile.new(@store).add(added ? job.merge(circuit_id: added) : job, state)
      @reader.supplies_of(state).stale.each do |pulled|
        @shelf.release(id, state.journal.find(pulled[:entry]), entry) if pulled[:item]
      end
      @shelf.use_up(id, entry)
      days, day = Sandbag::Calendar::SignedDays, Sandbag::Day.iso(entry.at)
      sheet = added ? days.beside(state, day) : days.written(state, day)
      circuit_record.write(circuit, sheet)
      due_book.sign(job, state)
    end

    # Writes the records of jobs that were signed by a Sandbag that did not keep one. Once, when the server starts.
    def record_signed
      @store.jobs.unrecorded.each do |id|
        job = @store.jobs.find(id)
        circuit = @store.circuits.find(job[:circuit_id]).merge(sheet: job[:sheet])
        state = @reader.state_of(job, circuit)
        @store.transaction { record(job, circuit, state) }
      rescue Store::Document::Damaged, Sandbag::Refusal => fault
        warn "job #{id} cannot be read: #{fault.message.inspect}"
      end
    end

    private

    # A cylinder that was added is a circuit of its own in the machine's record.
    # @return [String] its id
    def add_circuit(circuit, state, entry)
      id = SecureRandom.uuid
      sheet = Sandbag::Calendar::SignedDays.written(state, Sandbag::Day.iso(entry.at))
      name = "#{circuit[:name]}, by hand"
      circuit_record.add(id: id, machine_id: circuit[:machine_id], name: name, sheet: sheet, joined_to: circuit[:id])
      id
    end

    def circuit_record
      CircuitRecord.new(@store, due_book)
    end

    def due_book
      @due_book ||= DueBook.new(@store, @reader.shop, @today)
    end

    def record(job, circuit, state)
      content = {
        edition: Sandbag::Tables.edition,
        supplies: @reader.supplies_of(state).to_h,
        **OpenJob.new(@store, @shelf, @reader.shop, job, circuit, state, @today).to_h
      }
      @store.jobs.write_record(job[:id], JSON.parse(Sandbag::Said.in(JSON.generate(content), @reader.shop.display)))
      @store.jobs.write_headline(job[:id], state.headline, Headlines::SIGNED)
    end
  end
end
