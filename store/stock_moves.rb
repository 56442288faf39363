# frozen_string_literal: true

module Store
  # The append-only journal of the shelf. Nothing is updated or deleted.
  class StockMoves
    def initialize(database)
      @moves = database[:stock_moves]
    end

    # @param after [Integer] place in the shelf's journal; up_to [Integer]
    # @return [Array<Hash>] behind the one place and no further than the other, oldest first; a damaged one without its
    #   data
    def between(after, up_to)
      @moves.where { (position > after) & (position <= up_to) }.order(:position).map { |row| read(row) }
    end

    # @return [Integer] place of the newest move, 0 on an empty shelf
    def position
      @moves.max(:position).to_i
    end

    # @param after [String, nil] a cursor from the page before
    # @return [Array<Hash>] of one thing, newest first, with their places in the journal
    def of_item(item, limit:, after: nil)
      older = after ? @moves.where { position < Cursor.read(after).first.to_i } : @moves
      older
        .where(item: item)
        .order(Sequel.desc(:position))
        .limit(limit)
        .map { |row| {position: row[:position], **read(row)} }
    end

    # @return [Hash, nil]
    def find(id)
      row = @moves.first(id: id)
      row && read(row)
    end

    def append(move)
      @moves.insert(move.merge(data: Document.dump(move[:data])))
    end

    private

    def read(row)
      row.except(:position).merge(data: Document.try(row[:data]))
    end
  end
end
