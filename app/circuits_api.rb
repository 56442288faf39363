# frozen_string_literal: true

module App
  # /api/circuits
  class CircuitsApi < Base
    get "/:id" do |id|
      json 200, CircuitView.of(store.circuits.find(id))
    end

    patch "/:id" do |id|
      changes = body_for("changeCircuit")["changes"]
      view = store.transaction do
        row = store.circuits.find(id)
        sheet = changes.reduce(Sandbag::Circuit::Sheet.new(row[:sheet])) do |changed, change|
          changed.change(change["part"], change["field"], change["value"], change["source"] || "measured")
        end
        changed = CircuitView.of(row.merge(sheet: sheet.to_h))
        store.circuits.write_sheet(id, sheet.to_h)
        changed
      end
      json 200, view
    end
  end
end
