# frozen_string_literal: true

module Sandbag
  module Bleed
    # The ladder for air that stays, rung by rung, without what this circuit cannot do (docs/trade.md 7.7). It is begun
    # again with each round.
    class Stubborn
      # What came of a rung.
      OUTCOMES = {"air" => "air came", "nothing" => "nothing came", "not_here" => "not possible here"}.freeze

      # @param entries [Job::Entries] of the bleed; sheet [Circuit::Sheet]; usable [Array<String>] bleeding methods that
      #   may be used here
      def initialize(entries, sheet, usable)
        @round = entries.last("round")
        @taken = @round ? entries.after(@round.position).by("rung", "rung") : {}
        @sheet = sheet
        @usable = usable
        freeze
      end

      # The lever did not hold: the ladder is climbed.
      def climbing?
        !@round.nil?
      end

      # @return [Array<Hash>] rows of stubborn_air.yml that this circuit can do
      def rungs
        Tables.rows("stubborn_air").select { |row| possible?(row) }
      end

      # @return [Hash, nil] the first that was not taken in this round
      def turn
        rungs.find { |row| !@taken.key?(row["id"]) } if climbing?
      end

      # @return [Array<Hash>] what the ladder says
      def to_a
        now = turn
        rungs.map do |row|
          {
            id: row["id"],
            label: row["label"],
            does: row["does"],
            minutes: row["minutes"],
            settles: row["settles"],
            method: row["method"],
            wait: row["wait"],
            outcome: @taken.dig(row["id"], "outcome"),
            came: OUTCOMES[@taken.dig(row["id"], "outcome")],
            turn: row == now
          }.compact
        end
      end

      private

      def possible?(row)
        return false if row["method"] && !@usable.include?(row["method"])
        case row["needs"]
        when "caliper" then !@sheet.clutch?
        when "remote" then @sheet.value("reservoir", "mount") == "remote"
        when "pair" then @sheet.far_ends.size > 1
        when "high_spot" then Circuit::Heights.new(@sheet).high_spots.any?
        else true
        end
      end
    end
  end
end
