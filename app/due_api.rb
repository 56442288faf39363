# frozen_string_literal: true

module App
  # /api/due: what falls due, soonest first; and the same as a calendar to subscribe to.
  class DueApi < Base
    # Days ahead that are listed unless asked otherwise. [default]
    AHEAD = 30
    # How far a calendar goes, days.
    CALENDAR_AHEAD = 730
    MOST = 1000

    get "/" do
      asked = query_for("listDue")
      limit = asked.fetch("limit", PAGE)
      rows = store.dues.up_to((today + asked.fetch("days", AHEAD)).iso8601, limit: limit, after: asked["after"],
        machine_id: asked["machine"])
      json 200, {
        items: rows.map { |row| DueLine.of(row, today) },
        shelf: (asked["after"] || asked["machine"]) ? [] : shelf_dues,
        next: next_of(rows, limit) { |row| [row[:due_on], row[:key]] }
      }.compact
    end

    get "/calendar.ics" do
      rows = store.dues.up_to((today + CALENDAR_AHEAD).iso8601, limit: MOST)
      open = Headlines.new(store, memory).of(store.jobs.page(limit: MOST, state: :open))
      content_type "text/calendar", charset: "utf-8"
      headers "content-disposition" => 'inline; filename="sandbag.ics"'
      made_of = [shop.name, rows, shelf_dues, open.select { |job| job[:wait] }]
      memory.calendar(made_of) { calendar(*made_of) }
    end

    helpers do
      def calendar(name, rows, shelf, waits)
        dues = rows.map { |row| DueLine.of(row, today) } + shelf
        CalendarFile.new(name, plain(dues), plain(waits), @clock.call).text
      end

      # Bottles that are past their day, or will be.
      def shelf_dues
        _, stock = memory.stock(store)
        stock.of("bottle").filter_map { |bottle| DueLine.of_bottle(bottle, today) }.sort_by { |line| line[:on] }
      end
    end
  end
end
