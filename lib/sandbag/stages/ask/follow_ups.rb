# frozen_string_literal: true

module Sandbag
  module Ask
    # What single findings lead to, whatever the likeliest cause is: a repair of its own, or a wait before one looks
    # again (findings.yml, repairs and stand).
    class FollowUps
      # @param findings [Findings]
      def initialize(findings)
        @findings = findings
        freeze
      end

      # @return [Hash{Job::Route => String}] repair => the finding that means it
      def repairs
        said("repairs").to_h do |row, value, id|
          [Job::Route.find(id), "#{row["label"]}: #{Wording.inside(row["values"][value])}"]
        end
      end

      # @return [Hash, nil] finding and wait of what has to stand before it is looked at again, and the wait's label
      def stand
        row, _, wait = said("stand").first
        row && {finding: row["id"], wait: wait, label: Tables.find("waits", wait)["label"]}
      end

      private

      # @return [Array<Array(Hash, String, String)>] finding, value found, and what a column says of that value
      def said(column)
        Tables.rows("findings").select { |row| row[column] }.flat_map do |row|
          @findings.values(row["id"]).filter_map { |value| [row, value, row[column][value]] if row[column][value] }
        end
      end
    end
  end
end
