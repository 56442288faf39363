# frozen_string_literal: true

module Store
  # What a signed job's record lacks that was written before a circuit's places had names.
  module PlaceRecord
    NOWHERE = {"candidates" => [], "at" => [], "opens" => [], "wanted" => false}.freeze

    # @param plain [Hash] any document; only a record of a signed job has stages by their names
    # @return [Hash]
    def self.filled(plain)
      filled = SignedStages.fill(plain) do |id, view|
        (id == "ask") ? {"places" => [], "where" => NOWHERE, "may_be_at" => {}, "found_at" => {}, **view} : view
      end
      plain["supplies"].is_a?(Hash) ? filled.merge("supplies" => supplies(plain["supplies"])) : filled
    end

    # One unit came apart at most, and its kit was one line.
    def self.supplies(plain)
      cylinder = plain["cylinder"]
      {"cylinders" => cylinder ? [{"line" => KIT, **cylinder}] : [], **plain,
       "kits" => plain["kits"].map { |kit| {"line" => KIT, **kit} }}
    end
    private_class_method :supplies
    KIT = "kit"
  end
end
