# frozen_string_literal: true

require "base64"

module App
  # Takes an archive in, all of it or nothing. What is here already and says the same is passed over; what is here and
  # says something else refuses the whole archive. The shop's own settings come in only where none are set.
  class ArchiveImport
    # @param store [Store::All]; memory [Memory]; contract [Contract]; today [Date]
    def initialize(store, memory, contract, today)
      @store = store
      @archive = store.archive
      @memory = memory
      @contract = contract
      @documents = ArchivedDocuments.new(contract, today)
      @today = today
      @until = clock + MOST_SECONDS
    end

    # Other writes wait while an archive is checked.
    MOST_SECONDS = 300

    # @param document [Hash] of ArchiveFile; id [String] of the import, by which it can be taken back; at [String]
    # @return [Hash] id; added and passed over, each a count of machines, jobs and moves; and entries of open jobs that
    #   were refused
    def take(document, id:, at:)
      @added = {machines: 0, jobs: 0, moves: 0}
      @passed_over = @added.dup
      @refused = []
      @store.transaction do
        take_settings(document["settings"])
        machines = fresh(document, "machines", :machine)
        machines.each { |place, machine| add_machine(machine, place) }
        jobs = fresh(document, "jobs", :job)
        jobs.each { |place, job| add_job(job, place) }
        jobs.each { |place, job| at("jobs/#{place}") { @archive.add_rest_of_job(job) } }
        moves = fresh(document, "shelf", :move)
        moves.each { |place, move| at("shelf/#{place}") { @archive.add_move(move) } }
        check_shelf if moves.any?
        work_out(machines, jobs)
        brought = {"machines" => machines, "jobs" => jobs, "moves" => moves}
        @store.imports.add(id: id, at: at,
          brought: brought.transform_values { |things| things.map { |_, thing| thing["id"] } })
      end
      {id: id, added: @added, passed_over: @passed_over, refused: @refused}
    end

    private

    KINDS = {machine: :machines, job: :jobs, move: :moves}.freeze

    # @return [Array<Array(Integer, Hash)>] what is not here yet, with its place in the archive
    # Refuses what is here and says something else.
    def fresh(document, list, kind)
      document[list].each_with_index.filter_map do |thing, place|
        known = @archive.public_send(kind, thing["id"])
        if known.nil?
          @added[KINDS.fetch(kind)] += 1
          next [place, thing]
        end
        @passed_over[KINDS.fetch(kind)] += 1
        next if known == thing || (kind == :job && known == as_taken(thing))
        raise Sandbag::Refusal.at("#{list}/#{place}", "#{kind} #{thing["id"]} already exists with different content",
          "the same as it is here, or another id")
      end
    end

    def take_settings(settings)
      settings.each do |name, value|
        at("settings/#{name}") { ShopSettings.check(name, value) }
        @archive.add_settings(name, value) unless @archive.setting(name)
      end
    end

    def add_machine(machine, place)
      at("machines/#{place}") do
        known!("machine_kinds", machine["kind"], "kind")
        known!("machine_uses", machine["used_for"], "used_for")
        machine["circuits"].each_with_index do |circuit, index|
          at("circuits/#{index}/sheet") { @documents.check_circuit(circuit) }
          at("circuits/#{index}/comparisons") do
            circuit["comparisons"].each { |each| Store::Document.exported(each["body"]) }
          end
        end
        @archive.add_machine(machine)
        machine["circuits"].each do |circuit|
          circuit["comparisons"].each { |comparison| @archive.add_comparison(circuit["id"], comparison) }
        end
      end
    end

    def add_job(job, place)
      at("jobs/#{place}") do
        check_times(job)
        check_entries(job)
        check_record(job) if job["closed_at"]
        @documents.check_rest(job)
        job["photos"].each_with_index { |photo, index| at("photos/#{index}") { check_photo(photo) } }
        @archive.add_job(job["closed_at"] ? job : admitted(job))
      end
    end

    # @return [Hash] a job as an earlier import of the same archive stored it
    def as_taken(job)
      job["closed_at"] ? job : job.merge("entries" => journal_of(job).entries)
    end

    def journal_of(job)
      state = @memory.empty_state(@store, @store.circuits.find(job["circuit_id"]), @memory.shop(@store))
      ArchivedJournal.new(job, state)
    end

    # @return [Hash] an open job with the entries that it could have been sent
    def admitted(job)
      journal = journal_of(job)
      @refused.concat(journal.refused.map do |each|
        {job: job["id"], stage: each.entry["stage"], kind: each.entry["kind"], why: each.why}
      end)
      job.merge("entries" => journal.entries)
    end

    def check_times(job)
      [job["opened_at"], job["closed_at"], *job["entries"].map { |entry| entry["at"] }].compact
        .each { |time| Time.iso8601(time) }
    end

    # What an open job is folded from; a signed one is not folded again.
    def check_entries(job)
      return if job["closed_at"]
      job["entries"].each_with_index do |entry, index|
        at("entries/#{index}") do
          Sandbag::Job::EntryShape.check(ArchivedJournal.entry(entry))
        end
      end
    end

    # A signed job is read by its record from then on: it has to be one that every page can show.
    def check_record(job)
      record = Store::Document.exported(job.fetch("record") {
        raise Sandbag::Refusal.at("record", "is missing", "what it was signed with")
      })
      job.fetch("headline") { raise Sandbag::Refusal.at("headline", "is missing", "its line in the lists") }
      faults = @contract.response_faults("getJob", 200, record["head"])
      (record["stages"] || {}).each do |id, view|
        faults += @contract.response_faults("getStage", 200, {"id" => id, id => view})
      end
      return check_signature(job, record["stages"] || {}) if faults.empty?
      raise Sandbag::Refusal.at("record", "is damaged: #{faults.first}", "a record as Sandbag writes it")
    end

    # What the record says was signed and bled is in the journal too.
    # @param told [Hash] what each stage shows
    def check_signature(job, told)
      journal = Sandbag::Job::Journal.new(job["entries"].map { |entry| ArchivedJournal.entry(entry) })
      signed = journal.of("close").last("signed")
      unless signed && signed.at == job["closed_at"] && signed.data["name"] == told.dig("close", "signed_by")
        raise Sandbag::Refusal.at("record", "says that it was signed, and its journal does not",
          "the signature of its journal")
      end
      said = (told.dig("bleed", "points") || []).select { |point| point["done"] }.map { |point| point["id"] }
      lost = said - journal.of("bleed").values("point_done", "point")
      return if lost.empty?
      raise Sandbag::Refusal.at("record", "says that #{lost.first} was bled, and its journal does not",
        "what its journal says")
    end

    def check_photo(photo)
      jpeg = Base64.strict_decode64(photo["jpeg"])
      read = Photo.read(jpeg, "image/jpeg")
      return if [read.width, read.height] == photo.values_at("width", "height")
      raise Sandbag::Refusal.at("width", "the picture is #{read.width} × #{read.height}", "its own width and height")
    end

    def check_shelf
      moves = @store.stock_moves.between(0, @store.stock_moves.position)
      lost = Sandbag::Shelf::Stock.fold(moves.map { |row| Sandbag::Shelf::Move.new(**row) }).damaged
      return if lost.empty?
      raise Sandbag::Refusal.at("shelf", "move #{lost.first[:move]} cannot be read, or moves what is not there",
        "moves as Sandbag writes them")
    end

    # What is not in an archive: lines of open jobs, how levers stand, what falls due.
    def work_out(machines, jobs)
      jobs.each { |place, job| at("jobs/#{place}") { work_out_job(job) } }
      levers = LeverFile.new(@store)
      @store.levers.unranked.each { |circuit| levers.rank(circuit) }
      book = DueBook.new(@store, @memory.shop(@store), @today)
      machines.each { |_, machine| book.write_machine(@store.machines.find(machine["id"])) }
    end

    # An open job has to tell something in every stage, and may not be signed without its record.
    def work_out_job(job)
      return if job["closed_at"]
      circuit = @store.circuits.find(job["circuit_id"])
      state = Memory.new.state(@store, job["id"], circuit, @memory.shop(@store))
      raise Sandbag::Refusal.at("closed_at", "is missing: its journal is signed", "a time") if state.signed?
      state.stages.each_value(&:view)
      Headlines.new(@store, @memory).write(job["id"], state, circuit[:revision])
      @store.jobs.refer(job["id"], state.ask.referral&.at)
    end

    def known!(table, id, name)
      Sandbag::Tables.fetch(table, id, name, "“#{id}” is not known")
    end

    # Seconds, by a clock that nobody can set.
    def clock
      Process.clock_gettime(Process::CLOCK_MONOTONIC)
    end

    def refuse_late
      return if clock < @until
      raise Sandbag::Refusal.at("", "to check this archive takes over #{MOST_SECONDS / 60} minutes",
        "one machine at a time")
    end

    # Whatever is wrong is said with its place; a damaged archive breaks nothing here.
    def at(place)
      Sandbag::Refusal.within(place) do
        refuse_late
        yield
      end
    rescue Sandbag::Refusal
      raise
    rescue Store::Document::Damaged => damaged
      raise Sandbag::Refusal.at(place, damaged.message, "a document of this version or an older one")
    rescue Sequel::Error, ArgumentError, KeyError, Store::Missing => fault
      raise Sandbag::Refusal.at(place, "is damaged, or names what is not there: #{fault.class}",
        "a thing as Sandbag writes it")
    end
  end
end
