# frozen_string_literal: true

require "json"

module Store
  # Jobs. What happened in them is in their journals; here stands only which circuit, and when opened and closed.
  class Jobs
    def initialize(database)
      @jobs = database[:jobs]
    end

    # @return [Hash] the job; the one already there when the id was used before, so that a retry is harmless
    def open(id:, circuit_id:, at:)
      @jobs.insert_conflict(target: :id).insert(id: id, circuit_id: circuit_id, opened_at: at)
      find(id)
    end

    def find(id)
      read(@jobs.first(id: id) || raise(Missing.new("job", id)))
    end

    # @return [Array<Hash>] newest first, opened before the time given
    def page(open:, limit:, before: nil)
      rows = open ? @jobs.where(closed_at: nil) : @jobs.exclude(closed_at: nil)
      rows = rows.where { opened_at < before } if before
      rows.order(Sequel.desc(:opened_at)).limit(limit).map { |row| read(row) }
    end

    # @return [Array<Hash>] jobs of some circuits, newest first
    def of_circuits(circuit_ids)
      @jobs.where(circuit_id: circuit_ids).order(Sequel.desc(:opened_at)).map { |row| read(row) }
    end

    # Keeps the circuit as it stood beside the signed job.
    def close(id, at:, sheet:)
      @jobs.where(id: id).update(closed_at: at, sheet: JSON.generate(sheet))
    end

    private

    def read(row)
      row.merge(sheet: row[:sheet] && JSON.parse(row[:sheet]))
    end
  end
end
