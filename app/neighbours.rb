# frozen_string_literal: true

module App
  # Other open jobs on the same circuit, or on the other control of the same far end: none is signed while one of them
  # has the circuit open, or is stopped.
  class Neighbours
    MOST = 50

    # @param store [Store::All]; memory [Memory]
    def initialize(store, memory)
      @store = store
      @headlines = Headlines.new(store, memory)
    end

    # Refuses a signature that another job stands against.
    # @param job [Hash]; circuit [Hash] rows of the store
    def refuse_signature(job, circuit)
      against = lines(job, circuit).find { |line| reason(line) }
      return unless against
      raise Sandbag::Refusal.at("kind",
        "another job on #{against[:circuit][:name]} is not finished: #{reason(against)}",
        "that job finished, or what it began taken back; job #{against[:id]}")
    end

    private

    def lines(job, circuit)
      shared = [circuit[:id], @store.circuits.other_control(circuit[:id])&.fetch(:id)]
      rows = %i[open referred]
        .flat_map { |state| @store.jobs.page(limit: MOST, state: state, machine_id: circuit[:machine_id]) }
        .select { |row| shared.include?(row[:circuit_id]) && row[:id] != job[:id] }
      @headlines.of(rows)
    end

    def reason(line)
      line[:stop] || line[:do_not_use] || line[:begun]
    end
  end
end
