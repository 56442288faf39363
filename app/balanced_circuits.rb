# frozen_string_literal: true

module App
  # Two circuits of one machine that share a pedal by a balance bar.
  class BalancedCircuits
    # @param store [Store::All]; row [Hash] of one of the two
    # Refuses a circuit that is not on a balance bar, and a machine that has no other one or more than one.
    def initialize(store, row)
      circuits = store.circuits.of_machine(row[:machine_id]).to_h { |each| [each, CircuitView.sheet(each)] }
        .select { |_, sheet| sheet&.kind&.has?("balance_bar") }
      refuse_alone(circuits.keys, row)
      @rows = Sandbag::Choose::Balance.ends(circuits.keys) { |each| circuits.fetch(each) }
      @sheets = @rows.transform_values { |each| circuits.fetch(each) }
    end

    # @param front_percent [Float, nil] see Sandbag::Choose::Balance
    def to_h(front_percent)
      {ends: @rows.transform_values { |row| row.slice(:id, :name) },
       **Sandbag::Choose::Balance.new(@sheets, front_percent: front_percent).to_h}
    end

    # Writes where the bar stands into both records.
    # @param circuit_record [CircuitRecord]
    def write(front_percent, circuit_record)
      {front: front_percent, rear: 100 - front_percent}.each do |name, percent|
        sheet = @sheets.fetch(name).set("lever", "bar_share", percent, "measured")
        circuit_record.write(@rows.fetch(name), sheet)
      end
    end

    private

    def refuse_alone(rows, row)
      unless rows.any? { |each| each[:id] == row[:id] }
        raise Sandbag::Refusal.at("id", "#{row[:name]} is not on a balance bar", "a circuit on a balance bar")
      end
      return if rows.size == 2
      raise Sandbag::Refusal.at("id",
        "circuits on a balance bar in this machine's record: #{rows.map { |each| each[:name] }.join(", ")}",
        "two: the front one and the rear one")
    end
  end
end
