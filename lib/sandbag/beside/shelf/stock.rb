# frozen_string_literal: true

module Sandbag
  module Shelf
    # Everything on the shelf, folded from its moves.
    class Stock
      # @attr items [Hash{String => Item}] by id
      # @attr damaged [Array<Hash>] move and item, ids of moves that cannot be read: they are passed over
      attr_reader :items, :damaged

      # @param moves [Array<Move>] as admitted, oldest first
      def self.fold(moves)
        new.after(moves)
      end

      # @return [Stock] after further moves
      def after(moves)
        after = items.dup
        lost = moves.reject do |move|
          known = move.kind == "added" || after.key?(move.item)
          next false unless known && MoveReader.whole?(move)
          after[move.item] = (move.kind == "added") ? Item.from(move) : after.fetch(move.item).after(move)
        end
        Stock.new(after, damaged + lost.map { |move| {move: move.id, item: move.item} })
      end

      # @param items [Hash{String => Item}]; damaged [Array<Hash>]
      def initialize(items = {}, damaged = [])
        @items = items.freeze
        @damaged = damaged.freeze
        freeze
      end

      # @return [Array<Item>] of one kind, those thrown away left out
      def of(kind)
        items.values.select { |item| item.kind == kind && !item.discarded }
      end

      # @param family [String, nil] of the fluid: a syringe of another one is none
      # @return [Array<String>] ids of tools.yml that are there
      def tools(family)
        syringes = of("syringe").select { |item| family.nil? || item.fields["family"] == family }
        (of("tool") + syringes).select { |item| item.free.positive? }.map { |item| item.fields["tool"] }.uniq
      end

      def find(id)
        items[id]
      end

      # @return [Array<Item>] what a job has been promised
      def promised_to(job)
        items.values.select { |item| item.reserved.key?(job) }
      end

      # @return [Move] with its data read
      # Refuses what MoveReader refuses, a second thing under one id, a move of a thing that is not there, of another
      # kind or thrown away, half a piece, more than a bottle holds, and one that would leave less than nothing or
      # break a promise.
      def admit(move)
        item = items[move.item]
        read = MoveReader.read(move, item)
        refuse_identity(read, item)
        refuse_day(read)
        refuse_pieces(read, item)
        refuse_amount(read, item) if item
        read
      end

      private

      def refuse_identity(move, item)
        if move.kind == "added"
          raise Refusal.at("item", "there is already a #{move.item} on the shelf", "an id not used before") if item
          return
        end
        unless item
          raise Refusal.at("item", "there is no “#{move.item}” on the shelf", "the id of a thing on the shelf")
        end
        raise Refusal.at("item", "#{item.name} was thrown away: #{item.discarded}", "another one") if item.discarded
      end

      def refuse_day(move)
        return unless move.kind == "opened"
        return if move.data["on"] != "unknown" && move.data["on"] <= move.on
        raise Refusal.at("data/on", "the day of opening, #{move.data["on"]}, is not a day up to today",
          "1970-01-01 to #{move.on}")
      end

      def refuse_pieces(move, item)
        count = move.data["count"]
        return if count.nil? || item&.bottle? || count == count.round
        raise Refusal.at("data/count", "#{plain(count)} is no number of pieces", "a whole number")
      end

      def refuse_amount(move, item)
        case move.kind
        when "reserved" then refuse_promise(item, move.data["count"])
        when "opened" then refuse_twice(item)
        when "released", "used" then refuse_unpromised(item, move.data["job"])
        when "counted", "measured", "discarded" then refuse_broken_promise(item, move)
        end
        refuse_overfull(item, move) if item.bottle?
      end

      def refuse_overfull(item, move)
        after = item.after(move)
        size = after.fields["size"]
        return if after.amount <= size
        raise Refusal.at((move.kind == "measured") ? "data/ml" : "data/fields/size",
          "#{item.name}: #{plain(after.amount)} mL in a bottle of #{plain(size)}", "0 to #{plain(size)} mL in it")
      end

      def refuse_promise(item, count)
        return if count <= item.free
        promised = item.reserved.any? ? "; #{item.reserved.keys.join(", ")} has been promised the rest" : ""
        raise Refusal.at("data/count", "#{item.name}: #{plain(count)} asked for, #{plain(item.free)} free#{promised}",
          "up to #{plain(item.free)}")
      end

      def refuse_twice(item)
        raise Refusal.at("data/on", "#{item.name} was opened on #{item.opened_on}", "a sealed bottle") if item.opened_on
      end

      def refuse_unpromised(item, job)
        return if item.reserved.key?(job)
        raise Refusal.at("data/job", "#{item.name} is not promised to #{job}",
          item.reserved.empty? ? "it is not reserved for any job" : item.reserved.keys.join(", "))
      end

      def refuse_broken_promise(item, move)
        left = move.data.values_at("count", "ml").compact.first || 0.0
        promised = item.reserved.values.sum
        return if left >= promised
        raise Refusal.at("data", "#{item.name}: #{plain(promised)} are promised to #{item.reserved.keys.join(", ")}",
          "#{plain(promised)} or more, or release them first")
      end

      def plain(number)
        format("%g", number.round(1))
      end
    end
  end
end
