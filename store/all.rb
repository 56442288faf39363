# frozen_string_literal: true

module Store
  # Every repository over one database.
  class All
    attr_reader :machines, :circuits, :jobs, :journals, :settings, :comparisons, :stock_moves, :photos

    def initialize(database)
      @database = database
      @machines = Machines.new(database)
      @circuits = Circuits.new(database)
      @jobs = Jobs.new(database)
      @journals = Journals.new(database)
      @settings = Settings.new(database)
      @comparisons = Comparisons.new(database)
      @stock_moves = StockMoves.new(database)
      @photos = Photos.new(database)
    end

    # Everything in the block, or nothing of it. Takes the write lock at once.
    def transaction(&)
      @database.transaction(mode: :immediate, &)
    end
  end
end
