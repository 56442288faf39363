# frozen_string_literal: true

module Store
  # What signed jobs found levers to be, and how each circuit's lever stands. Plain hashes in and out.
  class Levers
    def initialize(database)
      @database = database
      @levers = database[:levers]
      @standings = database[:lever_standings]
    end

    # @param points [Array<Hash>] of one job, oldest first, by string keys, each with at
    def add(job_id, circuit_id, points)
      points.each_with_index do |point, place|
        @levers.insert(job_id: job_id, place: place, circuit_id: circuit_id, at: point["at"],
          body: Document.dump(point))
      end
    end

    # @return [Array<Hash>] oldest first, each with its job; damaged ones are left out
    def of_circuit(circuit_id)
      @levers.where(circuit_id: circuit_id).order(:at, :place).filter_map do |row|
        Document.try(row[:body])&.merge("job" => row[:job_id])
      end
    end

    # @return [Array<String>] circuits with levers on file whose standing was never worked out
    def unranked
      @levers.exclude(circuit_id: @standings.select(:circuit_id)).distinct.select_map(:circuit_id)
    end

    # @param standing [Hash] newest lever with share, share_per_day and, where known, due_on; day [Integer] Julian
    def write_standing(circuit_id, standing, day)
      @standings.insert_conflict(:replace).insert(
        circuit_id: circuit_id, day: day, share: standing["share"], share_per_day: standing["share_per_day"],
        due_on: standing["due_on"], body: Document.dump(standing)
      )
    end

    # The last lever on file of a circuit is gone.
    def drop_standing(circuit_id)
      @standings.where(circuit_id: circuit_id).delete
    end

    # @param day [Integer] Julian, of today
    # @return [Array<Hash>] the worst first as they should stand by now, each with its circuit and machine; a damaged
    #   one without its body; retired machines are left out
    def worst(day:, limit:, after: nil)
      share = Sequel[:share] + Sequel[:share_per_day] * (day - Sequel[:day])
      rows = @standings
        .join(:circuits, id: Sequel[:lever_standings][:circuit_id])
        .join(:machines, id: Sequel[:circuits][:machine_id])
        .where(Sequel[:machines][:retired_at] => nil)
        .select(Sequel[:lever_standings][:circuit_id], :body, share.as(:share_now),
          Sequel[:circuits][:name].as(:circuit_name), :machine_id, Sequel[:machines][:name].as(:machine_name))
        .from_self
      rows = rows.where(behind(*Cursor.read(after))) if after
      rows.order(Sequel.desc(:share_now), :circuit_id).limit(limit)
        .map { |row| row.merge(body: Document.try(row[:body])) }
    end

    private

    def behind(share, circuit_id)
      share = Float(share, exception: false) || 0.0
      Sequel.|(Sequel[:share_now] < share, Sequel.&({share_now: share}, Sequel[:circuit_id] > circuit_id))
    end
  end
end
