# frozen_string_literal: true

module Sandbag
  module Job
    # Checks an entry's data against knowledge/entry_kinds.yml and turns what was typed into the core's units.
    module EntryReader
      # @return [Entry] the same entry with its data read
      # Refuses, at data/<name>, an unknown kind, an unknown or missing name, and values outside their limits.
      def self.read(entry)
        return entry.with(data: {}) if entry.undo?
        row = Tables.find("entry_kinds", "#{entry.stage}.#{entry.kind}")
        unless row
          known =
            Tables.rows("entry_kinds").select { |each| each["stage"] == entry.stage }.map { |each| each["kind"] }
          raise Refusal.at(
            "kind",
            "#{entry.stage} has no entry called #{entry.kind}",
            (known + [Entry::UNDO]).join(", ")
          )
        end
        entry.with(data: Refusal.within("data") { DataReader.read(row["data"], entry.data) })
      end
    end
  end
end
