# frozen_string_literal: true

module App
  # A stored circuit with what follows from its values.
  module CircuitView
    def self.of(row, today)
      sheet = Sandbag::Circuit::Sheet.stored(row[:sheet])
      row.slice(:id, :machine_id, :name).merge(sheet: sheet.to_h,
        figures: Sandbag::Circuit::Summary.new(sheet, today: today).to_h)
    end
  end
end
