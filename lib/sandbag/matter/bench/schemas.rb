# frozen_string_literal: true

module Sandbag
  module Bench
    # The tables of this room (knowledge/bench): their columns, and what their rows must hold to.
    module Schemas
      TABLES = {
        "waits" => Tables::Schema.new({
          "label" => String,
          "minutes?" => Integer,
          "past?" => [TrueClass, FalseClass]
        }),
        "tools" => Tables::Schema.new({
          "label" => String,
          "special?" => [TrueClass, FalseClass],
          "sizes?" => String,
          "instead?" => Hash
        })
      }.freeze
    end
  end
end
