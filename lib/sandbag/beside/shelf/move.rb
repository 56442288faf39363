# frozen_string_literal: true

module Sandbag
  module Shelf
    # One line of the shelf's journal: something that happened to one thing. `id` is made by the client, so that a
    # retry is harmless. Nothing is updated or deleted.
    class Move
      extend Attributes

      attributes :id, :item, :kind, :data, :at, :by

      def initialize(id:, item:, kind:, data:, at:, by:)
        @id = id
        @item = item
        @kind = kind
        @data = data.freeze
        @at = at
        @by = by
        freeze
      end

      # @return [String] the day it happened
      def on
        Day.iso(at)
      end
    end
  end
end
