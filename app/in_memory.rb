# frozen_string_literal: true

require "monitor"

module App
  # What is practised on: in memory only, none of it on record, the oldest forgotten.
  class InMemory
    # @param most [Integer] that are kept; what [String] one of them is called
    def initialize(most, what)
      @most = most
      @what = what
      @kept = {}
      @lock = Monitor.new
    end

    # Keeps a thing under an id, in place of what was there.
    # @return what was given
    def keep(id, thing)
      @lock.synchronize do
        @kept.delete(id)
        @kept.shift if @kept.size >= @most
        @kept[id] = thing
      end
    end

    # @yieldparam thing nobody else works on it meanwhile
    # Refuses an id that is not there any more.
    def work(id)
      @lock.synchronize { yield @kept.fetch(id) { raise Store::Missing.new(@what, id) } }
    end
  end
end
