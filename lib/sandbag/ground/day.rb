# frozen_string_literal: true

require "date"

module Sandbag
  # A day as somebody writes it.
  module Day
    MONTHS = Date::ABBR_MONTHNAMES.compact.map(&:downcase).freeze
    ACCEPTED = "a day such as 1 Dec 2026, 1.12.2026 or 2026-12-01; the day comes before the month"
    SPLIT = %r{[\s./-]+}

    # @param typed [String] 2026-12-01, 1.12.2026, 1/12/2026, 1 Dec 2026, 1 December 2026; without a year where
    #   `after` is given
    # @param after [Date, nil] a day without a year is the next such day from this one on
    # @return [Date, nil] nil for what is no day
    def self.read(typed, after: nil)
      pieces = typed.to_s.strip.delete_suffix(".").delete(",").split(SPLIT)
      pieces.reverse! if pieces.first&.match?(/\A\d{4}\z/)
      day, month, year = pieces
      return if pieces.size > 3 || !day&.match?(/\A\d{1,2}\z/)
      month = number(month)
      year ? date(year, month, day) : next_one(month, day, after)
    end

    # @return [Boolean] it is a day as it is stored, 2026-12-01
    def self.iso?(text)
      text.match?(/\A\d{4}-\d\d-\d\d\z/) && Date.valid_date?(*text.split("-").map(&:to_i))
    end

    # @return [String] as it is said in a sentence: 1 Dec 2026
    def self.said(date)
      date.strftime("%-d %b %Y")
    end

    # @param iso [String] a day or a moment as it is stored, 2026-12-01T09:30:00Z
    # @return [String] its day as it is stored: 2026-12-01
    def self.iso(iso)
      iso[0, 10]
    end

    # @param iso [String] as above
    # @return [Date]
    def self.on(iso)
      Date.iso8601(iso(iso))
    end

    # @param iso [String] as above
    # @return [String] its day as it is said: 1 Dec 2026
    def self.of(iso)
      said(on(iso))
    end

    # @param iso [String] as above
    # @return [String] 1 Dec 2026, 09:30 UTC
    def self.moment(iso)
      "#{of(iso)}, #{iso[11, 5]} UTC"
    end

    # @return [Integer, nil] 1 to 12
    def self.number(month)
      return month.to_i if month&.match?(/\A\d{1,2}\z/)
      at = MONTHS.index(month.to_s.downcase[0, 3])
      at + 1 if at && Date::MONTHNAMES[at + 1].downcase.start_with?(month.downcase)
    end

    def self.date(year, month, day)
      if year.to_s.match?(/\A\d{4}\z/) && month && Date.valid_date?(year.to_i, month, day.to_i)
        Date.new(year.to_i, month, day.to_i)
      end
    end

    def self.next_one(month, day, after)
      return unless after
      [after.year, after.year + 1].filter_map { |year| date(year, month, day) }.find { |each| each >= after }
    end
    private_class_method :number, :date, :next_one
  end
end
