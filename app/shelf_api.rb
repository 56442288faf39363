# frozen_string_literal: true

module App
  # /api/shelf
  class ShelfApi < Base
    get "/" do
      stock = desk.stock
      json 200, {items: stock.items.values.reject(&:discarded).map { |item| view(item) },
                 damaged: stock.damaged.map { |each| {what: "move of #{each[:item]}", id: each[:move]} }}
    end

    get "/shelf.csv" do
      csv "shelf", ShelfCsv.of(plain(desk.stock.items.values.reject(&:discarded).map(&:to_h)))
    end

    get "/:id/label.pdf" do |id|
      item = desk.stock.find(id) || raise(Store::Missing.new("thing on the shelf", id))
      jobs = item.reserved.keys.to_h { |job| [job, JobDesk.new(store, memory, today).card(job)["title"]] }
      pdf "label",
        ShelfLabel.new(plain(view(item)), jobs, shop_name: shop.name, display: shop.display, at: now).render
    end

    get "/:id/moves" do |id|
      asked = query_for("listMoves")
      limit = asked.fetch("limit", PAGE)
      moves = store.stock_moves.of_item(id, limit: limit, after: asked["after"])
      raise Store::Missing.new("thing on the shelf", id) if moves.empty? && asked["after"].nil?
      json 200,
        {
          items: moves.map { |move| move.except(:position) },
          next: next_of(moves, limit) { |move| [move[:position], move[:id]] }
        }.compact
    end

    post "/lists" do
      list = PartsList.new(desk, now, JobsApi::NOBODY)
      json 200, taken(query_for("importParts")) { |bytes| list.read(bytes) }
    end

    post "/moves" do
      body = body_for("addMove").transform_keys(&:to_sym)
      refuse_of_a_job(body[:kind])
      fresh = desk.add({at: now, by: JobsApi::NOBODY, **body})
      json(fresh ? 201 : 200, view(desk.stock.find(body[:item])))
    end

    helpers do
      def desk
        @shelf_desk ||= ShelfDesk.new(store, memory)
      end

      # Nothing that is promised to a job is freed or used up by hand.
      def refuse_of_a_job(kind)
        return unless Sandbag::Tables.find("stock_moves", kind)&.fetch("of_job", false)
        raise Sandbag::Refusal.at("kind", "that is the job's own move",
          "the line pulled or put back under Choose of the job")
      end

      # A bottle as it may be used in a brake; a clutch may take it longer.
      def view(item)
        bottle = Sandbag::Fluid::Bottle.new(item, today).to_h if item.bottle? && !item.discarded
        {**item.to_h, bottle: bottle}.compact
      end
    end
  end
end
