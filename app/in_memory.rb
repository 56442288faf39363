# frozen_string_literal: true

require "monitor"

module App
  # What is practised on: in memory only, none of it on record, the longest unused forgotten.
  class InMemory
    # @param most [Integer] that are kept; what [String] one of them is called
    def initialize(most, what)
      @most = most
      @what = what
      @kept = {}
      @lock = Monitor.new
    end

    # @attr thing; lock [Monitor] of this thing only, so that long work on it makes no other thing wait
    Kept = Struct.new(:thing, :lock)

    # Keeps a thing under an id, in place of what was there.
    # @return what was given
    def keep(id, thing)
      @lock.synchronize do
        @kept.delete(id)
        @kept.shift if @kept.size >= @most
        @kept[id] = Kept.new(thing, Monitor.new)
      end
      thing
    end

    # @yieldparam thing nobody else works on it meanwhile
    # Refuses an id that is not there any more.
    def work(id)
      kept = @lock.synchronize do
        found = @kept.delete(id) || raise(Store::Missing.new(@what, id))
        @kept[id] = found
      end
      kept.lock.synchronize { yield kept.thing }
    end
  end
end
