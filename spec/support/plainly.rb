# frozen_string_literal: true

require "json"

# What the core tells, as a shop that reads the core's own units gets it.
module Plainly
  # @param told [Hash, Array]; read [Hash] how the JSON is read
  def self.read(told, **read)
    JSON.parse(Sandbag::Said.plain(JSON.generate(told)), **read)
  end
end
