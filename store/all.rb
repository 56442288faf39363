# frozen_string_literal: true

require "monitor"

module Store
  # Every repository over one database.
  class All
    attr_reader :machines, :circuits, :jobs, :journals, :settings, :comparisons, :stock_moves, :photos

    # @param database [Sequel::Database]
    def initialize(database)
      @database = database
      @writer = Monitor.new
      @machines = Machines.new(database)
      @circuits = Circuits.new(database)
      @jobs = Jobs.new(database)
      @journals = Journals.new(database)
      @settings = Settings.new(database)
      @comparisons = Comparisons.new(database)
      @stock_moves = StockMoves.new(database)
      @photos = Photos.new(database)
    end

    # Everything in the block, or nothing of it. Takes the write lock at once; reads go on beside it.
    def transaction(&)
      @writer.synchronize { @database.transaction(mode: :immediate, &) }
    rescue Sequel::DatabaseError => fault
      raise unless fault.wrapped_exception.is_a?(SQLite3::BusyException)
      raise Busy, "the records are being written to by another program"
    end

    # What is read now may yet be taken back.
    def in_transaction?
      @database.in_transaction?
    end
  end
end
