# frozen_string_literal: true

module Sandbag
  module Job
    # A row of a table that is asked with few answers, some of them good, and the answer that was given.
    class Asked
      attr_reader :row, :answer

      # @param row [Hash] with id, label, answers and good; answer [String, nil]
      def initialize(row, answer)
        @row = row
        @answer = answer
        freeze
      end

      # @param rows [Array<Hash>]; answers [Hash{String => Hash}] data of the newest entries by the row's id
      # @return [Array<Asked>]
      def self.all(rows, answers)
        rows.map { |row| new(row, answers.dig(row["id"], "value")) }
      end

      def id
        row["id"]
      end

      def good?
        row["good"].include?(answer)
      end

      def bad?
        !answer.nil? && !good?
      end

      # Refuses an answer that the row does not have.
      def refuse_unknown(value)
        return if row["answers"].key?(value)
        raise Refusal.at("data/value", "“#{value}” is not one of the answers", row["answers"].keys.join(", "))
      end

      def to_h
        {id: id, label: row["label"], answers: row["answers"], answer: answer, good: good?}.compact
      end
    end
  end
end
