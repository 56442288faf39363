# frozen_string_literal: true

require "securerandom"

module App
  # /api/machines
  class MachinesApi < Base
    # Jobs that come with a machine; older ones are listed by /api/jobs.
    JOBS = 20
    LONGEST_ID = 60
    # Dues that come with a machine.
    DUES = 50

    get "/" do
      asked = query_for("listMachines")
      limit = asked.fetch("limit", PAGE)
      rows = store.machines.page(limit: limit, after: asked["after"], retired: asked["retired"] || false,
        find: asked["find"], kind: asked["kind"])
      circuits = store.circuits.lines_of(rows.map { |row| row[:id] })
      items =
        rows.map do |row|
          known, lost = circuits.fetch(row[:id], []).partition { |circuit| circuit[:kind] }
          shown(row).merge(circuits: known.map { |circuit| circuit.except(:machine_id) }, **damaged(circuits: lost))
        end
      json 200,
        {
          items: items,
          counts: store.machines.counts,
          next: next_of(rows, limit) { |row| [row[:name], row[:id]] }
        }.compact
    end

    post "/" do
      body = body_for("addMachine")
      wanted = {name: body["name"], kind: body["kind"], note: body["note"] || "", **own(body)}
      fresh =
        store.transaction do
          if store.machines.include?(body["id"])
            next !same!("machine #{body["id"]}", store.machines.find(body["id"]), wanted)
          end
          store.machines.add(id: body["id"], **wanted)
          true
        end
      json(fresh ? 201 : 200, view(body["id"]))
    end

    post "/lists" do
      list = MachineList.new(store, due_book, shop)
      json 200, taken(query_for("importMachines")) { |bytes| list.read(bytes) }
    end

    get "/:id" do |id|
      json 200, view(id)
    end

    get "/:id/history.csv" do |id|
      store.machines.find(id)
      csv "history", HistoryCsv.of(plain(JobHistory.of_machine(store, id)))
    end

    patch "/:id" do |id|
      body = body_for("changeMachine")
      changes = body.slice("name", "kind", "note").transform_keys(&:to_sym).merge(own(body))
      changes[:retired_at] = (body["retired"] ? now : nil) if body.key?("retired")
      machine = store.transaction do
        store.machines.find(id)
        changed = store.machines.change(id, changes)
        due_book.write_machine(changed) if changes.key?(:kind) || changes.key?(:used_for)
        view(id)
      end
      json 200, machine
    end

    post "/:id/copies" do |id|
      body = body_for("copyMachine")
      fresh =
        store.transaction do
          original = store.machines.find(id)
          if store.machines.include?(body["id"])
            next(
              !same!(
                "machine #{body["id"]}",
                store.machines.find(body["id"]),
                name: body["name"],
                kind: original[:kind]
              )
            )
          end
          copy(original, body["id"], body["name"])
          true
        end
      json(fresh ? 201 : 200, view(body["id"]))
    end

    post "/:id/circuits" do |id|
      body = body_for("addCircuit")
      sheet = shop.limit(Sandbag::Circuit::Template.sheet(body["template"]))
      name = body["name"] || Sandbag::Tables.find("circuit_templates", body["template"])["label"]
      fresh = store.transaction do
        store.machines.find(id)
        next !same_circuit!(body["id"], id, name, sheet) if store.circuits.include?(body["id"])
        circuit_record.add_new(id: body["id"], machine_id: id, name: name, sheet: sheet)
        true
      end
      json(fresh ? 201 : 200, view(id))
    end

    helpers do
      def view(id)
        machine = store.machines.find(id)
        circuits, lost = store.circuits.of_machine(id).partition { |circuit| CircuitView.sheet(circuit) }
        comparisons, unread = comparisons_of(circuits + lost).partition { |comparison| comparison.key?(:body) }
        jobs = Headlines.new(store, memory).of(store.jobs.page(limit: JOBS, machine_id: id))
        shown(machine).merge(
          not_in_record: NotInRecord.of(jobs, circuits),
          due: store.dues.up_to((today + DueApi::CALENDAR_AHEAD).iso8601, limit: DUES, machine_id: id)
            .map { |row| DueLine.of(row, today) },
          circuits: circuits.map { |circuit| circuit_view(circuit) },
          jobs: jobs,
          comparisons: comparisons.map { |comparison| comparison.except(:body) },
          **damaged(circuits: lost, comparisons: unread)
        )
      end

      def comparisons_of(circuits)
        circuits.flat_map { |circuit| store.comparisons.of_circuit(circuit[:id]) }
      end

      # @return [Hash] what cannot be read, by what it is; nothing where all can
      def damaged(**lost)
        lines = lost.flat_map do |what, rows|
          rows.map { |row| {what: "#{what.to_s.delete_suffix("s")} #{row[:name]}", id: row[:id]} }
        end
        lines.empty? ? {} : {damaged: lines}
      end

      def shown(machine)
        machine.except(:used_for).merge(use: machine[:used_for], training: machine[:training] == 1)
      end

      # Circuits and their values, not their jobs: another machine has its own history.
      def copy(original, id, name)
        store.machines.add(id: id, name: name, **original.slice(:kind, :note, :place, :used_for))
        copies = {}
        readable = store.circuits.of_machine(original[:id]).select { |row| CircuitView.sheet(row) }
        readable.each_with_index do |circuit, index|
          copies[circuit[:id]] = free_id("#{id}.#{index + 1}")
          store.circuits.add(id: copies[circuit[:id]], machine_id: id, name: circuit[:name],
            sheet: circuit[:sheet], joined_to: copies[circuit[:joined_to]])
        end
        due_book.write_machine(store.machines.find(id))
      end

      # What the owner calls it, where it stands, how it is used, and its odometer or hours.
      def own(body)
        {mark: body["mark"], place: body["place"], used_for: body["use"], meter: body["meter"],
         training: {true => 1, false => 0}[body["training"]]}.compact
      end

      # An id made of another may be taken, or too long.
      def free_id(wanted)
        (wanted.length > LONGEST_ID || store.circuits.include?(wanted)) ? SecureRandom.uuid : wanted
      end

      def same_circuit!(id, machine_id, name, sheet)
        known = store.circuits.find(id)
        same!("circuit #{id}", {**known.slice(:machine_id, :name), kind: known[:sheet]["kind"]}, machine_id: machine_id,
          name: name, kind: sheet.kind.id)
      end
    end
  end
end
