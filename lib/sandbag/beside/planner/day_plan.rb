# frozen_string_literal: true

module Sandbag
  module Planner
    # The order of a day's work on one or more benches (decision 014). First that no promise is broken, then as many
    # jobs finished as can be, then as much work done as can be, then finished as early as can be, then as few changes
    # of fluid family at a bench. Exact for a day's worth (DaySearch); with more, the best that was found, and it
    # says so.
    class DayPlan
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

      # @param works [Array<Work>]; benches [Integer]; minutes [Integer] of the day that is left
      # Refuses no bench or too many, and no time.
      def initialize(works, benches:, minutes:)
        raise Refusal.at("benches", "#{benches} benches", "1 to #{MOST_BENCHES}") unless benches.between?(1,
          MOST_BENCHES)
        raise Refusal.at("minutes", "no time is left", "1 or more") unless minutes.positive?
        @works = works.freeze
        @benches = benches
        @minutes = minutes
        moved = works.each_index.select { |index| works[index].pieces.any?(&:at) }.freeze
        @search = DaySearch.new(DayState::Day.new(works: @works, moved: moved, benches: benches, minutes: minutes))
        freeze
      end

      def slots
        @search.slots
      end

      def score
        @search.score
      end

      # The plan cannot be bettered.
      def exact?
        @search.exact?
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
        @works.select { |work| work.promised && DaySearch.late?(work, finished_at(work)) }
      end

      # @return [Integer] minutes before which nobody could have finished all of it
      def lower_bound
        [(@works.sum(&:minutes).to_f / @benches).ceil, *@works.map(&:soonest)].max
      end

      # @return [Integer] jobs that could be finished at most, by the time there is
      def most_finished
        DaySearch.fitting(@works.select { |work| work.soonest <= @minutes }.map(&:minutes), @minutes * @benches)
      end

      private

      def finished_at(work)
        last = slots.find { |slot| slot.work.equal?(work) && slot.piece == work.pieces.size - 1 }
        last&.finish
      end
    end
  end
end
