# frozen_string_literal: true

module Store
  # Saved comparisons of cylinders on a circuit; `body` is what the sizing was asked.
  class Comparisons
    def initialize(database)
      @comparisons = database[:comparisons]
    end

    # @return [Hash] the comparison; the one already there when the id was used before
    def add(id:, circuit_id:, job_id:, name:, at:, body:)
      @comparisons.insert_conflict(target: :id).insert(id: id, circuit_id: circuit_id, job_id: job_id, name: name,
        at: at, body: Document.dump(body))
      find(id)
    end

    def find(id)
      read(@comparisons.first(id: id) || raise(Missing.new("comparison", id)))
    end

    # @return [Array<Hash>] of one circuit, newest first; a damaged one without its body
    def of_circuit(circuit_id)
      @comparisons.where(circuit_id: circuit_id).order(Sequel.desc(:at)).map do |row|
        row.merge(body: Document.try(row[:body])).compact
      end
    end

    private

    def read(row)
      row.merge(body: Document.load(row[:body])).compact
    end
  end
end
