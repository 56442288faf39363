# frozen_string_literal: true

module App
  # Takes stock moves down, and promises things to jobs.
  class ShelfDesk
    BY = "job"

    # @param store [Store::All]; memory [Memory]
    def initialize(store, memory)
      @store = store
      @memory = memory
    end

    # @return [Sandbag::Shelf::Stock]
    def stock
      @memory.stock(@store).last
    end

    # @param given [Hash] id, item, kind, data, at, by
    # @return [Boolean] false when the move was there already
    def add(given)
      @store.transaction do
        known = @store.stock_moves.find(given[:id])
        next same?(known, given, stock) if known
        @store.stock_moves.append(stock.admit(Sandbag::Shelf::Move.new(**given)).to_h)
        true
      end
    end

    # Promises to a job what a pulled entry names.
    def reserve(job_id, entry)
      data = {"job" => job_id, "count" => entry.data["count"], "reason" => entry.data["reason"]}.compact
      add({id: "#{entry.id}.reserved", item: entry.data["item"], kind: "reserved", data: data, at: entry.at, by: BY})
    end

    # Gives back what an entry that is taken back was promised.
    def release(job_id, pulled, entry)
      return unless stock.find(pulled.data["item"])&.promised(job_id)&.positive?
      add(
        {
          id: "#{entry.id}.#{pulled.id}",
          item: pulled.data["item"],
          kind: "released",
          data: {
            "job" => job_id,
            "count" => pulled.data["count"]
          },
          at: entry.at,
          by: BY
        }
      )
    end

    # Takes off the shelf what a signed job was promised.
    def use_up(job_id, entry)
      stock.promised_to(job_id).each do |item|
        add({id: "#{entry.id}.#{item.id}", item: item.id, kind: "used", data: {"job" => job_id}, at: entry.at, by: BY})
      end
    end

    private

    # A retry says the same of the same thing; anything else has borrowed an id.
    def same?(known, given, stock)
      if known.values_at(:item, :kind) == given.values_at(:item, :kind) && says_the_same?(known[:data], given, stock)
        return false
      end
      raise Clash, "move #{given[:id]} is used for something else"
    end

    def says_the_same?(stored, given, stock)
      read = Sandbag::Shelf::MoveReader.read(Sandbag::Shelf::Move.new(**given), stock.find(given[:item]))
      JSON.parse(JSON.generate(read.data)).all? { |name, value| stored[name] == value }
    rescue Sandbag::Refusal
      false
    end
  end
end
