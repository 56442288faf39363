# frozen_string_literal: true

require "time"

module App
  # /api/jobs
  class JobsApi < Base
    NOBODY = "mechanic"
    PHOTO_ID = /\A[A-Za-z0-9_.-]{1,60}\z/

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

    post "/:id/photos" do |id|
      store.jobs.find(id)
      photo_id = params["photo"].to_s
      raise Sandbag::Refusal.at("photo", "the photo has no id", "1 to 60 letters, digits, dots, dashes or underscores") unless photo_id.match?(PHOTO_ID)
      photo = Photo.read(request.body.read, request.media_type)
      store.transaction { store.photos.add(id: photo_id, job_id: id, at: now, **photo.to_h) }
      json 201, store.photos.find(photo_id).slice(:id, :width, :height)
    end

    get "/:id/supplies" do |id|
      json 200, supplies_of(id).to_h
    end

    get "/:id/pull-list.pdf" do |id|
      job = store.jobs.find(id)
      circuit = store.circuits.find(job[:circuit_id])
      machine = store.machines.find(circuit[:machine_id])
      content_type "application/pdf"
      headers "content-disposition" => "inline; filename=\"pull-list.pdf\""
      PullListPdf.new(title: "#{machine[:name]}: #{circuit[:name]}", job_id: id, lines: supplies_of(id).lines, shop_name: shop.name, at: now).render
    end

    get "/:id/buy-list.csv" do |id|
      content_type "text/csv; charset=utf-8"
      headers "content-disposition" => "attachment; filename=\"buy-list.csv\""
      BuyListCsv.of(supplies_of(id).buy)
    end

    get "/:id/card.pdf" do |id|
      job = store.jobs.find(id)
      state, circuit = desk.state_of(job)
      machine = store.machines.find(circuit[:machine_id])
      content_type "application/pdf"
      headers "content-disposition" => "inline; filename=\"job-card.pdf\""
      JobCard.new(job: job, machine: machine, circuit: circuit, state: state, stock: ShelfDesk.new(store).stock, photos: pictures(state), shop_name: shop.name).render
    end

    error JobDesk::Clash do
      problem(409, [Sandbag::Refusal::Problem.new(pointer: "id", message: env["sinatra.error"].message, accepted: "an id not used before")])
    end

    helpers do
      # @return [Sandbag::Choose::Supplies]
      def supplies_of(id)
        state, _ = desk.state_of(store.jobs.find(id))
        desk.supplies(state)
      end

      # @return [Array<Array(String, String)>] what each photo of a job shows, and its JPEG bytes
      def pictures(state)
        desk.photos(state).map { |photo| [photo[:what], store.photos.jpeg(photo[:photo]).to_s] }
      end

      def desk
        JobDesk.new(store, today)
      end
    end
  end
end
