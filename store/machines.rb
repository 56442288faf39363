# frozen_string_literal: true

module Store
  # Machines and what they are called. Plain hashes in and out.
  class Machines
    def initialize(database)
      @machines = database[:machines]
      @circuits = database[:circuits]
    end

    # @param more [Hash] mark, place, used_for, meter
    def add(id:, name:, kind:, note: "", **more)
      @machines.insert(id: id, name: name, kind: kind, note: note, **more)
    end

    # @return [Array<Hash>] all there are, retired ones too
    def all
      @machines.order(:name, :id).map(&:compact)
    end

    # @return [Array(String, String)] name and mark of each there is, retired ones too
    def names
      @machines.order(:name, :id).select_map(%i[name mark])
    end

    # @param find [String, nil] words that name, owner's mark, place, note or a circuit's name must hold
    # @param kind [String, nil] of machine_kinds.yml
    # @return [Array<Hash>] in order of name, after a place in the list; retired ones only when asked for
    def page(limit:, after: nil, retired: false, find: nil, kind: nil)
      rows = retired ? @machines : @machines.where(retired_at: nil)
      rows = rows.where(kind: kind) if kind
      find.to_s.split.each { |word| rows = rows.where(holding(word)) }
      rows = rows.where(behind(*Cursor.read(after))) if after
      rows.order(:name, :id).limit(limit).map(&:compact)
    end

    # @return [Hash{String => Integer}] how many there are of each kind, retired ones left out
    def counts
      @machines.where(retired_at: nil).group_and_count(:kind).to_h { |row| [row[:kind], row[:count]] }
    end

    # @param changes [Hash] name, kind, note, mark, place, used_for, meter, training, retired_at
    def change(id, changes)
      @machines.where(id: id).update(changes) if changes.any?
      find(id)
    end

    def include?(id)
      !@machines.where(id: id).empty?
    end

    # @return [Array(String, String, Boolean)] of machine_kinds.yml and machine_uses.yml, and whether it is for training
    def nature(id)
      kind, use, training = @machines.where(id: id).get(%i[kind used_for training])
      [kind, use, training == 1]
    end

    def find(id)
      @machines.first(id: id)&.compact || raise(Missing.new("machine", id))
    end

    private

    def behind(name, id)
      Sequel.|(Sequel[:name] > name, Sequel.&({name: name}, Sequel[:id] > id))
    end

    def holding(word)
      pattern = "%#{@machines.escape_like(word)}%"
      on_circuit = @circuits.where(Sequel.ilike(:name, pattern)).select(:machine_id)
      Sequel.|(*%i[name note mark place].map { |column| Sequel.ilike(column, pattern) }, {id: on_circuit})
    end
  end
end
