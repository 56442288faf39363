# frozen_string_literal: true

require "date"

module Sandbag
  module Ask
    # How long ago something was done, by the machine's record: the answer it gives to a question of the intake, and
    # whether the mechanic's own answer agrees with it.
    class RecordedAge
      # @param sheet [Circuit::Sheet] as the record has it; today [Date, nil] the day of the newest entry
      def initialize(sheet, today)
        @sheet = sheet
        @today = today
        freeze
      end

      # @param row [Hash] of intake.yml, with dated and years
      # @return [String, nil] the answer that the record's day amounts to; nil where the day is not known
      def answer(row)
        day = day(row)
        years = day && Fluid::Age.years(day, @today)
        years && row["years"].find { |_, (from, below)| years >= from && (below.nil? || years < below) }&.first
      end

      # @param said [String, nil] the mechanic's answer
      # @return [String, nil] that record and mechanic do not say the same
      def against(row, said)
        recorded = answer(row)
        return if recorded.nil? || !row["years"].key?(said) || recorded == said
        "#{row["ask"]} The record says #{Day.said(Date.iso8601(day(row)))}, you say " \
          "“#{Wording.inside(row["values"][said])}”. Correct the one that is wrong."
      end

      private

      def day(row)
        return unless row["dated"] && @today
        part, field = row["dated"].split(".")
        value = @sheet.values(@sheet.parts_of(part).first)[field]
        value.value unless value.nil? || value.value == Fluid::Age::UNKNOWN
      end
    end
  end
end
