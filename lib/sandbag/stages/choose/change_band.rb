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

      # @return [Numeric] per cent above which the rider has to agree
      def self.agreed_over
        Tables.rows("change_bands").reject { |band| band["agree"] }.last["up_to_percent"]
      end
    end
  end
end
