# frozen_string_literal: true

require "monitor"

module Store
  # Every repository over one database.
  class All
    attr_reader :machines, :circuits, :jobs, :journals, :settings, :comparisons, :stock_moves, :photos, :levers, :dues,
      :archive, :imports

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
      @levers = Levers.new(database)
      @dues = Dues.new(database)
      @archive = Archive.new(database)
      @imports = Imports.new(database)
    end

    # Everything in the block, or nothing of it. Takes the write lock at once; reads go on beside it.
    def transaction(&)
      @writer.synchronize { @database.transaction(mode: :immediate, &) }
    rescue Sequel::DatabaseError => fault
      case fault.wrapped_exception
      when SQLite3::BusyException then raise Busy, "the records are being written to by another program"
      when SQLite3::FullException then raise Full, "the disc is full: nothing was stored"
      else raise
      end
    end

    # What is read now may yet be taken back.
    def in_transaction?
      @database.in_transaction?
    end
  end
end
