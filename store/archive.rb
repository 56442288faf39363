# frozen_string_literal: true

require "base64"
require "json"

module Store
  # Everything there is, or one machine with its history, as plain hashes that another shop can take in
  # (api/archive.schema.json). What can be worked out again is left out.
  class Archive
    FORMAT = "sandbag"
    VERSION = 1
    MACHINE = %i[id name kind note mark place used_for meter retired_at].freeze
    JOB = %i[id circuit_id opened_at closed_at follows].freeze
    ENTRY = %i[id stage kind at by corrects received_at said_at].freeze
    # Settings that are a shop's own, and not kept for speed.
    SETTINGS = %w[shop].freeze

    def initialize(database)
      @database = database
    end

    # What cannot be read is left out, and named in the list of what is damaged.
    # @param machine_id [String, nil] nil is the whole shop
    # @return [Enumerator<String>] pieces of one JSON document, the same for the same records
    def pieces(machine_id: nil)
      Enumerator.new do |out|
        lost = []
        machines = whole("machine", machines(machine_id), lost) { |row| machine_of(row) }
        out << head(machine_id, lost) << list("machines", machines)
        circuits = machines.flat_map { |machine| machine["circuits"].map { |circuit| circuit["id"] } }.to_set
        jobs = whole("job", jobs(machine_id), lost) { |row| job_of(row) if circuits.include?(row[:circuit_id]) }
        out << "," << list("jobs", jobs)
        out << "," << list("shelf", machine_id ? [] : whole("move", moves, lost) { |row| move_of(row) })
        out << (lost.any? ? ",#{list("damaged", lost)}}\n" : "}\n")
      end
    end

    # @return [Hash, nil] as it is exported; nil where it is not here
    def machine(id)
      row = @database[:machines].first(id: id)
      row && machine_of(row)
    end

    def job(id)
      row = @database[:jobs].first(id: id)
      row && job_of(row)
    end

    def move(id)
      row = @database[:stock_moves].first(id: id)
      row && move_of(row)
    end

    # @param machine [Hash] as it is exported
    def add_machine(machine)
      row = machine.slice(*MACHINE.map(&:to_s), "training")
      @database[:machines].insert(row.transform_keys(&:to_sym))
      machine["circuits"].each do |circuit|
        @database[:circuits].insert(id: circuit["id"], machine_id: machine["id"], name: circuit["name"],
          joined_to: circuit["joined_to"], sheet: JSON.generate(circuit["sheet"]))
      end
    end

    # @param job [Hash] as it is exported
    def add_job(job)
      id, circuit_id = job.values_at("id", "circuit_id")
      @database[:jobs].insert(job.slice(*JOB.map(&:to_s)).transform_keys(&:to_sym)
        .merge(%w[sheet record headline].to_h { |name| [name.to_sym, job[name] && JSON.generate(job[name])] }))
      job["entries"].each.with_index(1) do |entry, position|
        @database[:entries].insert(entry.slice(*ENTRY.map(&:to_s)).transform_keys(&:to_sym)
          .merge(job_id: id, position: position, data: JSON.generate(entry["data"])))
      end
      job["photos"].each do |photo|
        @database[:photos].insert(**photo.slice("id", "at", "width", "height").transform_keys(&:to_sym), job_id: id,
          jpeg: Sequel.blob(Base64.strict_decode64(photo["jpeg"])))
      end
      job["levers"].each_with_index do |lever, place|
        @database[:levers].insert(job_id: id, place: place, circuit_id: circuit_id, at: lever["at"],
          body: JSON.generate(lever))
      end
    end

    # Once every job is there: a comparison and a re-check may name another one.
    def add_rest_of_job(job)
      job["comparisons"].each do |comparison|
        @database[:comparisons].insert(**comparison.slice("id", "name", "at").transform_keys(&:to_sym),
          circuit_id: job["circuit_id"], job_id: job["id"], body: JSON.generate(comparison["body"]))
      end
      job["rechecks"].each do |recheck|
        @database[:rechecks].insert(**recheck.transform_keys(&:to_sym), job_id: job["id"],
          circuit_id: job["circuit_id"])
      end
    end

    def add_comparison(circuit_id, comparison)
      @database[:comparisons].insert(**comparison.slice("id", "name", "at").transform_keys(&:to_sym),
        circuit_id: circuit_id, body: JSON.generate(comparison["body"]))
    end

    def add_move(move)
      @database[:stock_moves].insert(move.except("data").transform_keys(&:to_sym)
        .merge(data: JSON.generate(move["data"])))
    end

    def add_settings(name, value)
      @database[:settings].insert_conflict(:replace).insert(name: name, value: JSON.generate(value))
    end

    # @return [Hash, nil] what is set under a name
    def setting(name)
      text = @database[:settings].where(name: name).get(:value)
      text && Document.parsed(text)
    end

    private

    def head(machine_id, lost)
      names = machine_id ? [] : SETTINGS.map { |name| {id: name} }
      settings = whole("setting", names, lost) { |row| [row[:id], setting(row[:id])] }.to_h.compact
      start = {"format" => FORMAT, "version" => VERSION, "scope" => machine_id ? "machine" : "shop",
               "settings" => settings}
      "#{JSON.generate(start).delete_suffix("}")},"
    end

    def list(name, rows)
      "#{JSON.generate(name)}:[#{rows.map { |row| JSON.generate(row) }.join(",")}]"
    end

    # @yieldreturn [Object, nil] nil where a row rests on what is lost
    # @return [Array] what each row says; a row that cannot be read is added to those that are lost
    def whole(kind, rows, lost)
      rows.filter_map do |row|
        yield(row) || raise(Document::Damaged)
      rescue Document::Damaged
        lost << {"kind" => kind, "id" => row[:id]}
        nil
      end
    end

    def machines(machine_id)
      rows = @database[:machines].order(:name, :id)
      machine_id ? rows.where(id: machine_id) : rows
    end

    def jobs(machine_id)
      rows = @database[:jobs].order(:opened_at, :id)
      if machine_id
        circuits = @database[:circuits].where(machine_id: machine_id).select(:id)
        rows = rows.where(circuit_id: circuits)
      end
      rows
    end

    def moves
      @database[:stock_moves].order(:position)
    end

    def machine_of(row)
      circuits = @database[:circuits].where(machine_id: row[:id]).order(Sequel.lit("rowid")).map do |circuit|
        comparisons = @database[:comparisons].where(circuit_id: circuit[:id], job_id: nil)
        {**plain(circuit, %i[id name joined_to]), "sheet" => Document.parsed(circuit[:sheet]),
                                                  "comparisons" => comparisons_of(comparisons)}
      end
      training = (row[:training] == 1) ? 1 : nil
      {**plain(row, MACHINE), **{"training" => training}.compact, "circuits" => circuits}
    end

    def job_of(row)
      documents = row.slice(:sheet, :record).compact.transform_keys(&:to_s)
        .transform_values { |text| Document.parsed(text) }
      # an open job's line on the Bench is worked out again
      documents["headline"] = Document.parsed(row[:headline]) if row[:closed_at] && row[:headline]
      {
        **plain(row, JOB), **documents,
        "entries" => @database[:entries].where(job_id: row[:id]).order(:position)
          .map { |entry| {**plain(entry, ENTRY), "data" => Document.parsed(entry[:data])} },
        "photos" => @database[:photos].where(job_id: row[:id]).order(:at, :id).map { |photo| photo_of(photo) },
        "levers" => @database[:levers].where(job_id: row[:id]).order(:place)
          .map { |lever| Document.parsed(lever[:body]) },
        "rechecks" => @database[:rechecks].where(job_id: row[:id]).order(:id)
          .map { |recheck| plain(recheck, %i[id label due_on done_by]) },
        "comparisons" => comparisons_of(@database[:comparisons].where(job_id: row[:id]))
      }
    end

    def comparisons_of(rows)
      rows.order(:at, :id).map { |row| {**plain(row, %i[id name at]), "body" => Document.parsed(row[:body])} }
    end

    def photo_of(row)
      {**plain(row, %i[id at width height]), "jpeg" => Base64.strict_encode64(row[:jpeg])}
    end

    def move_of(row)
      {**plain(row, %i[id item kind at by]), "data" => Document.parsed(row[:data])}
    end

    # Nothing where nothing is.
    def plain(row, names)
      names.to_h { |name| [name.to_s, row[name]] }.compact
    end
  end
end
