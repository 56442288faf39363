# frozen_string_literal: true

module Sandbag
  module Planner
    # The order of a day's work on one or more benches (decision 014). First that no promise is broken, then as many
    # jobs finished as can be, then as much work done as can be, then finished as early as can be, then as few changes
    # of fluid family at a bench. Exact by branch and bound for a day's worth: pieces are laid down in the order of
    # their starts, each as early as a bench and its own wait allow, and a branch that cannot better the best found is
    # left, and so is one that comes to a state that was seen. Past MOST_NODES the best found stands, and says so.
    class DayPlan
      MOST_NODES = 2_000
      # Nodes are dearer with more jobs: this many nodes times jobs at most.
      MOST_WORK = 20_000
      MOST_BENCHES = 8

      # @attr work [Work]; piece [Integer] which of its pieces, from 0; bench [Integer] from 0; start, finish [Integer]
      Slot = Struct.new(:work, :piece, :bench, :start, :finish, keyword_init: true)
      # Compared left to right, less is better.
      Score = Struct.new(:late, :unfinished, :undone, :finish, :changes) do
        include Comparable

        def <=>(other)
          to_a <=> other.to_a
        end
      end

      attr_reader :slots, :score

      # @param works [Array<Work>]; benches [Integer]; minutes [Integer] of the day that is left
      # Refuses no bench or too many, and no time.
      def initialize(works, benches:, minutes:)
        raise Refusal.at("benches", "#{benches} benches", "1 to #{MOST_BENCHES}") unless benches.between?(1,
          MOST_BENCHES)
        raise Refusal.at("minutes", "no time is left", "1 or more") unless minutes.positive?
        @works = works.freeze
        @promised = works.each_index.select { |index| works[index].promised }.freeze
        @moved = works.each_index.select { |index| works[index].pieces.any?(&:at) }.freeze
        @benches = benches
        @minutes = minutes
        @total = works.sum(&:minutes)
        @nodes = 0
        @most_nodes = [MOST_NODES, MOST_WORK / [works.size, 1].max].min
        # the fewest changes of fluid with which a state was come to
        @seen = {}
        @slots = []
        @score = score_of([], works.map { 0 })
        search
        @exact = @nodes <= @most_nodes
        freeze
      end

      # The plan cannot be bettered.
      def exact?
        @exact
      end

      # @return [Array<Work>] those that are not finished in this plan
      def unfinished
        done = slots.group_by { |slot| slot.work.id }.transform_values(&:size)
        @works.reject { |work| done.fetch(work.id, 0) == work.pieces.size }
      end

      # @return [Integer] how many are finished
      def works_done
        @works.size - unfinished.size
      end

      # @return [Array<Work>] those whose promise is broken
      def late
        @works.select { |work| work.promised && late?(work, finished_at(work)) }
      end

      # @return [Integer] minutes before which nobody could have finished all of it
      def lower_bound
        [(@total.to_f / @benches).ceil, *@works.map(&:soonest)].max
      end

      # @return [Integer] jobs that could be finished at most, by the time there is
      def most_finished
        left = @minutes * @benches
        able = @works.select { |work| work.soonest <= @minutes }.map(&:minutes).sort
        able.take_while { |minutes| (left -= minutes) >= 0 }.size
      end

      private

      def finished_at(work)
        last = slots.find { |slot| slot.work.equal?(work) && slot.piece == work.pieces.size - 1 }
        last&.finish
      end

      def late?(work, finish)
        finish.nil? || finish > work.promised
      end

      # What is urgent, short, or long to its end goes first: each rule by itself makes a fair plan to start from.
      RULES = {
        promise: ->(work, _) { work.promised || Float::INFINITY },
        short: ->(work, place) { work.tails[place] },
        long: ->(work, place) { -work.heads[place] }
      }.freeze

      def search
        RULES.each_value { |rule| dispatch(fresh, rule) }
        descend(fresh)
      end

      def fresh
        {
          next: @works.map { 0 }, ready: @works.map(&:ready), free: [0] * @benches, family: [nil] * @benches,
          last: 0, slots: [], changes: 0
        }
      end

      # Whatever can start soonest, by a rule among equals, until nothing fits any more.
      def dispatch(state, rule)
        while state
          take(state)
          state = candidates(state, rule).lazy.filter_map { |index| laid(state, index) }.first
        end
      end

      def descend(state)
        @nodes += 1
        return if @nodes > @most_nodes
        take(state)
        candidates(state).each do |candidate|
          following = laid(state, candidate)
          descend(following) if following && !seen?(following) && best_possible(following) < @score
        end
      end

      # The same pieces done by the same times, in another order and with no fewer changes: nothing new comes of it.
      def seen?(state)
        key = state.values_at(:next, :ready, :free, :family, :last)
        fewest = @seen[key]
        return true if fewest && fewest <= state[:changes]
        @seen[key] = state[:changes]
        false
      end

      # What is laid down so far is a plan too.
      def take(state)
        return if @moved.any? { |index| @works[index].pieces.drop(state[:next][index]).any?(&:at) }
        score = score_of(state[:slots], state[:next], state[:changes])
        return unless score < @score
        @score = score
        @slots = state[:slots].dup.freeze
      end

      # Jobs with work left: the soonest start first, and a rule among equals.
      def candidates(state, rule = RULES[:promise])
        @works.each_index
          .reject { |index| state[:next][index] == @works[index].pieces.size }
          .sort_by do |index|
            place = state[:next][index]
            [start_of(state, index), rule.call(@works[index], place), @works[index].tails[place]]
          end
      end

      def start_of(state, index)
        piece = @works[index].pieces[state[:next][index]]
        earliest = [state[:ready][index], state[:free].min].max
        piece.at ? [piece.at, earliest].max : earliest
      end

      # @return [Hash, nil] nil where it does not fit: out of time, before another start, or over a piece put by hand
      def laid(state, index)
        work = @works[index]
        place = state[:next][index]
        piece = work.pieces[place]
        start = start_of(state, index)
        finish = start + piece.minutes
        return if finish > @minutes || start < state[:last] || (piece.at && start > piece.at)
        bench = bench_for(state, start, work.family)
        change = state[:family][bench] && work.family && state[:family][bench] != work.family
        following = {
          next: replaced(state[:next], index, place + 1),
          ready: replaced(state[:ready], index, finish + piece.wait),
          free: replaced(state[:free], bench, finish),
          family: replaced(state[:family], bench, work.family || state[:family][bench]),
          last: start,
          slots: [*state[:slots],
            Slot.new(work: work, piece: place, bench: bench, start: start, finish: finish).freeze],
          changes: state[:changes] + (change ? 1 : 0)
        }
        following if room_for_moved?(following)
      end

      # Every piece that was put by hand can still start when it was told to.
      def room_for_moved?(state)
        @moved.all? do |index|
          work = @works[index]
          place = state[:next][index]
          at = work.pieces.drop(place).find(&:at)&.at
          at.nil? || (state[:last] <= at && state[:free].min <= at && state[:ready][index] + before(work, place) <= at)
        end
      end

      # Minutes, waits included, from a piece of a job to its next one that was put by hand.
      def before(work, place)
        work.pieces.drop(place).take_while { |piece| piece.at.nil? }.sum { |piece| piece.minutes + piece.wait }
      end

      # Of the benches that are free by then: one that has this fluid on it, else one that has none, else the last to
      # come free.
      def bench_for(state, start, family)
        open = state[:free].each_index.select { |bench| state[:free][bench] <= start }
        open.min_by do |bench|
          on_it = state[:family][bench]
          [(on_it == family) ? 0 : 1, on_it.nil? ? 0 : 1, -state[:free][bench]]
        end
      end

      def replaced(list, index, value)
        list.dup.tap { |copy| copy[index] = value }
      end

      def score_of(slots, done, changes = 0)
        late = @promised.count do |index|
          work = @works[index]
          late?(work, (last_finish(slots, work) if done[index] == work.pieces.size))
        end
        left = @works.each_with_index.sum { |work, index| work.tails[done[index]] || 0 }
        Score.new(late, done.each_with_index.count { |count, index| count < @works[index].pieces.size }, left,
          slots.map(&:finish).max || 0, changes)
      end

      # No plan that goes on from here can be better than this.
      def best_possible(state)
        open = @works.each_index.reject { |index| state[:next][index] == @works[index].pieces.size }
        finishes = open.to_h { |index|
          [index, [state[:ready][index], state[:last]].max + @works[index].heads[state[:next][index]]]
        }
        late = @promised.count do |index|
          work = @works[index]
          late?(work, finishes.fetch(index) { last_finish(state[:slots], work) })
        end
        left = state[:free].sum { |free| [@minutes - [free, state[:last]].max, 0].max }
        tails = open.map { |index| @works[index].tails[state[:next][index]] }
        able = open.select { |index|
          finishes[index] <= @minutes
        }.map { |index| @works[index].tails[state[:next][index]] }.sort
        room = left
        finishable = able.take_while { |minutes| (room -= minutes) >= 0 }.size
        Score.new(late, open.size - finishable, [tails.sum - left, 0].max, state[:slots].map(&:finish).max || 0,
          state[:changes])
      end

      def last_finish(slots, work)
        slots.reverse_each.find { |slot| slot.work.equal?(work) }&.finish
      end
    end
  end
end
