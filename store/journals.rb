# frozen_string_literal: true

require "json"

module Store
  # The append-only journals of all jobs. Nothing is updated or deleted.
  class Journals
    def initialize(database)
      @entries = database[:entries]
    end

    # @return [Array<Hash>] a job's entries, oldest first
    def of_job(job_id)
      @entries.where(job_id: job_id).order(:position).map { |row| read(row) }
    end

    # @return [Hash{String => Array<Hash>}] entries of several jobs by job id
    def of_jobs(job_ids)
      @entries.where(job_id: job_ids).order(:position).map { |row| read(row) }.group_by { |row| row[:job_id] }
    end

    # @return [Hash, nil]
    def find(id)
      row = @entries.first(id: id)
      row && read(row)
    end

    # Takes the next position in the job's journal.
    # @return [Hash] the entry as stored
    def append(job_id, entry)
      position = @entries.where(job_id: job_id).max(:position).to_i + 1
      row = entry.slice(:id, :stage, :kind, :at, :by, :corrects).merge(job_id: job_id, position: position)
      @entries.insert(row.merge(data: JSON.generate(entry[:data])))
      row.merge(data: entry[:data])
    end

    private

    def read(row)
      row.merge(data: JSON.parse(row[:data]))
    end
  end
end
