# frozen_string_literal: true

require "monitor"

module App
  # Circuits that somebody practises on, in memory only: nothing of it is on record, and the oldest are forgotten.
  class PracticeRuns
    MOST = 30

    # @attr lesson [Sandbag::Rig::Lesson]; rig [Sandbag::Rig::Simulation]
    Run = Struct.new(:lesson, :rig)

    def initialize
      @runs = {}
      @lock = Monitor.new
    end

    # @param id [String]; lesson [Sandbag::Rig::Lesson]
    # @return [Run] at the start of the lesson
    def start(id, lesson)
      @lock.synchronize do
        @runs.delete(id)
        @runs.shift if @runs.size >= MOST
        @runs[id] = Run.new(lesson, lesson.start)
      end
    end

    # @yieldparam run [Run] nobody else works on it meanwhile
    # Refuses one that is not there any more.
    def work(id)
      @lock.synchronize { yield @runs.fetch(id) { raise Store::Missing.new("practice run", id) } }
    end
  end
end
