# frozen_string_literal: true

module App
  # What came of lessons, by name, kept by the shop: the newest of all, each run once.
  class PracticeResults
    NAME = "practice_results"
    # The oldest are forgotten.
    MOST = 1000

    # @param store [Store::All]
    def initialize(store)
      @store = store
    end

    # @param run [String] id; figures [Hash] of Lesson#result
    def keep(run, name:, lesson:, at:, exam:, figures:)
      line = {"run" => run, "name" => name, "lesson" => lesson, "at" => at.utc.iso8601, "exam" => exam,
              "done" => figures[:done], "slips" => figures[:slips].sum { |slip| slip[:times] },
              "seconds" => figures[:seconds].round(1), "used_ml" => figures[:used_ml].round(1)}
      @store.transaction do
        kept = all
        @store.settings.write(NAME, {"items" => [*kept, line].last(MOST)}) if kept.none? { |each| each["run"] == run }
      end
    end

    # @return [Array<Hash>] oldest first
    def all
      @store.settings.read(NAME)&.fetch("items", []) || []
    end

    # @return [Array<Hash>] of one person
    def of(name)
      all.select { |line| line["name"] == name }
    end
  end
end
