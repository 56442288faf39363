# frozen_string_literal: true

module Sandbag
  module Fluid
    # What cups and bore are wetted with, within what fluid and rubber bear.
    module Lubricants
      # [default] docs/trade.md 10
      USUAL = "own_fluid"
      PLACES = %w[own rubber].freeze

      # @return [Array<Hash>] rows of lubricants.yml that may wet a cup at all
      def self.wetting
        Tables.rows("lubricants").select { |row| row["places"].intersect?(PLACES) }
      end
    end
  end
end
