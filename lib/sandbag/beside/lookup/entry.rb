# frozen_string_literal: true

module Sandbag
  module Lookup
    # One thing that is looked up. id: of its table's row, with its group; group: of lookup_groups.yml; title; says
    # [Array<String>] sentences; words [Array<String>] it is found by besides those of its group; source [String, nil]
    # of a value that somebody entered.
    Entry = Struct.new(:id, :group, :title, :says, :words, :source, keyword_init: true) do
      # @param row [Hash] of a table, with an id
      # @param said [Array<String, nil>] sentences, with or without a full stop
      def self.of(group, row, title, *said, words: [])
        new(id: "#{group}.#{row["id"]}", group: group, title: title, words: words,
          says: said.compact.map { |each| "#{Wording.sentence(each).delete_suffix(".")}." }.freeze).freeze
      end
    end
  end
end
