# frozen_string_literal: true

module Sandbag
  module Rig
    # How far somebody has come with the lessons, in their order: a lesson is passed when it was done without a slip so
    # many times in a row.
    class Learner
      # In a row. [default]
      TIMES = 2

      # @param results [Array<Hash>] of one person, oldest first: lesson, done and slips, by string keys
      def initialize(results)
        @results = results.group_by { |result| result["lesson"] }
        freeze
      end

      # @return [Array<Hash>] of each lesson: id, label, teaches, tries, in_a_row, passed; next: the first not passed
      def path
        rows = Tables.rows("lessons").map { |row| line(row) }
        coming = rows.find { |row| !row[:passed] }
        rows.map { |row| row.merge(next: row.equal?(coming)) }
      end

      private

      def line(row)
        tries = @results.fetch(row["id"], [])
        in_a_row = [tries.reverse.take_while { |result| result["done"] && result["slips"].zero? }.size, TIMES].min
        {id: row["id"], label: row["label"], teaches: row["teaches"], tries: tries.size, in_a_row: in_a_row,
         passed: in_a_row == TIMES}
      end
    end
  end
end
