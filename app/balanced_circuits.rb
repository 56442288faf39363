# frozen_string_literal: true

module App
  # Two circuits of one machine that share a pedal by a balance bar.
  class BalancedCircuits
    # @param store [Store::All]; row [Hash] of one of the two
    # Refuses a circuit that is not on a balance bar, and a machine that has no other one or more than one.
    def initialize(store, row)
      rows = store.circuits.of_machine(row[:machine_id]).select do |each|
        CircuitView.sheet(each)&.kind&.has?("balance_bar")
      end
      refuse_alone(rows, row)
      @rows = Sandbag::Choose::Balance.ends(rows) { |each| CircuitView.sheet(each) }
    end

    # @param front_percent [Float, nil] see Sandbag::Choose::Balance
    def to_h(front_percent)
      sheets = @rows.transform_values { |row| CircuitView.sheet(row) }
      {ends: @rows.transform_values { |row| row.slice(:id, :name) },
       **Sandbag::Choose::Balance.new(sheets, front_percent: front_percent).to_h}
    end

    # Writes where the bar stands into both records.
    # @param circuit_record [CircuitRecord]
    def write(front_percent, circuit_record)
      {front: front_percent, rear: 100 - front_percent}.each do |name, percent|
        sheet = CircuitView.sheet(@rows.fetch(name))
        circuit_record.write(@rows.fetch(name), sheet.set("lever", "bar_share", percent, "measured"))
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
