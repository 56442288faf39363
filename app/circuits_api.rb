# frozen_string_literal: true

module App
  # /api/circuits
  class CircuitsApi < Base
    get "/:id" do |id|
      json 200, circuit_view(store.circuits.find(id))
    end

    get "/:id/balance" do |id|
      asked = query_for("readBalance")
      json 200, balanced(id).to_h(asked["front_percent"])
    end

    put "/:id/balance" do |id|
      percent = body_for("writeBalance")["front_percent"]
      json 200, store.transaction {
        balanced(id).write(percent, circuit_record)
        balanced(id).to_h(nil)
      }
    end

    get "/:id/levers" do |id|
      store.circuits.find(id)
      json 200, LeverFile.new(store).history(id).to_h
    end

    get "/:id/lever.svg" do |id|
      sheet = Sandbag::Circuit::Sheet.stored(store.circuits.find(id)[:sheet])
      points = Sandbag::Circuit::Summary.new(sheet, today: today).to_h[:curve]
      raise Store::Missing.new("lever curve of circuit", id) unless points&.any?
      curve = {"expected" => points.map { |point| point.values_at(:force_n, :travel_mm) }}
      svg "lever", CurvePlot.new(curve, sheet.kind.control["noun"], plain(shop.display["length"])).svg
    end

    get "/:id/heights.svg" do |id|
      svg "heights", plots(id).heights
    end

    get "/:id/sizing.svg" do |id|
      svg "sizing", plots(id).sizing
    end

    get "/:id/levers.svg" do |id|
      drawn = plots(id).levers(plain(LeverFile.new(store).history(id).to_h)["points"])
      svg "levers", drawn || raise(Store::Missing.new("two readings of a lever of circuit", id))
    end

    patch "/:id" do |id|
      body = body_for("changeCircuit")
      changes = body["changes"]
      view = store.transaction do
        row = store.circuits.find(id)
        Stale.refuse(row[:revision], body["revision"]) { changed_fields(row, changes) }
        sheet = changes.reduce(Sandbag::Circuit::Sheet.stored(row[:sheet])) do |changed, change|
          changed.change(change["part"], change["field"], change["value"], change["source"] || "measured")
        end
        Sandbag::Circuit::Days.refuse_future(sheet, today)
        changed = circuit_view(row.merge(sheet: sheet.to_h, revision: row[:revision] + 1))
        circuit_record.write(row, sheet)
        changed
      end
      json 200, view
    end

    put "/:id" do |id|
      body = body_for("replaceCircuit")
      sheet = Sandbag::Refusal.within("sheet") { Sandbag::Circuit::Sheet.new(body["sheet"]) }
      view = store.transaction do
        row = store.circuits.find(id)
        Stale.refuse(row[:revision], body["revision"]) { whole_fields(row, body["name"], sheet) }
        refuse_other_kind(row, sheet)
        Sandbag::Circuit::Days.refuse_future(sheet, today)
        replaced = circuit_view(row.merge(name: body["name"], sheet: sheet.to_h, revision: row[:revision] + 1))
        store.circuits.rename(id, body["name"])
        circuit_record.write(row, sheet)
        replaced
      end
      json 200, view
    end

    helpers do
      def balanced(id)
        BalancedCircuits.new(store, store.circuits.find(id))
      end

      # @return [Hash{String => Array}] see Stale
      def changed_fields(row, changes)
        changes.to_h do |change|
          ["#{change["part"]}/#{change["field"]}", [stored(row, change["part"], change["field"]), change["value"]]]
        end
      end

      def whole_fields(row, name, sheet)
        values = sheet.to_h["parts"].flat_map do |part|
          part["values"].map do |field, value|
            ["#{part["id"]}/#{field}", [stored(row, part["id"], field), value["value"]]]
          end
        end
        {"name" => [row[:name], name], **values.to_h}
      end

      def stored(row, part, field)
        row[:sheet]["parts"].find { |each| each["id"] == part }&.dig("values", field, "value")
      end

      def plots(id)
        sheet = Sandbag::Circuit::Sheet.stored(store.circuits.find(id)[:sheet])
        CircuitPlots.new(sheet, plain(shop.display["length"]))
      end

      def refuse_other_kind(row, sheet)
        return if row[:sheet]["kind"] == sheet.kind.id
        raise Sandbag::Refusal.at("sheet/kind", "a circuit stays of its kind", row[:sheet]["kind"])
      end
    end
  end
end
