# frozen_string_literal: true

module Store
  # What falls due, and what signed jobs want looked at again. Plain hashes in and out.
  class Dues
    def initialize(database)
      @database = database
      @dues = database[:dues]
      @rechecks = database[:rechecks]
    end

    # @param dues [Array<Hash>] kind, part, due_on, label, why: all there are of the circuit
    def write(circuit_id, dues)
      @dues.where(circuit_id: circuit_id).delete
      @dues.multi_insert(dues.map { |due| {circuit_id: circuit_id, **due} })
    end

    # @param rechecks [Array<Hash>] id, label, due_on of a job
    def add_rechecks(job_id, circuit_id, rechecks)
      @rechecks.multi_insert(rechecks.map { |recheck|
        {job_id: job_id, circuit_id: circuit_id, done_by: nil, **recheck}
      })
    end

    # What was due by a day is done by a job on the same circuit.
    def finish_rechecks(circuit_id, by:, on:)
      @rechecks.where(circuit_id: circuit_id, done_by: nil).where { due_on <= on }.update(done_by: by)
    end

    # @return [Hash] id, job_id, circuit_id, label, due_on, done_by
    def recheck(id)
      @rechecks.first(id: id) || raise(Missing.new("re-check", id))
    end

    def finish_recheck(id, by:)
      @rechecks.where(id: id).update(done_by: by)
    end

    # @param until_on [String] ISO 8601; machine_id [String, nil] of one machine only
    # @return [Array<Hash>] dues and open re-checks up to a day, soonest first, each with its circuit and machine;
    #   retired machines are left out
    def up_to(until_on, limit:, after: nil, machine_id: nil)
      rows = placed(@dues.select(:circuit_id, :kind, :part, :due_on, :label, :why, Sequel.as(nil, :recheck),
        Sequel.as(nil, :job_id)))
        .union(placed(@rechecks.where(done_by: nil).select(:circuit_id, Sequel.as("recheck", :kind),
          Sequel.as("", :part), :due_on, :label, Sequel.as("", :why), Sequel.as(:id, :recheck), :job_id)),
          all: true)
      rows = rows.where(Sequel.|(Sequel[:due_on] <= until_on, Sequel.~(Sequel.like(:due_on, "____-__-__"))))
      rows = rows.where(machine_id: machine_id) if machine_id
      rows = rows.where(behind(*Cursor.read(after))) if after
      rows.order(:due_on, :key).limit(limit).all
    end

    private

    def placed(rows)
      rows.from_self(alias: :due)
        .join(:circuits, id: Sequel[:due][:circuit_id])
        .join(:machines, id: Sequel[:circuits][:machine_id])
        .where(Sequel[:machines][:retired_at] => nil)
        .select_all(:due)
        .select_append(Sequel[:circuits][:name].as(:circuit_name), :machine_id,
          Sequel[:machines][:name].as(:machine_name), Sequel[:machines][:kind].as(:machine_kind),
          Sequel.lit("coalesce(due.recheck, due.circuit_id || '/' || due.kind || '/' || due.part)").as(:key))
    end

    def behind(due_on, key)
      Sequel.|(Sequel[:due_on] > due_on, Sequel.&({due_on: due_on}, Sequel[:key] > key))
    end
  end
end
