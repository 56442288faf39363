# frozen_string_literal: true

module App
  # Cells that a spreadsheet shows as text: what starts like a formula gets an apostrophe before it.
  module CsvCell
    # Blanks before it do not stop a spreadsheet, nor does a sign of another width.
    FORMULA = /\A(?:[[:space:]]*[=+\-@＝＋－＠]|[\t\r\n])/

    # @param cells [Array] of one line
    # @return [Array]
    def self.safe(cells)
      cells.map { |cell| (cell.is_a?(String) && cell.match?(FORMULA)) ? "'#{cell}" : cell }
    end
  end
end
