# frozen_string_literal: true

module Sandbag
  module Bleed
    # How often a whole bleed did not make the lever hold, and when it is time to stop guessing (docs/trade.md 7.7):
    # after three rounds, or as soon as the lever sinks, the job goes back to Ask.
    class Rounds
      MOST = 3
      SINKS = "sinks"
      LAST_RUNG = "diagnosis"

      # @param journal [Job::Journal]; askable [Array<String>] findings that can be asked on this circuit
      def initialize(journal, askable)
        @rounds = journal.of("bleed").of("round")
        @found = journal.of("ask").of("finding")
        @askable = askable
        @tripped = trip
        freeze
      end

      # @return [Integer] rounds since the fault was last looked for
      def since_looked
        @tripped ? @rounds.count { |round| round.position > @tripped.position } : @rounds.size
      end

      # @return [Array<String>] findings to look for before anything is bled again
      def looks
        return [] unless @tripped
        wanted.reject { |id| answered_after?(id, @tripped.position) }
      end

      # Stop guessing.
      def back_to_ask?
        looks.any?
      end

      SUNK = "The lever sinks, so it is not air: look for a leak or a bypassing cup."

      # @return [String, nil] why
      def says
        return unless back_to_ask?
        return SUNK if @tripped.data["lever"] == SINKS
        "#{MOST} full rounds did not make the lever hold: stop guessing."
      end

      private

      # @return [Job::Entry, nil] the newest round that sent the job back
      def trip
        number = 0
        @rounds.reduce(nil) do |tripped, round|
          number += 1
          next tripped unless round.data["lever"] == SINKS || number == MOST
          number = 0
          round
        end
      end

      def wanted
        Tables.find("stubborn_air", LAST_RUNG)["looks"] & @askable
      end

      def answered_after?(id, position)
        @found.any? { |entry| entry.data["finding"] == id && entry.position > position }
      end
    end
  end
end
