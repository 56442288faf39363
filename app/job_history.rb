# frozen_string_literal: true

module App
  # What was done to a circuit before, out of the records of its signed jobs.
  module JobHistory
    # Earlier jobs that are shown beside a new one.
    EARLIER = 3

    # @return [Array<Hash>] id, closed_at, route, complaint, fluid, lever; newest first
    def self.of(store, job)
      earlier = store.jobs.signed_on(job[:circuit_id], limit: EARLIER + 1).reject { |each| each[:id] == job[:id] }
      earlier.first(EARLIER).map { |each| line(each, store.jobs.record(each[:id])) }
    end

    def self.line(job, record)
      card = record["card"]
      {id: job[:id], closed_at: job[:closed_at], **card["summary"].transform_keys(&:to_sym)}
    end
    private_class_method :line
  end
end
