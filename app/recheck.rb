# frozen_string_literal: true

require "securerandom"

module App
  # A short job that looks again after another one: what was answered about the machine then is carried over.
  class Recheck
    BY = "carried over"
    ROUTE = Sandbag::Job::Route.all.find(&:again?)

    # @param store [Store::All]; desk [JobDesk]
    def initialize(store, desk)
      @store = store
      @desk = desk
    end

    # @param job_id [String] just opened; recheck_id [String]; at [String]
    def begin(job_id, recheck_id, at)
      recheck = @store.dues.recheck(recheck_id)
      record = @store.jobs.record(recheck[:job_id])
      add = ->(kind, data) { write(job_id, kind, data, at) }
      add.call("complaint", {"text" => "Re-check, due #{recheck[:due_on]}: #{recheck[:label]}."})
      answered(record).each { |data| add.call("intake", data) if asked?(job_id, data["question"]) }
      add.call("route", {"route" => ROUTE.id, "reason" => "re-check after a job"})
    end

    private

    # @return [Array<Hash>] question and value of what could have stopped that job
    def answered(record)
      record.dig("stages", "ask", "intake")
        .select { |row| row["stops"] && row["value"] && row["confirmed"] }
        .map { |row| {"question" => row["id"], "value" => row["value"]} }
    end

    def asked?(job_id, question)
      @desk.state_of(@store.jobs.find(job_id)).ask.intake.questions.any? { |row| row["id"] == question }
    end

    def write(job_id, kind, data, at)
      @desk.write(job_id, {id: SecureRandom.uuid, stage: "ask", kind: kind, data: data, at: at, by: BY, corrects: nil})
    end
  end
end
