# frozen_string_literal: true

module Sandbag
  module Build
    # The tables of this room (knowledge/build): their columns, and what their rows must hold to.
    module Schemas
      TABLES = {
        "build_checks" => Tables::Schema.new({
          "label" => String,
          "how" => String,
          "parts" => Array,
          "before?" => TrueClass,
          "seconds?" => Integer,
          "photo?" => String,
          "abs?" => TrueClass
        })
      }.freeze
    end
  end
end
