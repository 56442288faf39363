# frozen_string_literal: true

module App
  # Writes a circuit's sheet into the machine's record, with all that follows: what falls due on it, and what it shares
  # with the circuit of another control on the same far end.
  class CircuitRecord
    # @param store [Store::All]; due_book [DueBook]
    def initialize(store, due_book)
      @store = store
      @due_book = due_book
    end

    # Jobs on the machine's other circuits know of it (Job::OtherCircuits).
    # @param row [Hash] of the store; sheet [Sandbag::Circuit::Sheet] as it is now
    def write(row, sheet)
      store_sheet(row, sheet)
      @store.jobs.forget_headlines(row[:machine_id])
      other = @store.circuits.other_control(row[:id])
      return unless other
      store_sheet(other,
        Sandbag::Circuit::AddedHand.carried(sheet, Sandbag::Circuit::Sheet.stored(other[:sheet])))
    end

    # A circuit of a template. A second cylinder shares its far end with the one circuit of the machine that takes it
    # and has none, if there is just one.
    # @param sheet [Sandbag::Circuit::Sheet] of the template
    def add_new(id:, machine_id:, name:, sheet:)
      foot = takers(machine_id) if sheet.kind.has?("second_master")
      return add(id: id, machine_id: machine_id, name: name, sheet: sheet) unless foot&.one?
      shared = Sandbag::Circuit::Sheet.stored(foot.first[:sheet])
      add(id: id, machine_id: machine_id, name: name, joined_to: foot.first[:id],
        sheet: Sandbag::Circuit::AddedHand.sheet(shared, sheet.kind))
    end

    # @param joined_to [String, nil] id of the circuit whose far end it shares
    def add(id:, machine_id:, name:, sheet:, joined_to: nil)
      @store.circuits.add(id: id, machine_id: machine_id, name: name, sheet: sheet.to_h, joined_to: joined_to)
      @store.jobs.forget_headlines(machine_id)
      @due_book.write({id: id, machine_id: machine_id}, sheet)
    end

    private

    def takers(machine_id)
      @store.circuits.of_machine(machine_id).select do |row|
        Sandbag::Circuit::Kind.find(row[:sheet]["kind"]).has?("takes_second_master") &&
          !@store.circuits.two_controls?(row)
      end
    end

    def store_sheet(row, sheet)
      @store.circuits.write_sheet(row[:id], sheet.to_h)
      @due_book.write(row, sheet)
    end
  end
end
