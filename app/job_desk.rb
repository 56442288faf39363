# frozen_string_literal: true

module App
  # Opens jobs, takes entries down, and shows a job as its journal tells it.
  class JobDesk
    # The id is in use for another entry.
    class Clash < StandardError; end

    # @param store [Store::All]
    # @param today [Date] for what ages on the shelf
    def initialize(store, today)
      @store = store
      @today = today
      @shelf = ShelfDesk.new(store)
    end

    # @return [Hash] the job's view
    def open(id, circuit_id, at)
      @store.transaction do
        @store.circuits.find(circuit_id)
        job = @store.jobs.open(id: id, circuit_id: circuit_id, at: at)
        raise Clash, "job #{id} is on another circuit" unless job[:circuit_id] == circuit_id
      end
      view(id)
    end

    # @return [Array(Hash, Boolean)] the job's view, and whether the entry is new
    def add(job_id, given)
      fresh = write(job_id, given)
      [view(job_id), fresh]
    end

    # @return [Boolean] false when the entry was there already
    def write(job_id, given)
      @store.transaction { take_down(@store.jobs.find(job_id), given) }
    end

    def view(id)
      job = @store.jobs.find(id)
      state, circuit = state_of(job)
      head = head(job, circuit)
      {**head, fitted: state.fitted.to_h, sheet: state.sheet.to_h, **state.to_h, costs: costs(state, head[:machine][:kind]), history: history(job), photos: photos(state)}
    end

    # @return [Array<Hash>] one line for each job
    def lines(jobs)
      entries = @store.journals.of_jobs(jobs.map { |job| job[:id] })
      jobs.map do |job|
        state, circuit = state_of(job, entries.fetch(job[:id], []))
        head = head(job, circuit)
        minutes = estimate(state.ask.route, state, head[:machine][:kind])&.minutes
        {**head, complaint: state.ask.complaint, planned_minutes: minutes, wait: state.ask.wait, **state.to_h.slice(:current, :waits_for, :signed, :stop, :stages)}.compact
      end
    end

    # @return [Sandbag::Job::State, Hash] a job's state and its circuit's row
    def state_of(job, rows = @store.journals.of_job(job[:id]))
      circuit = @store.circuits.find(job[:circuit_id])
      entries = rows.map { |row| Sandbag::Job::Entry.new(**row.slice(:id, :stage, :kind, :data, :at, :by, :corrects, :position)) }
      sheet = Sandbag::Circuit::Sheet.new(job[:sheet] || circuit[:sheet])
      [Sandbag::Job::State.new(Sandbag::Job::Journal.new(entries), sheet, lubricant: shop.lubricant), circuit]
    end

    # @return [Sandbag::Choose::Supplies] what the shelf has for a job
    def supplies(state)
      Sandbag::Choose::Supplies.new(state.choose, @shelf.stock, today: @today, shop_months: shop.fluid_months)
    end

    # @return [Array<Hash>] photos that entries in force name, oldest first
    def photos(state)
      state.journal.in_force.select { |entry| entry.kind == "photo" }
        .map { |entry| {entry: entry.id, photo: entry.data["photo"], what: entry.data["what"], stage: entry.stage, at: entry.at} }
    end

    private

    # Earlier jobs on the same circuit that are shown beside a new one.
    EARLIER = 3

    # @return [Array<Hash>] what was done to the circuit before: last fault, fluid and lever
    def history(job)
      earlier = @store.jobs.of_circuits([job[:circuit_id]]).reject { |each| each[:id] == job[:id] || each[:closed_at].nil? }
      earlier.first(EARLIER).map do |each|
        state, _ = state_of(each)
        fluid = state.choose.fluid && Sandbag::Knowledge.find("fluids", state.choose.fluid)["label"]
        {id: each[:id], closed_at: each[:closed_at], route: state.ask.route&.fetch("label"), complaint: state.ask.complaint, fluid: fluid,
         lever: (state.feel.lift || state.feel.report.verdict)&.to_h&.fetch(:why)}.compact
      end
    end

    # Minutes and money of the route in force, and kit against unit.
    def costs(state, machine_kind)
      {estimate: estimate(state.ask.route, state, machine_kind)&.to_h,
       kit_or_unit: Sandbag::Ask::Estimate.kit_or_unit(machine_kind, state.choose.need_ml, shop)}.compact
    end

    def estimate(route, state, machine_kind)
      route && Sandbag::Ask::Estimate.new(route["id"], machine_kind, state.choose.need_ml, shop)
    end

    def shop
      @shop ||= ShopSettings.read(@store)
    end

    def head(job, circuit)
      machine = @store.machines.find(circuit[:machine_id])
      {id: job[:id], machine: machine.slice(:id, :name, :kind), circuit: circuit.slice(:id, :name).merge(kind: circuit[:sheet]["kind"]),
       opened_at: job[:opened_at], closed_at: job[:closed_at]}.compact
    end

    def take_down(job, given)
      known = @store.journals.find(given[:id])
      return same?(known, job, given) if known
      state, circuit = state_of(job)
      entry = with_lubricant(state, move_stock(job[:id], state, Sandbag::Job::Admission.new(state).admit(Sandbag::Job::Entry.new(**given))))
      refuse_strange_photo(job[:id], entry)
      @store.journals.append(job[:id], entry.to_h)
      close(job, circuit, state, entry) if entry.kind == "signed"
      true
    end

    # What goes together is taken down with what wetted it: the shop may go over to another lubricant later.
    def with_lubricant(state, entry)
      return entry unless entry.stage == "build" && entry.kind == "step"
      entry.with_data({"lubricant" => state.build.lubricant, **entry.data})
    end

    # What an entry does to the shelf.
    # @return [Sandbag::Job::Entry] with the count that was promised
    def move_stock(job_id, state, entry)
      if pulls?(entry)
        entry = supplies(state).admit(entry)
        @shelf.reserve(job_id, entry) if Sandbag::Choose::Supplies::RESERVED.include?(@shelf.stock.find(entry.data["item"]).kind)
      elsif entry.undo?
        pulled = state.journal.find(entry.corrects)
        @shelf.release(job_id, pulled, entry) if pulls?(pulled)
      end
      entry
    end

    # A photo is taken up by the job it was sent to.
    def refuse_strange_photo(job_id, entry)
      return unless entry.kind == "photo" && @store.photos.find(entry.data["photo"])&.fetch(:job_id) != job_id
      raise Sandbag::Refusal.at("data/photo", "no photo “#{entry.data["photo"]}” was sent to this job", "the id of one that was")
    end

    def pulls?(entry)
      entry.stage == "choose" && entry.kind == "pulled" && !entry.data["item"].nil?
    end

    # A retry carries the same stage and kind to the same job; anything else has borrowed an id.
    def same?(known, job, given)
      return false if known.values_at(:job_id, :stage, :kind) == [job[:id], given[:stage], given[:kind]]
      raise Clash, "entry #{given[:id]} is used otherwise"
    end

    # The job keeps the circuit as it was; the machine's record takes what was changed.
    def close(job, circuit, state, entry)
      @store.jobs.close(job[:id], at: entry.at, sheet: circuit[:sheet])
      supplies(state).stale.each { |pulled| @shelf.release(job[:id], state.journal.find(pulled[:entry]), entry) if pulled[:item] }
      @shelf.use_up(job[:id], entry)
      sheet = state.sheet
      sheet = sheet.change(sheet.parts_of("fluid").first["id"], "changed_on", entry.at[0, 10], "measured") if state.stages.key?("bleed")
      @store.circuits.write_sheet(circuit[:id], sheet.to_h)
    end
  end
end
