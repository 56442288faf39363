# frozen_string_literal: true

module App
  # What is shown of a job as its journal tells it.
  class OpenJob
    # @param store [Store::All]; shelf [ShelfDesk]; shop [Sandbag::Shop]
    # @param job, circuit [Hash] their rows; state [Sandbag::Job::State]
    # @param today [Date] for what ages on the shelf
    def initialize(store, shelf, shop, job, circuit, state, today)
      @store = store
      @shelf = shelf
      @shop = shop
      @job = job
      @circuit = circuit
      @state = state
      @today = today
    end

    # @return [Hash] where it stands, and its photos
    def head
      {**JobHead.of(@job, @circuit, machine), **@state.headline, photos: Sandbag::Job::Photos.new(@state.journal).all}
    end

    # @return [Hash] what one stage shows
    # Refuses a stage the job does not have.
    def stage(name)
      found = @state.stages.fetch(name) { raise Store::Missing.new("stage of this job", name) }
      case name
      when "ask" then {**found.view, costs: costs, history: JobHistory.of(@store, @job)}
      when "choose" then with_shelf(found.view)
      else found.view
      end
    end

    # @return [Hash] everything a job card says
    def card
      JobCardContent.new(@job, @circuit, machine, @state, @shelf.stock, @shop).to_h
    end

    # @return [Hash] head, stages and card: what a signature keeps
    def to_h
      {head: head, stages: @state.stages.keys.to_h { |name| [name, stage(name)] }, card: card}
    end

    private

    # A card that fetches something takes it off the shelf.
    def with_shelf(view)
      return view if view[:now].none? { |card| card[:id].start_with?(ShelfCards::PREFIX) }
      lines = Sandbag::Choose::Supplies.new(@state.choose, @shelf.stock, today: @today).lines
      {**view, now: ShelfCards.of(view[:now], lines)}
    end

    def machine
      @machine ||= @store.machines.find(@circuit[:machine_id])
    end

    # Minutes and money of the route in force, and kit against unit.
    def costs
      needed = [machine[:kind], @state.choose.need_ml, @shop]
      {
        estimate: @state.route && Sandbag::Ask::Estimate.new(@state.route, *needed, times: @state.choose.times,
          pace: @state.ask.pace).to_h,
        kit_or_unit: Sandbag::Ask::Estimate.kit_or_unit(@state.route, *needed, pace: @state.ask.pace)
      }.compact
    end
  end
end
