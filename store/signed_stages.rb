# frozen_string_literal: true

module Store
  # The stages in a record of a signed job, for readers of records that were written before a stage showed all it shows
  # now.
  module SignedStages
    # @param plain [Hash] any document; only a record of a signed job has stages by their names
    # @yieldparam id [String] of a stage that the record has; view [Hash] what it showed
    # @yieldreturn [Hash] the same, with what it lacks
    # @return [Hash] the document
    def self.fill(plain)
      return plain unless plain["stages"].is_a?(Hash)
      plain.merge("stages" => plain["stages"].to_h { |id, view| [id, view && yield(id, view)] })
    end
  end
end
