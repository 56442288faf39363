# frozen_string_literal: true

module App
  # What was done to a circuit before, out of the records of its signed jobs.
  module JobHistory
    # Earlier jobs that are shown beside a new one.
    EARLIER = 3
    # Signed jobs of a circuit that a file holds.
    MOST = 1000

    # @return [Array<Hash>] id, closed_at, route, complaint, fluid, lever; newest first
    def self.of(store, job)
      earlier = store.jobs.signed_on(job[:circuit_id], limit: EARLIER + 1).reject { |each| each[:id] == job[:id] }
      earlier.first(EARLIER).filter_map { |each| line(each, store.jobs.readable_record(each[:id])) }
    end

    # @return [Array<Hash>] signed jobs of a machine with their circuit, oldest first
    def self.of_machine(store, machine_id)
      store.circuits.of_machine(machine_id).flat_map { |circuit|
        store.jobs.signed_on(circuit[:id], limit: MOST).filter_map do |job|
          line = line(job, store.jobs.readable_record(job[:id]))
          line && {job: job[:id], circuit: circuit[:name], opened_at: job[:opened_at], **line.except(:id)}
        end
      }.sort_by { |each| each[:opened_at] }
    end

    # A record that cannot be read tells nothing.
    def self.line(job, record)
      card = record && record["card"]
      return unless card
      {id: job[:id], closed_at: job[:closed_at], **card["summary"].transform_keys(&:to_sym)}
    end
    private_class_method :line
  end
end
