# frozen_string_literal: true

module Store
  # Circuits of machines; `sheet` is the plain form of Sandbag::Circuit::Sheet.
  class Circuits
    def initialize(database)
      @circuits = database[:circuits]
    end

    def add(id:, machine_id:, name:, sheet:)
      @circuits.insert(id: id, machine_id: machine_id, name: name, sheet: Document.dump(sheet))
    end

    def find(id)
      read(@circuits.first(id: id) || raise(Missing.new("circuit", id)))
    end

    # @return [Array<Hash>] of one machine, in the order they were added
    def of_machine(machine_id)
      @circuits.where(machine_id: machine_id).order(Sequel.lit("rowid")).map { |row| read(row) }
    end

    # @return [Hash{String => Array<Hash>}] id, machine_id, name and kind by machine, in the order they were added
    def lines_of(machine_ids)
      @circuits
        .where(machine_id: machine_ids)
        .order(Sequel.lit("rowid"))
        .select(:id, :machine_id, :name, Sequel.lit("json_extract(sheet, '$.kind')").as(:kind))
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

    def read(row)
      row.merge(sheet: Document.load(row[:sheet]))
    end
  end
end
