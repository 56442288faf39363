# frozen_string_literal: true

require "time"

module App
  # /api/jobs
  class JobsApi < Base
    NOBODY = "mechanic"
    ALL = "all"
    PHOTO_ID = /\A[A-Za-z0-9_.-]{1,60}\z/

    get "/" do
      asked = query_for("listJobs")
      limit = asked.fetch("limit", PAGE)
      state = asked.fetch("state", "open")
      rows =
        store.jobs.page(
          state: (state.to_sym unless state == ALL),
          limit: limit,
          after: asked["after"],
          machine_id: asked["machine"]
        )
      json 200,
        {
          items: Headlines.new(store, memory).of(rows),
          next: next_of(rows, limit) { |row| [row[:opened_at], row[:id]] }
        }.compact
    end

    post "/" do
      body = body_for("openJob")
      fresh = desk.open(body["id"], body["circuit_id"], now, beside: body["beside"] || false,
        follows: body["follows"])
      json(fresh ? 201 : 200, desk.head(body["id"]))
    end

    get "/:id" do |id|
      json 200, desk.head(id)
    end

    get "/:id/stages/:stage" do |id, stage|
      json 200, desk.stage(id, stage)
    end

    get "/:id/entries" do |id|
      store.jobs.find(id)
      json 200, {items: store.journals.of_job(id).map { |row| row.except(:job_id).compact }}
    end

    post "/:id/entries" do |id|
      entry = body_for("addEntry").transform_keys(&:to_sym)
      shop.people.refuse("by", entry[:by]) if entry[:by]
      clock = DeviceClock.new(@clock.call, entry.delete(:sent))
      draft = desk.write(id, {by: NOBODY, corrects: nil, at: nil, **entry}, clock: clock)
      acknowledge(draft, id, entry[:stage], clock.says)
    end

    post "/:id/photos" do |id|
      store.jobs.find(id)
      photo_id = query_for("addPhoto").fetch("photo")
      photo = Photo.read(request.body.read(BodyLimit::PHOTO_BYTES + 1).to_s, request.media_type)
      store.transaction { store.photos.add(id: photo_id, job_id: id, at: now, **photo.to_h) }
      json 201, store.photos.find(photo_id).slice(:id, :width, :height)
    end

    get "/:id/supplies" do |id|
      json 200, desk.supplies(id)
    end

    post "/:id/bleed-verdicts" do |id|
      body = body_for("judgeBleed")
      json 200, desk.bleed_verdicts(id, BleedSupposed.of(body), explain: body["explain"])
    end

    get "/:id/pull-list.pdf" do |id|
      card = desk.card(id)
      lines = plain(desk.supplies(id)).fetch("lines")
      pdf "pull-list",
        PullListPdf.new(title: card["title"], job_id: id, lines: lines, shop_name: shop.name, at: now).render
    end

    get "/:id/buy-list.csv" do |id|
      csv "buy-list", BuyListCsv.of(plain(desk.supplies(id)).fetch("buy"))
    end

    get "/:id/buy-list.pdf" do |id|
      rows = plain(desk.supplies(id)).fetch("buy")
      job = {title: desk.card(id)["title"], id: id}
      pdf "buy-list", BuyListPdf.new(rows, job: job, shop_name: shop.name, currency: shop.currency, at: now).render
    end

    get "/:id/card.pdf" do |id|
      pdf "job-card", JobCard.new(plain(desk.card(id))) { |photo| store.photos.jpeg(photo) }.render
    end

    get "/:id/lever.svg" do |id|
      curve = plain(desk.card(id))["curve"] || raise(Store::Missing.new("lever curve of job", id))
      svg "lever", CurvePlot.new(curve, curve["noun"], curve["length"]).svg
    end

    get "/:id/owner-sheet.pdf" do |id|
      pdf "owner-sheet", OwnerSheet.new(*plain(desk.owner_sheet(id)), shop.name, plain(shop.display["length"])).render
    end

    get "/:id/tag.pdf" do |id|
      pdf "tag", Tag.new(plain(desk.head(id)), shop.name).render
    end

    JobCsv::FILES.each_key do |name|
      get "/:id/#{name}.csv" do |id|
        store.jobs.find(id)
        csv name, JobCsv.new(store.journals.of_job(id)).file(name)
      end
    end

    helpers do
      def desk
        @desk ||= JobDesk.new(store, memory, today)
      end

      # The entry is stored. Should what it led to fail to be shown, it is acknowledged all the same.
      def acknowledge(draft, id, stage, clock)
        status = draft ? 201 : 200
        json status, {**desk.left_by(draft, id, stage), clock: clock}.compact
      rescue => fault
        log_fault(fault)
        json status, {}
      end
    end
  end
end
