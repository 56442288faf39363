# frozen_string_literal: true

module Store
  # Circuits of machines; `sheet` is the plain form of Sandbag::Circuit::Sheet.
  class Circuits
    def initialize(database)
      @circuits = database[:circuits]
    end

    # @param joined_to [String, nil] id of the circuit whose far end it shares
    def add(id:, machine_id:, name:, sheet:, joined_to: nil)
      @circuits.insert(id: id, machine_id: machine_id, name: name, sheet: Document.dump(sheet), joined_to: joined_to)
    end

    # @param row [Hash] of a circuit
    # @return [Boolean] another control works on the same far end
    def two_controls?(row)
      !row[:joined_to].nil? || !@circuits.where(joined_to: row[:id]).empty?
    end

    # @return [Hash, nil] the circuit of another control on the same far end
    def other_control(id)
      joined_to = @circuits.where(id: id).get(:joined_to)
      row = joined_to ? @circuits.first(id: joined_to) : @circuits.first(joined_to: id)
      row && read(row)
    end

    # @param row [Hash] of a circuit
    # @return [Array<Hash>] name, kind, abs as it was entered and fluid_due_on of the machine's other circuits, in the
    #   order they were added; without those that share its far end, and those that are damaged
    def others(row)
      sheet = Sequel[:circuits][:sheet]
      @circuits
        .where(machine_id: row[:machine_id])
        .exclude(id: [row[:id], row[:joined_to]].compact)
        .where(Sequel.|({joined_to: nil}, Sequel.~(joined_to: row[:id])))
        .where(Sequel.function(:json_valid, sheet) => 1)
        .left_join(:dues, circuit_id: :id, kind: "fluid")
        .order(Sequel[:circuits][:rowid])
        .select(Sequel[:circuits][:name], Circuits.kind(sheet).as(:kind), entered_abs.as(:abs),
          Sequel[:dues][:due_on].as(:fluid_due_on))
        .all
    end

    def find(id)
      read(@circuits.first(id: id) || raise(Missing.new("circuit", id)))
    end

    # What kind of circuit a sheet is of; nothing where the sheet is damaged.
    def self.kind(sheet)
      Sequel.case({Sequel.function(:json_valid, sheet) => Sequel.function(:json_extract, sheet, "$.kind")}, nil)
    end

    # @return [Array<Hash>] of one machine, in the order they were added; a damaged one without its sheet
    def of_machine(machine_id)
      @circuits.where(machine_id: machine_id).order(Sequel.lit("rowid")).map do |row|
        row.merge(sheet: Document.try(row[:sheet]))
      end
    end

    # @return [Hash{String => Array<Hash>}] id, machine_id, name and kind by machine, in the order they were added; a
    #   damaged one without its kind
    def lines_of(machine_ids)
      @circuits
        .where(machine_id: machine_ids)
        .order(Sequel.lit("rowid"))
        .select(:id, :machine_id, :name, Circuits.kind(:sheet).as(:kind))
        .all
        .group_by { |row| row[:machine_id] }
    end

    def write_sheet(id, sheet)
      @circuits.where(id: id).update(sheet: Document.dump(sheet), revision: Sequel[:revision] + 1)
    end

    # @return [Integer] goes up with every change of the sheet
    def revision(id)
      @circuits.where(id: id).get(:revision)
    end

    def rename(id, name)
      @circuits.where(id: id).update(name: name)
    end

    def include?(id)
      !@circuits.where(id: id).empty?
    end

    private

    # In the vehicle of a circuit's sheet.
    def entered_abs
      Sequel.lit("(SELECT json_extract(part.value, '$.values.abs.value') " \
        "FROM json_each(circuits.sheet, '$.parts') AS part " \
        "WHERE json_extract(part.value, '$.part') = 'vehicle' LIMIT 1)")
    end

    def read(row)
      row.merge(sheet: Document.load(row[:sheet]))
    end
  end
end
