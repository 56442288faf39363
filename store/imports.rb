# frozen_string_literal: true

module Store
  # What each archive brought. It can be taken back until something rests on it: a job, an entry, a corrected record.
  class Imports
    # Counts of what stands on an import => what is said where one has changed.
    RESTS = {
      "circuits" => "a circuit was added or its record was corrected",
      "jobs" => "a job was opened on it",
      "entries" => "something was entered in a job",
      "photos" => "a photo was added",
      "comparisons" => "a comparison was saved",
      "moves" => "something on the shelf was used or counted"
    }.freeze

    def initialize(database)
      @database = database
    end

    # @param brought [Hash{String => Array<String>}] ids of machines, jobs and moves
    def add(id:, at:, brought:)
      body = {**brought, "standing" => standing(brought)}
      @database[:imports].insert(id: id, at: at, body: Document.dump(body))
    end

    # @return [Hash] id, at, and body: machines, jobs, moves and how they stood
    def find(id)
      row = @database[:imports].first(id: id) || raise(Missing.new("import", id))
      row.merge(body: Document.load(row[:body]))
    end

    # @return [Array<Hash>] newest first; a damaged one is left out
    def newest(limit)
      @database[:imports].order(Sequel.desc(:at), :id).limit(limit)
        .filter_map { |row| Document.try(row[:body])&.then { |body| row.merge(body: body) } }
    end

    # @return [Array<String>] what rests on an import
    def resting(import)
      now = standing(import[:body])
      RESTS.filter_map { |name, said| said unless now[name] == import[:body]["standing"][name] }
    end

    # @return [Array<String>] circuits that stay and had jobs of it
    def take_back(import)
      jobs, circuits = import[:body]["jobs"], circuits_of(import[:body])
      left = @database[:jobs].where(id: jobs).exclude(circuit_id: circuits).distinct.select_map(:circuit_id)
      %i[photos entries levers rechecks comparisons].each { |table| @database[table].where(job_id: jobs).delete }
      @database[:jobs].where(id: jobs).delete
      %i[lever_standings dues rechecks comparisons].each { |table| @database[table].where(circuit_id: circuits).delete }
      @database[:circuits].where(id: circuits).delete
      @database[:machines].where(id: import[:body]["machines"]).delete
      @database[:stock_moves].where(id: import[:body]["moves"]).delete
      @database[:imports].where(id: import[:id]).delete
      left
    end

    private

    def circuits_of(brought)
      @database[:circuits].where(machine_id: brought["machines"]).select_map(:id)
    end

    # How much stands on it, by table: an import counts what it brought itself.
    def standing(brought)
      jobs, circuits = brought["jobs"], circuits_of(brought)
      items = @database[:stock_moves].where(id: brought["moves"]).distinct.select_map(:item)
      here = Sequel.|({circuit_id: circuits}, {id: jobs})
      {
        "circuits" => circuits.size + @database[:circuits].where(id: circuits).sum(:revision).to_i,
        "jobs" => @database[:jobs].where(here).count,
        "entries" => @database[:entries].where(job_id: jobs).count,
        "photos" => @database[:photos].where(job_id: jobs).count,
        "comparisons" => @database[:comparisons].where(Sequel.|({circuit_id: circuits}, {job_id: jobs})).count,
        "moves" => @database[:stock_moves].where(item: items).count
      }
    end
  end
end
