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
      SignedStages.fill(plain) { |id, view| (id == "close") ? filled_close(view) : view }
    end

    def self.filled_close(view)
      {**FRESH, **view, "gates" => view["gates"].map { |gate| {**GATE, **gate} }}
    end
    private_class_method :filled_close
  end
end
