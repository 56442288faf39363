# frozen_string_literal: true

require "csv"

module App
  # What has to be bought for a job, as CSV.
  module BuyListCsv
    COLUMNS = %w[label detail count unit like supplier price_minor].freeze

    # @param rows [Array<Hash>] of Sandbag::Choose::Supplies, as JSON has them
    # @return [String]
    def self.of(rows)
      CSV.generate do |csv|
        csv << COLUMNS
        rows.each { |row| csv << CsvCell.safe(row.values_at(*COLUMNS)) }
      end
    end
  end
end
