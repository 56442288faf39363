# frozen_string_literal: true

require "csv"

module App
  # What was done to a machine, a line a signed job, as CSV.
  module HistoryCsv
    COLUMNS = %w[job circuit opened_at closed_at route complaint fluid lever].freeze

    # @param lines [Array<Hash>] of JobHistory with job, circuit and opened_at, as JSON has them
    # @return [String]
    def self.of(lines)
      CSV.generate do |csv|
        csv << COLUMNS
        lines.each { |line| csv << CsvCell.safe(line.values_at(*COLUMNS)) }
      end
    end
  end
end
