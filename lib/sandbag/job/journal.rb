# frozen_string_literal: true

require "date"

module Sandbag
  module Job
    # The append-only list of a job's entries, and which of them are still in force.
    class Journal
      attr_reader :entries

      # @return [Array<Entry>] entries that nothing has taken back, oldest first
      attr_reader :in_force

      # @param entries [Array<Entry>] in the order they were recorded
      def initialize(entries)
        @entries = entries.freeze
        @corrected = entries.filter_map(&:corrects).to_h { |id| [id, true] }.freeze
        @in_force = entries.reject { |entry| entry.undo? || corrected?(entry.id) }.freeze
        @of_stage = in_force.group_by(&:stage).transform_values { |each| Entries.new(each) }.freeze
        freeze
      end

      # @return [Entries] those of one stage
      def of(stage)
        @of_stage.fetch(stage, NONE)
      end
      NONE = Entries.new

      # What was ever entered, taken back or not: a question that is newer than the work is told from one whose answer
      # was taken back.
      # @param name [String] of the data
      # @return [Array] that value of every entry of a stage and kind
      def ever(stage, kind, name)
        entries.filter_map { |entry| entry.data[name] if entry.stage == stage && entry.kind == kind }.uniq
      end

      def find(id)
        entries.find { |entry| entry.id == id }
      end

      def corrected?(id)
        @corrected.key?(id)
      end

      # @return [Integer] place of the newest entry, 0 in an empty journal
      def position
        entries.last&.position.to_i
      end

      # @return [Date, nil] day of the newest entry, taken back or not: today, for a job that is worked on; nil where
      #   there is none
      def newest_day
        entries.last && Day.on(entries.last.at)
      end

      # @return [Journal] with one more entry; only one that corrects changes what earlier ones say
      def with(entry)
        entry.corrects ? Journal.new(entries + [entry]) : dup.add(entry)
      end

      protected

      def add(entry)
        @entries = [*entries, entry].freeze
        @in_force = [*in_force, entry].freeze
        @of_stage = @of_stage.merge(entry.stage => of(entry.stage).with(entry)).freeze
        freeze
      end
    end
  end
end
