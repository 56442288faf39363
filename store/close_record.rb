# frozen_string_literal: true

module Store
  # What a signed job's record of Close lacks that was written when gates stood in one list.
  module CloseRecord
    FRESH = {
      "places" => [{"id" => "record", "label" => "Release gates"}], "sole" => false,
      "leak_watch" => {"watches" => [], "done" => true, "wet" => false}, "rechecks" => []
    }.freeze
    GATE = {"place" => "record", "touched" => true, "step" => false, "waivable" => false}.freeze

    # @param plain [Hash] any document; only a record of a signed job has stages by their names
    # @return [Hash]
    def self.filled(plain)
      close = plain["stages"].is_a?(Hash) && plain["stages"]["close"]
      return plain unless close
      gates = close["gates"].map { |gate| {**GATE, **gate} }
      plain.merge("stages" => plain["stages"].merge("close" => {**FRESH, **close, "gates" => gates}))
    end
  end
end
