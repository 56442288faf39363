# frozen_string_literal: true

require "date"

module Sandbag
  module Choose
    # Whether a part is due by the calendar while its job has the place open (docs/trade.md 2.4, 9.4).
    class Renewal
      # @param sheet [Circuit::Sheet]; interval [String] of intervals.yml; on [Date] the day the job began
      def initialize(sheet, interval, on)
        @row = Tables.find("intervals", interval)
        day = sheet.value(@row["part"], @row["field"])
        @last = (Date.iso8601(day) unless day == Fluid::Age::UNKNOWN)
        @on = on
        freeze
      end

      # Not where its day is not on record.
      def due?
        !@last.nil? && (@last >> @row["months"]) <= @on
      end

      # @return [String] how old it is, and how old it may be
      def said
        every = "every #{@row["months"]} months"
        return "#{every}; the day is not on record" unless @last
        "#{every}; last renewed #{Day.said(@last)}#{", due now" if due?}"
      end
    end
  end
end
