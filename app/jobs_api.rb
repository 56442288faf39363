# frozen_string_literal: true

require "time"

module App
  # /api/jobs
  class JobsApi < Base
    NOBODY = "mechanic"

    get "/" do
      limit = page_limit
      state = params.fetch("state", "open")
      raise Sandbag::Refusal.at("state", "no job is “#{state[0, 20]}”", "open, closed") unless %w[open closed].include?(state)
      jobs = store.jobs.page(open: state == "open", limit: limit, before: params["after"])
      json 200, {items: desk.lines(jobs), next: (jobs.last[:opened_at] if jobs.size == limit)}.compact
    end

    post "/" do
      body = body_for("openJob")
      json 201, desk.open(body["id"], body["circuit_id"], now)
    end

    get "/:id" do |id|
      json 200, desk.view(id)
    end

    get "/:id/entries" do |id|
      store.jobs.find(id)
      json 200, {items: store.journals.of_job(id).map { |row| row.except(:job_id).compact }}
    end

    post "/:id/entries" do |id|
      body = body_for("addEntry")
      entry = body.transform_keys(&:to_sym)
      job, fresh = desk.add(id, {at: now, by: NOBODY, corrects: nil, **entry})
      json(fresh ? 201 : 200, job)
    end

    get "/:id/card.pdf" do |id|
      job = store.jobs.find(id)
      state, circuit = desk.state_of(job)
      machine = store.machines.find(circuit[:machine_id])
      content_type "application/pdf"
      headers "content-disposition" => "inline; filename=\"job-card.pdf\""
      JobCard.new(job: job, machine: machine, circuit: circuit, state: state, shop_name: shop.name).render
    end

    error JobDesk::Clash do
      problem(409, [Sandbag::Refusal::Problem.new(pointer: "id", message: env["sinatra.error"].message, accepted: "an id not used before")])
    end

    helpers do
      def desk
        JobDesk.new(store)
      end
    end
  end
end
