# frozen_string_literal: true

module Store
  # Machines and what they are called. Plain hashes in and out.
  class Machines
    def initialize(database)
      @machines = database[:machines]
    end

    def add(id:, name:, kind:, note: "")
      @machines.insert(id: id, name: name, kind: kind, note: note)
    end

    # @return [Array<Hash>] in order of name, after the name given
    def page(limit:, after: nil)
      rows = after ? @machines.where { name > after } : @machines
      rows.order(:name).limit(limit).all
    end

    def find(id)
      @machines.first(id: id) || raise(Missing.new("machine", id))
    end
  end
end
