# frozen_string_literal: true

module Sandbag
  module Choose
    # What the hand makes of a change in effort or travel (knowledge/change_bands.yml).
    module ChangeBand
      # @param percent [Float] size of the change, sign taken off
      # @return [Hash] the knowledge row
      def self.of(percent)
        Tables.rows("change_bands").find { |band| percent <= band["up_to_percent"] } ||
          Tables.rows("change_bands").last
      end
    end
  end
end
