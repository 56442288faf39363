# frozen_string_literal: true

module App
  # What a signed job put on a machine and its record does not have: a cylinder that was added before an added cylinder
  # became a circuit of its own.
  module NotInRecord
    # @param jobs [Array<Hash>] lines of the machine's jobs, newest first; circuits [Array<Hash>] of its record, with
    #   their sheets
    # @return [Array<String>] what to look at
    def self.of(jobs, circuits)
      kinds = circuits.map { |circuit| circuit[:sheet]["kind"] }
      jobs.filter_map do |job|
        adds = Sandbag::Job::Route.find(job[:route])&.adds if job[:signed]
        next if adds.nil? || kinds.include?(adds.id)
        day = Sandbag::Day.of(job[:closed_at])
        "#{adds.label}, #{day}: the added cylinder is not in this record. Look at the machine and add its circuit."
      end
    end
  end
end
