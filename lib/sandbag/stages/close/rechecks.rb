# frozen_string_literal: true

require "date"

module Sandbag
  module Close
    # What is looked at again after a job (docs/trade.md 9.4).
    class Rechecks
      # No re-check is put off further than this.
      FAR_MONTHS = 3

      # @param job [Job::State]; first [Date, nil] the day that was picked for the first
      def initialize(job, first:)
        @job = job
        @first = first
        freeze
      end

      # @return [Array<Hash>] id, label, when and, where a calendar knows, the days
      def to_a
        rows.map { |row| {id: row["id"], label: row["label"], when: row["when"], days: days(row)}.compact }
      end

      # @return [Array<Hash>] id, label and on of each day, for the calendar
      def dates
        to_a.flat_map { |row| (row[:days] || []).map { |day| {id: row[:id], label: row[:label], on: day} } }
      end

      # @return [Date, nil] proposed for the first; nil before anything was written down, and where none follows
      def proposed
        ended_on && rows.first && ended_on + rows.first["days"]
      end

      private

      # A job that looks again is not followed by another.
      def rows
        return [] if @job.route&.again?
        Tables.rows("rechecks").select do |row|
          @job.sheet.suits?(row) && (row["if"] != "estimated" || estimated?)
        end
      end

      def estimated?
        fit = @job.stages["fit"]
        !fit.nil? && fit.torques.estimates.any?
      end

      # @return [Array<String>, nil] nil where only the machine's use tells
      def days(row)
        return unless row["days"] && ended_on
        first = (row["id"] == rows.first["id"] && @first) || ended_on + row["days"]
        (0...(row["times"] || 1)).map { |time| (first + time * row["days"]).iso8601 }
      end

      def ended_on
        @job.journal.newest_day
      end
    end
  end
end
