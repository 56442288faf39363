# frozen_string_literal: true

module Sandbag
  module Job
    # The append-only list of a job's entries, and which of them are still in force.
    class Journal
      attr_reader :entries

      # @param entries [Array<Entry>] in the order they were taken down
      def initialize(entries)
        @entries = entries.freeze
        @corrected = entries.filter_map(&:corrects).freeze
        freeze
      end

      # @return [Array<Entry>] entries that nothing has taken back, oldest first
      def in_force
        entries.reject { |entry| entry.undo? || @corrected.include?(entry.id) }
      end

      # @return [Array<Entry>] those of one stage
      def of(stage)
        in_force.select { |entry| entry.stage == stage }
      end

      def find(id)
        entries.find { |entry| entry.id == id }
      end

      def corrected?(id)
        @corrected.include?(id)
      end
    end
  end
end
