# frozen_string_literal: true

module App
  # /api/shop
  class ShopApi < Base
    get "/" do
      damaged = memory.damaged_settings(store).map { |name| {what: "setting", id: name} }
      json 200, {**shop_view(shop), **(damaged.any? ? {damaged: damaged} : {})}
    end

    get "/tool-worth" do
      since = today << Sandbag::Planner::ToolWorth::MONTHS
      bled = store.jobs.bled_since(since.iso8601).map { |row| Sandbag::Planner::ToolWorth::Bled.new(**row) }
      json 200, {since: since.iso8601, **Sandbag::Planner::ToolWorth.new(bled, shop).to_h}
    end

    put "/" do
      body = body_for("changeShop")
      set = Sandbag::Shop.new(body.except("revision"))
      store.transaction do
        Stale.refuse(store.settings.revision(ShopSettings::NAME), body["revision"]) do
          set.to_h.to_h { |name, value| [name, [shop.to_h[name], value]] }
        end
        ShopSettings.write(store, set)
      end
      DueBook.new(store, set, today).write_all
      json 200, shop_view(set)
    end

    helpers do
      def schools_open
        Sandbag::Tables.rows("schools").map do |row|
          {id: row["id"], label: row["label"], why: row["why"] || row["fixed"], answers: row["answers"]}.compact
        end
      end

      def roles
        Sandbag::Tables.rows("roles").map do |row|
          {id: row["id"], label: row["label"], powers: Sandbag::Job::People::POWERS.keys.select { |power| row[power] }}
        end
      end

      def shop_view(shop)
        shop.to_h.merge(
          revision: store.settings.revision(ShopSettings::NAME), display: shop.display,
          offered: Sandbag::Units::SHOWN.transform_values(&:keys), schools_open: schools_open, roles: roles,
          lubricants: Sandbag::Fluid::Lubricants.wetting.map { |row| row.slice("id", "label", "where") }
        )
      end
    end
  end
end
