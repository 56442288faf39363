# frozen_string_literal: true

module App
  # Which job it is: machine, circuit, and since when.
  module JobHead
    # @param job [Hash]; circuit [Hash]; machine [Hash] rows of the store
    # @return [Hash]
    def self.of(job, circuit, machine)
      kind = Sandbag::Circuit::Kind.find(circuit[:sheet]["kind"])
      {
        id: job[:id],
        machine: {**machine.slice(:id, :name, :kind), training: machine[:training] == 1},
        circuit: {
          **circuit.slice(:id, :name),
          kind: kind.id
        },
        control: kind.control,
        opened_at: job[:opened_at],
        closed_at: job[:closed_at]
      }.compact
    end

    # The same out of a row of a list.
    def self.of_row(row)
      {id: row[:id], machine: {id: row[:machine_id], name: row[:machine_name], kind: row[:machine_kind]},
       circuit: {id: row[:circuit_id], name: row[:circuit_name], kind: row[:circuit_kind]}.compact,
       opened_at: row[:opened_at], closed_at: row[:closed_at]}.compact
    end
  end
end
