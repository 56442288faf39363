# frozen_string_literal: true

# A shop after ten years, made by copying Fell Gate Garage many times over: what the lists are measured on.
class BigShop
  MACHINES = 300
  SIGNED = 10_000
  OPEN = 60
  MOVES = 10_000

  # @param database [Sequel::Database] with Fell Gate Garage in it
  def initialize(database)
    @database = database
  end

  def grow
    @database.transaction do
      machines
      circuits = @database[:circuits].where(Sequel.like(:id, "big-%")).select_order_map(:id)
      signed_jobs(circuits)
      open_jobs(circuits)
      moves
      # what falls due is worked out again for all of them when the server starts
      @database[:settings].where(name: "dues").delete
    end
  end

  private

  def machines
    originals = @database[:machines].where(retired_at: nil).all
    (MACHINES - originals.size).times do |index|
      original = originals[index % originals.size]
      id = "big-#{index}"
      @database[:machines].insert(original.merge(id: id, name: "#{original[:name]} #{index}"))
      @database[:circuits].where(machine_id: original[:id]).all.each do |circuit|
        @database[:circuits].insert(circuit.merge(id: "#{id}-#{circuit[:id]}", machine_id: id))
      end
    end
  end

  def signed_jobs(circuits)
    job = @database[:jobs].exclude(record: nil).first
    entries = @database[:entries].where(job_id: job[:id]).order(:position).all
    SIGNED.times { |index| copy(job, entries, "signed-#{index}", circuits[index % circuits.size], index) }
  end

  # Each on a circuit of the kind it was opened on, so that its journal tells the same.
  def open_jobs(circuits)
    jobs = @database[:jobs].where(closed_at: nil).all
    (OPEN - jobs.size).times do |index|
      job = jobs[index % jobs.size]
      entries = @database[:entries].where(job_id: job[:id]).order(:position).all
      circuit = circuits.find { |id| id.end_with?("-#{job[:circuit_id]}") && id.start_with?("big-#{index % 10}") }
      copy(job, entries, "open-#{index}", circuit || job[:circuit_id], index, headline: nil, headline_of: nil)
    end
  end

  def copy(job, entries, id, circuit, index, **changes)
    opened_at = (Time.utc(2016) + index * 30_000).iso8601(3)
    @database[:jobs].insert(job.merge(id: id, circuit_id: circuit, opened_at: opened_at, **changes))
    rows =
      entries.map do |entry|
        entry.merge(
          id: "#{id}/#{entry[:position]}",
          job_id: id,
          corrects: entry[:corrects] && "#{id}/#{entry[:corrects]}"
        )
      end
    @database[:entries].multi_insert(rows)
    levers = @database[:levers].where(job_id: job[:id]).all
    @database[:levers].multi_insert(levers.map { |lever| lever.merge(job_id: id, circuit_id: circuit, at: opened_at) })
  end

  # A box of washers, counted over and over.
  def moves
    added =
      @database[:stock_moves].where(kind: "added").all.find { |move| JSON.parse(move[:data])["kind"] == "washer" } ||
      @database[:stock_moves].first
    counted =
      Array.new(MOVES) do |index|
        {
          id: "counted-#{index}",
          item: added[:item],
          kind: "counted",
          data: Store::Document.dump({"count" => 10 + index % 7}),
          at: added[:at],
          by: added[:by]
        }
      end
    @database[:stock_moves].multi_insert(counted)
  end
end
