# frozen_string_literal: true

module App
  # /api/machines
  class MachinesApi < Base
    get "/" do
      limit = page_limit
      rows = store.machines.page(limit: limit, after: params["after"], retired: params["retired"] == "true")
      items = rows.map { |row| row.merge(circuits: circuits_of(row[:id]).map { |circuit| brief(circuit) }) }
      json 200, {items: items, next: (rows.last[:name] if rows.size == limit)}.compact
    end

    post "/" do
      body = body_for("addMachine")
      machine = store.transaction do
        store.machines.add(id: body["id"], name: body["name"], kind: body["kind"], note: body["note"] || "") unless store.machines.include?(body["id"])
        view(body["id"])
      end
      json 201, machine
    end

    get "/:id" do |id|
      json 200, view(id)
    end

    patch "/:id" do |id|
      body = body_for("changeMachine")
      changes = body.slice("name", "kind", "note").transform_keys(&:to_sym)
      changes[:retired_at] = (body["retired"] ? now : nil) if body.key?("retired")
      machine = store.transaction do
        store.machines.find(id)
        store.machines.change(id, changes)
        view(id)
      end
      json 200, machine
    end

    post "/:id/copies" do |id|
      body = body_for("copyMachine")
      machine = store.transaction do
        original = store.machines.find(id)
        copy(original, body["id"], body["name"]) unless store.machines.include?(body["id"])
        view(body["id"])
      end
      json 201, machine
    end

    post "/:id/circuits" do |id|
      body = body_for("addCircuit")
      sheet = shop.limit(Sandbag::Circuit::Template.sheet(body["template"]))
      machine = store.transaction do
        store.machines.find(id)
        name = body["name"] || Sandbag::Knowledge.find("circuit_templates", body["template"])["label"]
        store.circuits.add(id: body["id"], machine_id: id, name: name, sheet: sheet.to_h) unless store.circuits.include?(body["id"])
        view(id)
      end
      json 201, machine
    end

    helpers do
      def view(id)
        machine = store.machines.find(id)
        circuits = circuits_of(id)
        jobs = store.jobs.of_circuits(circuits.map { |circuit| circuit[:id] })
        comparisons = circuits.flat_map { |circuit| store.comparisons.of_circuit(circuit[:id]) }
        machine.merge(circuits: circuits.map { |circuit| CircuitView.of(circuit, today) }, jobs: JobDesk.new(store, today).lines(jobs),
          comparisons: comparisons.map { |comparison| comparison.except(:body) })
      end

      # Circuits and their values, not their jobs: another machine has its own history.
      def copy(original, id, name)
        store.machines.add(id: id, name: name, kind: original[:kind], note: original[:note])
        circuits_of(original[:id]).each_with_index do |circuit, index|
          store.circuits.add(id: "#{id}.#{index + 1}", machine_id: id, name: circuit[:name], sheet: circuit[:sheet])
        end
      end

      def circuits_of(machine_id)
        store.circuits.of_machine(machine_id)
      end

      def brief(circuit)
        {id: circuit[:id], name: circuit[:name], kind: circuit[:sheet]["kind"]}
      end
    end
  end
end
