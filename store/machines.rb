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

    # @return [Array<Hash>] in order of name, after the name given; retired ones only when asked for
    def page(limit:, after: nil, retired: false)
      rows = retired ? @machines : @machines.where(retired_at: nil)
      rows = rows.where { name > after } if after
      rows.order(:name).limit(limit).map(&:compact)
    end

    # @param changes [Hash] name, kind, note, retired_at
    def change(id, changes)
      @machines.where(id: id).update(changes) if changes.any?
      find(id)
    end

    def include?(id)
      !@machines.where(id: id).empty?
    end

    def find(id)
      @machines.first(id: id)&.compact || raise(Missing.new("machine", id))
    end
  end
end
