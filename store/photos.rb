# frozen_string_literal: true

module Store
  # Photos of jobs, as they were written again on arrival.
  class Photos
    def initialize(database)
      @photos = database[:photos]
    end

    # Keeps the first under an id.
    def add(id:, job_id:, at:, width:, height:, jpeg:)
      @photos.insert_conflict(target: :id).insert(id: id, job_id: job_id, at: at, width: width, height: height,
        jpeg: Sequel.blob(jpeg))
    end

    # @return [Hash, nil] without the picture itself
    def find(id)
      @photos.select(:id, :job_id, :at, :width, :height).first(id: id)
    end

    # @return [String, nil] JPEG bytes
    def jpeg(id)
      @photos.where(id: id).get(:jpeg)
    end
  end
end
