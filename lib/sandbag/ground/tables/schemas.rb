# frozen_string_literal: true

module Sandbag
  module Tables
    # The one table that tables themselves read (knowledge/tables).
    module Schemas
      TABLES = {
        "figures" => Schema.new({"value" => Numeric, "unit" => String})
      }.freeze
    end
  end
end
