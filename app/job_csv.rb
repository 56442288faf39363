# frozen_string_literal: true

require "csv"

module App
  # What a job took down, as CSV in the core's units, a line an entry; what was taken back stands there too, marked.
  class JobCsv
    # Stage and kinds of entry that each file holds, and the names of their data that get a column.
    FILES = {
      "readings" => {
        stage: "feel", kinds: %w[reading curve lift hold hold_series pump preload test set_aside accepted],
        columns: {"force" => "force_n", "travel" => "travel_mm", "lift" => "lift_mm", "creep" => "creep_mm",
                  "gauge" => "gauge", "instrument" => "instrument", "test" => "test", "value" => "value",
                  "amount" => "amount", "entry" => "of_entry", "reason" => "reason"}
      },
      "strokes" => {
        stage: "bleed", kinds: nil,
        columns: {"point" => "point", "ml" => "ml", "out" => "out_ml", "beat" => "beat", "colour" => "colour",
                  "method" => "method", "check" => "check", "value" => "value"}
      },
      "torque" => {
        stage: "fit", kinds: %w[torque wrench washers free_play],
        columns: {"fastener" => "fastener", "value" => "value", "joint" => "joint", "old" => "old", "new" => "new",
                  "at" => "measured_at", "name" => "tool", "scale" => "scale", "by" => "origin", "source" => "source"}
      }
    }.freeze
    # A series is as many lines as it has readings.
    PAIRS = {"curve" => %w[forces travels], "hold_series" => %w[times travels], "pump" => ["travels"]}.freeze

    # @param entries [Array<Hash>] of the journal, oldest first
    def initialize(entries)
      @entries = entries
      @taken_back = entries.filter_map { |entry| entry[:corrects] }
    end

    # @param name [String] of FILES
    # @return [String]
    def file(name)
      file = FILES.fetch(name)
      CSV.generate do |csv|
        csv << %w[at by entry kind] + file[:columns].values + (series?(file) ? %w[time_s] : []) + %w[taken_back]
        @entries.select { |entry| of?(file, entry) }.each do |entry|
          lines(entry).each { |data| csv << CsvCell.safe(cells(file, entry, data)) }
        end
      end
    end

    private

    def of?(file, entry)
      return false unless entry[:stage] == file[:stage] && entry[:corrects].nil?
      file[:kinds].nil? || file[:kinds].include?(entry[:kind])
    end

    def series?(file)
      file[:kinds]&.include?("hold_series")
    end

    # @return [Array<Hash>] data of each line
    def lines(entry)
      names = PAIRS[entry[:kind]]
      return [entry[:data]] unless names
      single = {"forces" => "force", "travels" => "travel", "times" => "time"}
      entry[:data].values_at(*names).transpose.map do |values|
        entry[:data].except(*names).merge(names.zip(values).to_h { |name, value| [single.fetch(name), value] })
      end
    end

    def cells(file, entry, data)
      [*entry.values_at(:at, :by, :id, :kind), *data.values_at(*file[:columns].keys),
        *(series?(file) ? [data["time"]] : []), (@taken_back.include?(entry[:id]) ? "yes" : nil)]
    end
  end
end
