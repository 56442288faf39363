# frozen_string_literal: true

module App
  # /api/comparisons: what was compared, kept to look at again.
  class ComparisonsApi < Base
    post "/" do
      body = body_for("addComparison")
      saved = store.transaction do
        store.circuits.find(body["circuit_id"])
        store.jobs.find(body["job_id"]) if body["job_id"]
        store.comparisons.add(id: body["id"], circuit_id: body["circuit_id"], job_id: body["job_id"],
          name: body["name"], at: now, body: body["body"])
      end
      same!("comparison #{body["id"]}", saved.transform_keys(&:to_s).slice("circuit_id", "job_id", "name", "body"),
        body.slice("circuit_id", "job_id", "name", "body"))
      json 201, saved
    end

    get "/:id" do |id|
      json 200, store.comparisons.find(id)
    end
  end
end
