# frozen_string_literal: true

module Sandbag
  module Planner
    # Looks for the best plan of a day by branch and bound (decision 014): pieces are laid down in the order of their
    # starts, each as early as a bench and its own wait allow, and a branch that cannot better the best found is left,
    # and so is one that comes to a state that was seen. Past MOST_NODES the best found stands.
    class DaySearch
      MOST_NODES = 2_000
      # At a node every open job is held against every other: so many of those steps in all.
      MOST_STEPS = 150_000

      # Which of the works that can start equally soon comes first.
      RULES = {
        promise: ->(work, _) { work.promised || Float::INFINITY },
        short: ->(work, place) { work.tails[place] },
        long: ->(work, place) { -work.heads[place] }
      }.freeze

      # @attr slots [Array<DayPlan::Slot>] of the best plan found; score [DayPlan::Score]
      attr_reader :slots, :score

      # @param day [DayState::Day]
      def initialize(day)
        @day = day
        @works = day.works
        @promised = @works.each_index.select { |index| @works[index].promised }.freeze
        @nodes = 0
        @most_nodes = (MOST_STEPS / [@works.size, 1].max**2).clamp(1, MOST_NODES)
        # the fewest changes of fluid with which a state was come to
        @seen = {}
        @slots = []
        fresh = DayState.fresh(day)
        @score = score_of(fresh)
        RULES.each_value { |rule| dispatch(fresh, rule) }
        descend(fresh)
        freeze
      end

      # Nothing better is left to be found.
      def exact?
        @nodes <= @most_nodes
      end

      # @param finish [Integer, nil]
      def self.late?(work, finish)
        finish.nil? || finish > work.promised
      end

      # @return [Integer] how many of so many minutes each fit into so many, the shortest first
      def self.fitting(each, minutes)
        each.sort.take_while { |work| (minutes -= work) >= 0 }.size
      end

      private

      # Whatever can start soonest, by a rule among equals, until nothing fits any more. What would break a promise that
      # can still be kept comes after what would not.
      def dispatch(state, rule)
        while state
          take(state)
          following = candidates(state, rule).lazy.filter_map { |index| state.laid(index) }
          state = following.find { |each| late(each) <= late(state) } || following.first
        end
      end

      def descend(state)
        @nodes += 1
        return if @nodes > @most_nodes
        take(state)
        candidates(state).each do |candidate|
          following = state.laid(candidate)
          descend(following) if following && !seen?(following) && best_possible(following) < @score
        end
      end

      # The same pieces done by the same times, in another order and with no fewer changes: nothing new comes of it.
      def seen?(state)
        fewest = @seen[state.key]
        return true if fewest && fewest <= state.changes
        @seen[state.key] = state.changes
        false
      end

      # What is laid down so far is a plan too.
      def take(state)
        return unless state.settled?
        score = score_of(state)
        return unless score < @score
        @score = score
        @slots = state.slots.dup.freeze
      end

      # Jobs with work left: the soonest start first, and a rule among equals.
      def candidates(state, rule = RULES[:promise])
        state.open.sort_by do |index|
          place = state.done[index]
          [state.start_of(index), rule.call(@works[index], place), @works[index].tails[place]]
        end
      end

      def score_of(state)
        late = @promised.count do |index|
          work = @works[index]
          DaySearch.late?(work, (state.last_finish(work) if state.done[index] == work.pieces.size))
        end
        undone = @works.each_with_index.sum { |work, index| work.tails[state.done[index]] || 0 }
        DayPlan::Score.new(late, state.open.size, undone, state.slots.map(&:finish).max || 0, state.changes)
      end

      # No plan that goes on from here can be better than this.
      def best_possible(state)
        open = state.open
        left = state.free.sum { |free| [@day.minutes - [free, state.last].max, 0].max }
        tails = open.map { |index| @works[index].tails[state.done[index]] }
        able = tails.each_index.filter_map { |at| tails[at] if soonest_finish(state, open[at]) <= @day.minutes }
        DayPlan::Score.new(late(state), open.size - DaySearch.fitting(able, left), [tails.sum - left, 0].max,
          state.slots.map(&:finish).max || 0, state.changes)
      end

      # @return [Integer] promises that cannot be kept from here
      def late(state)
        @promised.count { |index| DaySearch.late?(@works[index], soonest_finish(state, index)) }
      end

      # @return [Integer] when a work is done at the soonest, or was
      def soonest_finish(state, index)
        work, place = @works[index], state.done[index]
        return state.last_finish(work) if place == work.pieces.size
        [state.ready[index], state.last, state.free.min].max + work.heads[place]
      end
    end
  end
end
