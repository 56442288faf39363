# frozen_string_literal: true

module App
  # /api/machines
  class MachinesApi < Base
    get "/" do
      limit = page_limit
      rows = store.machines.page(limit: limit, after: params["after"])
      items = rows.map { |row| row.merge(circuits: circuits_of(row[:id]).map { |circuit| brief(circuit) }) }
      json 200, {items: items, next: (rows.last[:name] if rows.size == limit)}.compact
    end

    get "/:id" do |id|
      machine = store.machines.find(id)
      circuits = circuits_of(id)
      jobs = store.jobs.of_circuits(circuits.map { |circuit| circuit[:id] })
      json 200, machine.merge(circuits: circuits.map { |circuit| CircuitView.of(circuit) }, jobs: JobDesk.new(store).lines(jobs))
    end

    helpers do
      def circuits_of(machine_id)
        store.circuits.of_machine(machine_id)
      end

      def brief(circuit)
        {id: circuit[:id], name: circuit[:name], kind: circuit[:sheet]["kind"]}
      end
    end
  end
end
