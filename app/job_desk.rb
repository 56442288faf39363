# frozen_string_literal: true

require "forwardable"

module App
  # Everything that is asked about jobs: opening (JobOpening), writing (JobWriter), signing off (SigningOff), reading
  # (JobReader).
  class JobDesk
    extend Forwardable

    # Another entry came in between, again and again.
    class Busy < StandardError; end

    def_delegators :@reader, :head, :stage, :left_by, :supplies, :bleed_verdicts, :owner_sheet, :card, :state_of
    def_delegators :@writer, :write
    def_delegators :@signing, :record_signed

    # @param store [Store::All]; memory [Memory]
    # @param today [Date] for what ages on the shelf
    def initialize(store, memory, today)
      @store = store
      shelf = ShelfDesk.new(store, memory)
      @reader = JobReader.new(store, memory, shelf, today)
      @signing = SigningOff.new(store, @reader, shelf, today)
      @writer = JobWriter.new(store, memory, @reader, shelf, @signing)
    end

    # @return [Boolean] false when the job was there already
    # Refuses what JobOpening refuses.
    def open(id, circuit_id, at, beside: false, follows: nil)
      JobOpening.new(@store).open(id, circuit_id, at, beside: beside, follows: follows)
        .tap { |fresh| Recheck.new(@store, self).begin(id, follows, at) if fresh && follows }
    end
  end
end
