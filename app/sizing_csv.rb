# frozen_string_literal: true

require "csv"

module App
  # A sizing as CSV, one line a cylinder, in the shop's units; each column of lengths names its unit.
  module SizingCsv
    # Columns in millimetres of the sizing's rows, by what they are called.
    LENGTHS = {
      "bore" => "bore_mm",
      "push_offset" => "push_offset_mm",
      "travel" => "travel_mm",
      "stroke" => "stroke_mm",
      "lift" => "lift_mm"
    }.freeze
    COLUMNS = %w[
      label
      bore
      push_offset
      fitted
      force_n
      travel
      stroke
      reserve_stroke_share
      reserve_travel_share
      lever_ratio
      force_ratio
      volume_ratio
      band
      lift
      effort_change_percent
      travel_change_percent
      felt
      front
    ].freeze
    SENTENCES = %w[rejected warnings].freeze

    # @param sizing [Hash] of Sandbag::Choose::Sizing, as JSON has it
    # @param display [Hash] of Sandbag::Shop
    # @return [String]
    def self.of(sizing, display)
      length = display["length"] || {unit: "mm", factor: 1}
      CSV.generate do |csv|
        csv << COLUMNS.map { |column| LENGTHS.key?(column) ? "#{column}_#{length[:unit]}" : column } + SENTENCES
        sizing["rows"].each do |row|
          csv << CsvCell.safe(
            cells(row, length[:factor]) + row.values_at(*SENTENCES).map { |reasons| reasons.join("; ") }
          )
        end
      end
    end

    def self.cells(row, factor)
      COLUMNS.map do |column|
        value = row[LENGTHS.fetch(column, column)]
        LENGTHS.key?(column) ? value && (value * factor).round(6) : value
      end
    end
    private_class_method :cells
  end
end
