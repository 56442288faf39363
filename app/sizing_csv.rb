# frozen_string_literal: true

require "csv"

module App
  # A sizing as CSV, one line a cylinder, in the core's units.
  module SizingCsv
    COLUMNS = %i[label bore_mm push_offset_mm fitted force_n travel_mm stroke_mm reserve_stroke_share reserve_travel_share lever_ratio force_ratio
      volume_ratio band lift_mm effort_change_percent travel_change_percent felt front].freeze

    # @param sizing [Hash] of Sandbag::Choose::Sizing
    # @return [String]
    def self.of(sizing)
      CSV.generate do |csv|
        csv << COLUMNS + %i[rejected warnings]
        sizing[:rows].each { |row| csv << row.values_at(*COLUMNS) + row.values_at(:rejected, :warnings).map { |reasons| reasons.join("; ") } }
      end
    end
  end
end
