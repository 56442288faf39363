# frozen_string_literal: true

module App
  # Shows a job as its journal tells it, or as its signature closed it.
  class JobReader
    # @param store [Store::All]; memory [Memory]; shelf [ShelfDesk]
    # @param today [Date] for what ages on the shelf
    def initialize(store, memory, shelf, today)
      @store = store
      @memory = memory
      @shelf = shelf
      @today = today
    end

    # @return [Hash] the job's head: where it stands, and its photos
    def head(id)
      job = @store.jobs.find(id)
      job[:closed_at] ? @store.jobs.record(id)["head"] : open_job(job).head
    end

    # @return [Hash] what one stage shows, under the stage's name
    # Refuses a stage the job does not have.
    def stage(id, stage)
      job = @store.jobs.find(id)
      return stage_of_record(id, stage) if job[:closed_at]
      answer(stage, open_job(job).stage(stage))
    end

    # @param draft [Draft, nil] what was just written: nothing is read again for it
    # @return [Hash] job and stage, as an entry left them; no stage where the route has taken it away
    # A signed job's head is as it was stored.
    def left_by(draft, id, stage)
      return left_on_record(id, stage) if draft.nil? || draft.after.signed?
      now = OpenJob.new(@store, @shelf, shop, draft.job, draft.circuit, draft.after, @today)
      {
        job: now.head,
        stage: (answer(stage, now.stage(stage)) if draft.after.stages.key?(stage))
      }.compact
    end

    # @return [Hash] what the shelf has for a job, or had when it was signed
    def supplies(id)
      job = @store.jobs.find(id)
      return @store.jobs.record(id)["supplies"] if job[:closed_at]
      supplies_of(state_of(job)).to_h
    end

    # @param supposed [Hash] of Airway::Way; explain [String, nil] the bleeding method whose figures are wanted
    # @return [Hash] bleeding methods for an open job, the best first
    def bleed_verdicts(id, supposed, explain: nil)
      job = @store.jobs.find(id)
      raise Sandbag::Refusal.at("", "this job is signed off", "an open job") if job[:closed_at]
      state = state_of(job)
      state.bleed.verdicts(shelf: @shelf.stock.tools(state.choose.family), explain: explain, **supposed)
    end

    # @return [Array<Hash>] head, and what Ask, Feel and Close show: for the owner
    def owner_sheet(id)
      shown = %w[ask feel close].map { |name| stage(id, name).values_at(name, name.to_sym).compact.first }
      [head(id), *shown]
    end

    # @return [Hash] everything a job card says
    def card(id)
      job = @store.jobs.find(id)
      job[:closed_at] ? @store.jobs.record(id)["card"] : open_job(job).card
    end

    # @return [Sandbag::Job::State] of a job that is not signed
    def state_of(job, circuit = @store.circuits.find(job[:circuit_id]))
      @memory.state(@store, job[:id], circuit, shop)
    end

    # @return [Sandbag::Choose::Supplies] what the shelf has for a job
    def supplies_of(state, stock = @shelf.stock)
      Sandbag::Choose::Supplies.new(state.choose, stock, today: @today)
    end

    def shop
      @shop ||= @memory.shop(@store)
    end

    private

    def open_job(job)
      circuit = @store.circuits.find(job[:circuit_id])
      OpenJob.new(@store, @shelf, shop, job, circuit, state_of(job, circuit), @today)
    end

    def left_on_record(id, stage)
      head = head(id)
      here = (head[:stages] || head["stages"]).any? { |each| (each[:id] || each["id"]) == stage }
      {job: head, stage: (stage(id, stage) if here)}.compact
    end

    def stage_of_record(id, stage)
      stages = @store.jobs.record(id)["stages"]
      answer(stage, stages.fetch(stage) { raise Store::Missing.new("stage of this job", stage) })
    end

    def answer(stage, view)
      {:id => stage, stage => view}
    end
  end
end
