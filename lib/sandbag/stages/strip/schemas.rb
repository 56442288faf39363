# frozen_string_literal: true

module Sandbag
  module Strip
    # The tables of this room (knowledge/strip): their columns, and what their rows must hold to.
    module Schemas
      TABLES = {
        "stuck_ladder" => Tables::Schema.new({
          "label" => String,
          "does" => String,
          "limit" => String,
          "caution?" => String
        })
      }.freeze
    end
  end
end
