# frozen_string_literal: true

module Sandbag
  module Measure
    # A row of a table asked of one unit: it carries the unit's name where there are several. Wants row and unit.
    module OfUnit
      def id
        unit.named(row["id"])
      end

      def label
        unit.tagged(row["label"])
      end
    end
  end
end
