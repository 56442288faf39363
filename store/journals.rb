# frozen_string_literal: true

module Store
  # The append-only journals of all jobs. Nothing is updated or deleted.
  class Journals
    def initialize(database)
      @entries = database[:entries]
    end

    # @param after [Integer] place in the journal
    # @return [Array<Hash>] a job's entries behind that place, oldest first
    def of_job(job_id, after: 0)
      @entries.where(job_id: job_id).where { position > after }.order(:position).map { |row| read(row) }
    end

    # @return [Integer] place of a job's newest entry, 0 in an empty journal
    def position(job_id)
      @entries.where(job_id: job_id).max(:position).to_i
    end

    # @return [Hash, nil]
    def find(id)
      row = @entries.first(id: id)
      row && read(row)
    end

    # @param entry [Hash] with its position; received_at and said_at where they are known
    def append(job_id, entry)
      row =
        entry.slice(:id, :stage, :kind, :at, :by, :corrects, :position, :received_at, :said_at).merge(job_id: job_id)
      @entries.insert(row.merge(data: Document.dump(entry[:data])))
    end

    private

    def read(row)
      row.merge(data: Document.load(row[:data]))
    end
  end
end
