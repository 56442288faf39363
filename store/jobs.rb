# frozen_string_literal: true

module Store
  # Jobs. What happened in them is in their journals; here stands on which circuit, when opened and closed, where the
  # job stands, and, once it is signed, everything the signature closed.
  class Jobs
    # Everything but the record, which only the job's own page needs.
    LINE = %i[id circuit_id opened_at closed_at headline headline_of].freeze

    # On the bench, put away as referred, and signed.
    STATES = {
      open: {closed_at: nil, referred_at: nil},
      referred: Sequel.&({closed_at: nil}, Sequel.~(referred_at: nil)),
      closed: Sequel.~(closed_at: nil)
    }.freeze

    def initialize(database)
      @database = database
      @jobs = database[:jobs]
    end

    # @return [Boolean] false when the id is in use
    # @param follows [String, nil] id of a re-check
    def open(id:, circuit_id:, at:, follows: nil)
      return false if include?(id)
      @jobs.insert(id: id, circuit_id: circuit_id, opened_at: at, follows: follows)
      true
    end

    def include?(id)
      !@jobs.where(id: id).empty?
    end

    # @return [Hash] id, circuit_id, opened_at, closed_at, headline, headline_of, sheet
    def find(id)
      read(@jobs.select(*LINE, :sheet, :follows).first(id: id) || raise(Missing.new("job", id)))
    end

    # @return [Hash, nil] what a signed job was closed with
    def record(id)
      Document.load(@jobs.where(id: id).get(:record))
    end

    # @return [Hash, nil] the same; nil where it cannot be read
    def readable_record(id)
      Document.try(@jobs.where(id: id).get(:record))
    end

    # @param state [Symbol, nil] of STATES; nil is all of them
    # @param machine_id [String, nil] of one machine only
    # @return [Array<Hash>] newest first, after a place in the list, each with its circuit and machine
    def page(limit:, state: nil, after: nil, machine_id: nil)
      rows = @jobs.join(:circuits, id: Sequel[:jobs][:circuit_id]).join(:machines, id: Sequel[:circuits][:machine_id])
      rows = rows.where(STATES.fetch(state)) if state
      rows = rows.where(machine_id: machine_id) if machine_id
      rows = rows.where(older_than(*Cursor.read(after))) if after
      rows
        .order(Sequel.desc(:opened_at), Sequel.desc(Sequel[:jobs][:id]))
        .limit(limit)
        .select(*columns)
        .map { |row| read(row) }
    end

    # @return [Array<Hash>] signed jobs of a circuit, newest first
    def signed_on(circuit_id, limit:)
      @jobs
        .where(circuit_id: circuit_id)
        .exclude(closed_at: nil)
        .order(Sequel.desc(:opened_at))
        .limit(limit)
        .select(*LINE)
        .map { |row| read(row) }
    end

    # What the newest signed job of a circuit that read its lever found it to be.
    # @return [Hash, nil] at, fit
    def last_good(circuit_id)
      fit = Sequel.case({Sequel.function(:json_valid, :record) =>
        Sequel.function(:json_extract, :record, "$.stages.feel.fit")}, nil)
      row = @jobs
        .where(circuit_id: circuit_id)
        .exclude(closed_at: nil)
        .exclude(fit => nil)
        .order(Sequel.desc(:closed_at))
        .select(:closed_at, fit.as(:fit))
        .first
      row && {"at" => row[:closed_at], "fit" => JSON.parse(row[:fit])}
    end

    # @param day [String] ISO 8601
    # @return [Array<Hash>] kind of the circuit, method and number of points of each job that was signed since and bled
    def bled_since(day)
      bleed = ->(path) {
        Sequel.case({Sequel.function(:json_valid, :record) =>
          Sequel.function(:json_extract, :record, "$.stages.bleed.#{path}")}, nil)
      }
      points = Sequel.case({Sequel.function(:json_valid, :record) =>
        Sequel.function(:json_array_length, :record, "$.stages.bleed.points")}, nil)
      @jobs
        .where { closed_at >= day }
        .exclude(bleed["method.id"] => nil)
        .select(Circuits.kind(:sheet).as(:kind), bleed["method.id"].as(:method), points.as(:points))
        .all
    end

    # @return [String, nil] id of the newest job that is open on a circuit
    def open_on(circuit_id)
      @jobs.where(circuit_id: circuit_id, closed_at: nil).order(Sequel.desc(:opened_at)).get(:id)
    end

    # @return [Array<String>] signed jobs whose record was never written: signed by a Sandbag that did not keep one
    def unrecorded
      @jobs.exclude(closed_at: nil).where(record: nil).order(:opened_at).select_map(:id)
    end

    # Keeps where the job stands.
    # @param headline [Hash]; of [String] what it was worked out from
    def write_headline(id, headline, of)
      @jobs.where(id: id).update(headline: Document.dump(headline), headline_of: of)
    end

    # Keeps the job among the referred ones since then, or among the open ones.
    # @param since [String, nil] ISO 8601
    def refer(id, since)
      @jobs.where(id: id).update(referred_at: since)
    end

    # Where the open jobs of a machine stand is worked out again: one of its circuits has changed.
    def forget_headlines(machine_id)
      of_machine = @database[:circuits].where(machine_id: machine_id).select(:id)
      @jobs.where(circuit_id: of_machine, closed_at: nil).update(headline_of: nil)
    end

    # Closes the job: the circuit as it stood, and everything that was decided.
    def close(id, at:, sheet:)
      @jobs.where(id: id).update(closed_at: at, sheet: Document.dump(sheet))
    end

    def write_record(id, record)
      @jobs.where(id: id).update(record: Document.dump(record))
    end

    private

    def columns
      LINE.map { |name| Sequel[:jobs][name] } +
        [
          Sequel[:circuits][:name].as(:circuit_name),
          Sequel[:circuits][:revision].as(:circuit_revision),
          Sequel[:circuits][:machine_id].as(:machine_id),
          Circuits.kind(Sequel[:circuits][:sheet]).as(:circuit_kind),
          Sequel[:machines][:name].as(:machine_name), Sequel[:machines][:kind].as(:machine_kind),
          Sequel[:machines][:used_for].as(:machine_use),
          @database[:entries].where(job_id: Sequel[:jobs][:id]).select { max(position) }.as(:position)
        ]
    end

    def older_than(opened_at, id)
      Sequel.|(
        Sequel[:jobs][:opened_at] < opened_at,
        Sequel.&({Sequel[:jobs][:opened_at] => opened_at}, Sequel[:jobs][:id] < id)
      )
    end

    def read(row)
      row = row.merge(sheet: Document.load(row[:sheet])) if row.key?(:sheet)
      row.merge(headline: Document.try(row[:headline])&.transform_keys(&:to_sym))
    end
  end
end
