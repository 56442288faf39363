# frozen_string_literal: true

module App
  # One thing that falls due, as lists and calendars show it.
  module DueLine
    # @param row [Hash] of Store::Dues; today [Date]
    # @return [Hash] id, kind, label, on, overdue, why, and where
    # A day that is none counts as due today, and is said to be damaged.
    def self.of(row, today)
      damaged = !Sandbag::Day.iso?(row[:due_on])
      on = damaged ? today.iso8601 : row[:due_on]
      {
        id: row[:key],
        kind: row[:kind],
        label: row[:label],
        on: on,
        overdue: on < today.iso8601,
        damaged: (true if damaged),
        why: (row[:why] unless row[:why].empty?),
        recheck: row[:recheck],
        job: row[:job_id],
        machine: {id: row[:machine_id], name: row[:machine_name]},
        circuit: {id: row[:circuit_id], name: row[:circuit_name]}
      }.compact
    end

    # @param item [Sandbag::Shelf::Item] a bottle
    # @return [Hash, nil] nil where nothing says how long it keeps
    def self.of_bottle(item, today)
      on = Sandbag::Fluid::Bottle.new(item, today).use_by
      return unless on && item.amount.positive?
      {id: "shelf/#{item.id}", kind: "bottle", label: "#{item.name}: use by", on: on.iso8601, overdue: on < today}
    end
  end
end
