# frozen_string_literal: true

require "json"

module Store
  # The append-only journal of the shelf. Nothing is updated or deleted.
  class StockMoves
    def initialize(database)
      @moves = database[:stock_moves]
    end

    # @return [Array<Hash>] oldest first
    def all
      @moves.order(:position).map { |row| read(row) }
    end

    # @return [Array<Hash>] of one thing, newest first
    def of_item(item)
      @moves.where(item: item).order(Sequel.desc(:position)).map { |row| read(row) }
    end

    # @return [Hash, nil]
    def find(id)
      row = @moves.first(id: id)
      row && read(row)
    end

    def append(move)
      @moves.insert(move.merge(data: JSON.generate(move[:data])))
    end

    private

    def read(row)
      row.except(:position).merge(data: JSON.parse(row[:data]))
    end
  end
end
