# frozen_string_literal: true

module Sandbag
  module Rig
    # How far somebody has come with the lessons, in their order: a lesson is passed when it was done without a slip so
    # many times in a row.
    class Learner
      # In a row. [default]
      TIMES = 2

      # @param results [Array<Hash>] of one person, oldest first: lesson, done, slips, exam and at, by string keys
      def initialize(results)
        @results = results.group_by { |result| result["lesson"] }
        freeze
      end

      # @return [Array<Hash>] of each lesson: id, label, teaches, tries, in_a_row, passed; passed_on: the day of the run
      #   that passed it last; exam_on: the last day on which it was done without a slip and without help; next: it is
      #   the first that is not passed
      def path
        rows = Tables.rows("lessons").map { |row| line(row) }
        coming = rows.find { |row| !row[:passed] }
        rows.map { |row| row.merge(next: row.equal?(coming)) }
      end

      private

      def line(row)
        tries = @results.fetch(row["id"], [])
        in_a_row = [tries.reverse.take_while { |result| clean?(result) }.size, TIMES].min
        passed = in_a_row == TIMES
        {id: row["id"], label: row["label"], teaches: row["teaches"], tries: tries.size, in_a_row: in_a_row,
         passed: passed, passed_on: (day(tries.last) if passed),
         exam_on: day(tries.reverse.find { |result| clean?(result) && result["exam"] })}.compact
      end

      def clean?(result)
        result["done"] && result["slips"].zero?
      end

      def day(result)
        result && Day.iso(result["at"])
      end
    end
  end
end
