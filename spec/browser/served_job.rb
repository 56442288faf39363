# frozen_string_literal: true

require_relative "../support/by_now"

# A job of a server, as JobInMemory has its own: read from the server's database, written by its API.
class ServedJob
  # @param served [Served]; id [String] of an open job
  # @param enter [#call] given stage, kind and data, sends an entry
  def initialize(served, id, enter)
    @served = served
    @id = id
    @enter = enter
    @database = Store::Database.open(served.database)
    @store = Store::All.new(@database)
    @memory = App::Memory.new
  end

  def state
    circuit = @store.circuits.find(@store.jobs.find(@id)[:circuit_id])
    @memory.state(@store, @id, circuit, @memory.shop(@store))
  end

  def view(stage)
    Plainly.read(state.stage(stage).view, symbolize_names: true)
  end

  def fitted = state.sheet

  def add(stage, kind, data = {})
    @enter.call(stage, kind, data)
  end

  def wait_minutes(minutes)
    @served.pass_minutes(minutes)
  end

  def close
    @database.disconnect
  end
end

# The rest of a job beside the page, card by card, where what the spec is about comes before it.
module WorkedBeside
  # @param upto [String, nil] the stage that is left to the page; nil works to the signature
  def work_beside(upto: nil)
    alone_on_the_circuit unless upto
    job = ServedJob.new(served, job_id_now, method(:add_entry))
    hand = ByNow.new(job, job.state.route.id)
    expect(hand.work { |stage| return session.refresh if stage == upto }).to be true
    session.refresh
  ensure
    job&.close
  end
end
