# frozen_string_literal: true

module Sandbag
  module Planner
    # What one job still wants of a day: pieces of work in their order, each with the wait that follows it. All in whole
    # minutes from the start of the day's plan.
    class Work
      # @attr minutes [Integer] at a bench; wait [Integer] before the next piece may start; at [Integer, nil] where
      #   somebody put its start by hand
      Piece = Struct.new(:label, :minutes, :wait, :at, keyword_init: true)

      attr_reader :id, :pieces, :ready, :promised, :family, :heads, :tails

      # @param id [String]; pieces [Array<Piece>] in order
      # @param ready [Integer] when the first may start; promised [Integer, nil] when the last has to be finished
      # @param family [String, nil] of the fluid
      # Refuses no pieces, a piece of no minutes, waits and times below zero.
      def initialize(id:, pieces:, ready: 0, promised: nil, family: nil)
        raise Refusal.at("pieces", "a job without work", "at least one piece") if pieces.empty?
        pieces.each_with_index do |piece, place|
          raise Refusal.at("pieces/#{place}", "a piece takes a minute or more", "1 or more") if piece.minutes < 1
          raise Refusal.at("pieces/#{place}", "no wait is below zero", "0 or more") if piece.wait.negative?
        end
        raise Refusal.at("ready", "nothing starts before now", "0 or more") if ready.negative?
        @id = id
        @pieces = pieces.freeze
        @ready = ready
        @promised = promised
        @family = family
        # work and work with its waits, from each piece to the end
        @tails = pieces.each_index.map { |place| pieces.drop(place).sum(&:minutes) }.freeze
        @heads = pieces.each_index.map { |place| tails[place] + pieces[place...-1].to_a.sum(&:wait) }.freeze
        freeze
      end

      # @return [Integer] minutes at a bench
      def minutes
        tails.first
      end

      # @return [Integer] the soonest it can be finished, on a bench of its own
      def soonest
        pieces.each_with_index.reduce(ready) do |at, (piece, place)|
          start = [at, piece.at || 0].max
          start + piece.minutes + ((place == pieces.size - 1) ? 0 : piece.wait)
        end
      end
    end
  end
end
