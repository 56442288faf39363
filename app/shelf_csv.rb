# frozen_string_literal: true

require "csv"

module App
  # What is on the shelf, as CSV.
  module ShelfCsv
    COLUMNS = %w[id kind name place supplier amount unit price_minor].freeze

    # @param items [Array<Hash>] as JSON has them
    # @return [String]
    def self.of(items)
      fields = items.flat_map { |item| item["fields"].keys }.uniq.sort
      CSV.generate do |csv|
        csv << COLUMNS + fields
        items.each { |item|
          csv << CsvCell.safe(item.values_at(*COLUMNS) + fields.map { |name|
            cell(item["fields"][name])
          })
        }
      end
    end

    def self.cell(value)
      value.is_a?(Array) ? value.join(" ") : value
    end
    private_class_method :cell
  end
end
