# frozen_string_literal: true

module App
  # A stored circuit with what follows from its values.
  module CircuitView
    # @param other [Hash, nil] row of the circuit of another control on the same far end
    def self.of(row, today, other: nil)
      sheet = Sandbag::Circuit::Sheet.stored(row[:sheet])
      {
        **row.slice(:id, :machine_id, :name, :revision),
        sheet: sheet.to_h,
        figures: Sandbag::Circuit::Summary.new(sheet, today: today).to_h,
        other_control: (other_view(other) if other)
      }.compact
    end

    # @param row [Hash] of a circuit; without a sheet where that is damaged
    # @return [Sandbag::Circuit::Sheet, nil] nil for one that cannot be read
    def self.sheet(row)
      row[:sheet] && Sandbag::Circuit::Sheet.stored(row[:sheet])
    rescue Sandbag::Refusal, KeyError => fault
      warn "circuit #{row[:id]} cannot be read: #{fault.class}: #{fault.message.inspect}"
      nil
    end

    def self.other_view(row)
      {**row.slice(:id, :name), in_line: row[:joined_to].nil?}
    end
    private_class_method :other_view
  end
end
