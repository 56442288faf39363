# frozen_string_literal: true

module App
  # /api/levers: every circuit's lever as it stands, the worst first.
  class LeversApi < Base
    get "/" do
      asked = query_for("listLevers")
      limit = asked.fetch("limit", PAGE)
      rows = store.levers.worst(day: today.jd, limit: limit, after: asked["after"])
      json 200, {
        items: rows.map { |row| line(row) },
        next: next_of(rows, limit) { |row| [row[:share_now], row[:circuit_id]] }
      }.compact
    end

    SHOWN = %w[at cost_mm cost_error_mm limit_mm lift_mm wanted_mm due_on].freeze

    helpers do
      def line(row)
        {
          machine: {id: row[:machine_id], name: row[:machine_name]},
          circuit: {id: row[:circuit_id], name: row[:circuit_name]},
          share_now: row[:share_now],
          **(row[:body]&.key?("at") ? row[:body].slice(*SHOWN) : {"at" => "", "damaged" => true})
        }
      end
    end
  end
end
