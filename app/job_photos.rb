# frozen_string_literal: true

module App
  # Photos that entries in force name, oldest first.
  module JobPhotos
    # @param journal [Sandbag::Job::Journal]
    # @return [Array<Hash>] entry, photo, what, stage, at
    def self.of(journal)
      journal
        .in_force
        .select { |entry| entry.kind == "photo" }
        .map do |entry|
          {entry: entry.id, photo: entry.data["photo"], what: entry.data["what"], stage: entry.stage, at: entry.at}
        end
    end
  end
end
