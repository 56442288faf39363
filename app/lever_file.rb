# frozen_string_literal: true

require "date"

module App
  # Levers on file: what signed jobs found, by circuit.
  class LeverFile
    # @param store [Store::All]
    def initialize(store)
      @store = store
    end

    # Takes down what a job found its lever to be, and how the circuit stands with that.
    # @param job [Hash] row of the store, with closed_at; state [Sandbag::Job::State] signed
    def add(job, state)
      points = Sandbag::Feel::LeverRecord.of(state.feel, job[:opened_at], job[:closed_at])
      return if points.empty?
      @store.levers.add(job[:id], job[:circuit_id], points)
      rank(job[:circuit_id])
    end

    # How every circuit stands that has levers on file and was never ranked. Once, when the server starts.
    def rank_unranked
      @store.levers.unranked.each { |circuit_id| @store.transaction { rank(circuit_id) } }
    end

    # How a circuit's lever stands, by its newest.
    def rank(circuit_id)
      standing = history(circuit_id).standing
      return @store.levers.drop_standing(circuit_id) unless standing
      @store.levers.write_standing(circuit_id, standing, Sandbag::Day.on(standing["at"]).jd)
    end

    # @return [Sandbag::Feel::History]
    def history(circuit_id)
      Sandbag::Feel::History.new(@store.levers.of_circuit(circuit_id))
    end
  end
end
