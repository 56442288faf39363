# frozen_string_literal: true

require "date"

module Sandbag
  module Fluid
    # When the next full change of fluid is due: by interval, by estimated age or by a reading, whichever comes first
    # (docs/trade.md 2.7, 9.4). The machine's service information prevails.
    class ChangeDue
      # Water at which it is flushed at this visit, %. [default] water_verdicts.yml
      FLUSH_PERCENT = Tables.find("water_verdicts", "visit")["from"]
      DAYS_A_YEAR = Age::DAYS_A_YEAR

      # Months at most on a machine that is used hard. [default]
      HARD_MONTHS = 12

      # @param shop_months [Integer, nil] the shop's own longest interval; use [String, nil] of machine_uses.yml
      # @return [Integer, nil] months at most between full changes on a machine so used; nil leaves it to the kind of
      #   circuit
      def self.most_months(shop_months, use)
        hard = Tables.find("machine_uses", use)&.fetch("hard", false)
        [shop_months, (HARD_MONTHS if hard)].compact.min
      end

      # @param water [Hash, nil] percent and source, as FluidCheck has it
      # @param most_months [Integer, nil] as above
      def initialize(sheet, today:, water: nil, most_months: nil)
        @sheet = sheet
        @today = today
        @water = water
        @most_months = most_months
        freeze
      end

      def interval_months
        [@sheet.kind.fluid_months, @most_months].compact.min
      end

      # @return [Array<Hash>] by, on, why; soonest first
      def dates
        [interval, by_water].compact.sort_by { |date| date[:on] }
      end

      def to_h
        first = dates.first
        {
          **first,
          overdue: first[:on] <= @today,
          on: first[:on].iso8601,
          others: dates.drop(1).map { |date| {**date, on: date[:on].iso8601} }
        }
      end

      private

      def changed_on
        typed = @sheet.value("fluid", "changed_on")
        Date.iso8601(typed) unless typed == Age::UNKNOWN
      end

      def interval
        unless changed_on
          return {by: "interval", on: @today, why: "The last change is not known: that counts as overdue."}
        end
        {
          by: "interval",
          on: changed_on >> interval_months,
          why: "#{interval_months} months after the last full change."
        }
      end

      # Days until the water reaches the flush line at this circuit's rate.
      def by_water
        return unless @water
        days = ((FLUSH_PERCENT - @water[:percent]) / WaterEstimate.rate(@sheet) * DAYS_A_YEAR).floor
        measured = @water[:source] == "measured"
        why =
          "#{format("%.1f", @water[:percent])} % of water #{measured ? "read" : "estimated"} now; #{FLUSH_PERCENT} " \
            "% is the limit."
        {by: measured ? "reading" : "age", on: @today + [days, 0].max, why: why}
      end
    end
  end
end
