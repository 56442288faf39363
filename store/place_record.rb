# frozen_string_literal: true

module Store
  # What a signed job's record lacks that was written before a circuit's places had names.
  module PlaceRecord
    NOWHERE = {"candidates" => [], "at" => [], "opens" => [], "wanted" => false}.freeze

    # @param plain [Hash] any document; only a record of a signed job has stages by their names
    # @return [Hash]
    def self.filled(plain)
      SignedStages.fill(plain) do |id, view|
        (id == "ask") ? {"places" => [], "where" => NOWHERE, "may_be_at" => {}, "found_at" => {}, **view} : view
      end
    end
  end
end
