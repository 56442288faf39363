# frozen_string_literal: true

require "json"

module Store
  # Circuits of machines; `sheet` is the plain form of Sandbag::Circuit::Sheet.
  class Circuits
    def initialize(database)
      @circuits = database[:circuits]
    end

    def add(id:, machine_id:, name:, sheet:)
      @circuits.insert(id: id, machine_id: machine_id, name: name, sheet: JSON.generate(sheet))
    end

    def find(id)
      read(@circuits.first(id: id) || raise(Missing.new("circuit", id)))
    end

    # @return [Array<Hash>] of one machine, in the order they were added
    def of_machine(machine_id)
      @circuits.where(machine_id: machine_id).order(Sequel.lit("rowid")).map { |row| read(row) }
    end

    def write_sheet(id, sheet)
      @circuits.where(id: id).update(sheet: JSON.generate(sheet))
    end

    def rename(id, name)
      @circuits.where(id: id).update(name: name)
    end

    def include?(id)
      !@circuits.where(id: id).empty?
    end

    private

    def read(row)
      row.merge(sheet: JSON.parse(row[:sheet]))
    end
  end
end
