# frozen_string_literal: true

module App
  # Opens jobs.
  class JobOpening
    # @param store [Store::All]
    def initialize(store)
      @store = store
    end

    # @param machine [Hash] row of the store; pointer [String] where it was named
    # Refuses one that is retired.
    def self.refuse_retired(machine, pointer)
      return unless machine[:retired_at]
      raise Sandbag::Refusal.at(pointer, "#{machine[:name]} is retired", "the machine brought back first")
    end

    # @param follows [String, nil] id of the re-check that it is opened for
    # @return [Boolean] false when the job was there already
    # Refuses a machine that is retired, a circuit on which a job is open, unless it is asked for all the same, and a
    # re-check of another one.
    def open(id, circuit_id, at, beside: false, follows: nil)
      @store.transaction do
        circuit = @store.circuits.find(circuit_id)
        next same_job?(id, circuit_id) if @store.jobs.include?(id)
        JobOpening.refuse_retired(@store.machines.find(circuit[:machine_id]), "circuit_id")
        refuse_second(circuit_id) unless beside
        refuse_other_recheck(follows, circuit_id) if follows
        @store.jobs.open(id: id, circuit_id: circuit_id, at: at, follows: follows)
      end
    end

    private

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
  end
end
