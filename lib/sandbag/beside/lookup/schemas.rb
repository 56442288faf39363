# frozen_string_literal: true

module Sandbag
  module Lookup
    # The tables of this room (knowledge/lookup): their columns.
    module Schemas
      TABLES = {
        "lookup_groups" => Tables::Schema.new({
          "label" => String,
          "default?" => TrueClass,
          "words?" => Array
        }),
        "counter_answers" => Tables::Schema.new({
          "title" => String,
          "says" => String,
          "words" => Array
        }),
        "search_words" => Tables::Schema.new({
          "words" => Array
        }),
        "glossary" => Tables::Schema.new({
          "label" => String,
          "says" => String,
          "forms?" => Array,
          "ordinary?" => TrueClass,
          "part?" => String
        })
      }.freeze
    end
  end
end
