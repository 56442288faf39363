# frozen_string_literal: true

module App
  # Jobs and things on the shelf that have all the words that were typed, each at least by its beginning.
  class Found
    # Of each, the first few; and how many of the newest jobs are looked through.
    MOST = 5
    LATEST = 200

    # @param store [Store::All]; memory [Memory]; text [String] as typed
    def initialize(store, memory, text)
      @store = store
      @memory = memory
      @words = Sandbag::Lookup::Search.words(text)
    end

    # @return [Hash] jobs: id, name, complaint, current; things: id, name, place. None where nothing was typed
    def to_h
      return {jobs: [], things: []} if @words.empty?
      {jobs: jobs.lazy.select { |job| has?(job.values_at(:name, :complaint)) }.first(MOST),
       things: things.lazy.select { |thing| has?(thing.values_at(:name, :place)) }.first(MOST)}
    end

    private

    def jobs
      Headlines.new(@store, @memory).of(@store.jobs.page(limit: LATEST)).map do |line|
        {id: line[:id], name: "#{line[:machine][:name]}: #{line[:circuit][:name]}", complaint: line[:complaint],
         current: line[:current]}.compact
      end
    end

    def things
      @memory.stock(@store).last.items.values.reject(&:discarded)
        .map { |item| {id: item.id, name: item.name, place: item.place}.compact }
    end

    def has?(texts)
      there = Sandbag::Lookup::Search.words(texts.compact.join(" "))
      @words.all? { |word| there.any? { |each| each.start_with?(word) } }
    end
  end
end
