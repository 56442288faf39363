# frozen_string_literal: true

module Sandbag
  module Planner
    # A day as far as it is laid out: which piece of each work is next and when it may start, when each bench is free,
    # and what was laid where. Laying one more piece makes another; none is changed.
    class DayState
      # @attr done [Array<Integer>] pieces of each work that are laid; ready [Array<Integer>] when its next may start;
      #   free [Array<Integer>] when each bench is; family [Array<String, nil>] the fluid on it; last [Integer] when
      #   the newest piece starts; slots [Array<DayPlan::Slot>]; changes [Integer] of fluid family at a bench
      attr_reader :done, :ready, :free, :family, :last, :slots, :changes

      # @param day [Day] what is laid out
      # @return [DayState] with nothing laid yet
      def self.fresh(day)
        new(day, done: day.works.map { 0 }, ready: day.works.map(&:ready), free: [0] * day.benches,
          family: [nil] * day.benches, last: 0, slots: [], changes: 0)
      end

      # @attr works [Array<Work>]; moved [Array<Integer>] places of those with a piece put by hand; benches [Integer];
      #   minutes [Integer] there are
      Day = Struct.new(:works, :moved, :benches, :minutes, keyword_init: true)

      def initialize(day, done:, ready:, free:, family:, last:, slots:, changes:)
        @day = day
        @done = done
        @ready = ready
        @free = free
        @family = family
        @last = last
        @slots = slots
        @changes = changes
      end

      # @return [Array<Integer>] places of the works with a piece to come
      def open
        @open ||= @day.works.each_index.reject { |index| @done[index] == @day.works[index].pieces.size }
      end

      # Everything that was put by hand is laid.
      def settled?
        @day.moved.none? { |index| @day.works[index].pieces.drop(@done[index]).any?(&:at) }
      end

      # @return [Array] equal where what may still come is the same
      def key
        [@done, @ready, @free, @family, @last]
      end

      # @return [Integer] the soonest that the next piece of a work can start
      def start_of(index)
        piece = @day.works[index].pieces[@done[index]]
        earliest = [@ready[index], @free.min].max
        piece.at ? [piece.at, earliest].max : earliest
      end

      # @return [DayState, nil] with the next piece of a work laid as soon as it can be; nil where it does not fit
      def laid(index)
        work = @day.works[index]
        place = @done[index]
        piece = work.pieces[place]
        start = start_of(index)
        finish = start + piece.minutes
        return if finish > @day.minutes || start < @last || (piece.at && start > piece.at)
        following = with_slot(index, piece, start, finish, bench_for(start, work.family))
        following if following.room_for_moved?
      end

      # @return [Integer, nil] when a work's newest piece ends
      def last_finish(work)
        @slots.reverse_each.find { |slot| slot.work.equal?(work) }&.finish
      end

      # Whatever was put by hand can still start when it was put.
      def room_for_moved?
        @day.moved.all? do |index|
          work = @day.works[index]
          place = @done[index]
          at = work.pieces.drop(place).find(&:at)&.at
          at.nil? || (@last <= at && @free.min <= at && @ready[index] + before(work, place) <= at)
        end
      end

      private

      def with_slot(index, piece, start, finish, bench)
        work = @day.works[index]
        change = @family[bench] && work.family && @family[bench] != work.family
        slot = DayPlan::Slot.new(work: work, piece: @done[index], bench: bench, start: start, finish: finish).freeze
        DayState.new(@day, done: replaced(@done, index, @done[index] + 1),
          ready: replaced(@ready, index, finish + piece.wait), free: replaced(@free, bench, finish),
          family: replaced(@family, bench, work.family || @family[bench]), last: start, slots: [*@slots, slot],
          changes: @changes + (change ? 1 : 0))
      end

      # The bench that has this fluid on it, then a clean one, then the one that became free last.
      def bench_for(start, family)
        open = @free.each_index.select { |bench| @free[bench] <= start }
        open.min_by do |bench|
          on_it = @family[bench]
          [(on_it == family) ? 0 : 1, on_it.nil? ? 0 : 1, -@free[bench]]
        end
      end

      def before(work, place)
        work.pieces.drop(place).take_while { |piece| piece.at.nil? }.sum { |piece| piece.minutes + piece.wait }
      end

      def replaced(list, index, value)
        list.dup.tap { |copy| copy[index] = value }
      end
    end
  end
end
