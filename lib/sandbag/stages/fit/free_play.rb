# frozen_string_literal: true

module Sandbag
  module Fit
    # Free play against the trade's range for how this lever drives its piston (docs/trade.md 6.5), at the piston and at
    # the tip. None at all keeps the port shut: the circuit drags, and no reason passes it.
    class FreePlay
      # @attr at [String] piston or tip; value_mm [Float]; entry [Job::Entry]
      Reading = Struct.new(:at, :value_mm, :entry, keyword_init: true)

      attr_reader :row, :readings

      # @param scope [Scope]; entries [Job::Entries] of fit
      # @param bled_at [Integer, nil] place of the last stroke: what was read before it is checked again
      def initialize(scope, entries, bled_at:)
        @scope = scope
        @lever = Circuit::Assembly.build(scope.sheet).lever
        @row = FreePlay.row_of(scope.sheet)
        @by_service = entries.last("by_service")
        @readings = entries.of("free_play").map do |entry|
          Reading.new(at: entry.data["at"], value_mm: entry.data["value"], entry: entry).freeze
        end
        @bled_at = bled_at
        freeze
      end

      # @return [Hash] of free_plays.yml
      def self.row_of(sheet)
        rows = Tables.rows("free_plays")
        rows.find { |row| row["needs"] && sheet.suits?(row) } ||
          rows.find { |row| row["constructions"].include?(sheet.value("master", "construction")) }
      end

      def wanted?
        @scope.moves?("unit", "control")
      end

      # @param lever [Hydraulics::Lever]
      # @return [Float] mm at the tip for mm at the piston
      def self.tip_mm(lever, piston_mm)
        lever.ratio * piston_mm
      end

      # @return [Float] mm at the piston for mm at the tip
      def self.piston_mm(lever, tip_mm)
        tip_mm / lever.ratio
      end

      # @return [Reading, nil]
      def newest
        readings.last
      end

      # @return [Float, nil] mm at the other place, by the lever's ratio
      def converted_mm
        return unless newest
        (newest.at == "tip") ? FreePlay.piston_mm(@lever, newest.value_mm) : FreePlay.tip_mm(@lever, newest.value_mm)
      end

      # @return [String, nil] zero, under, in or over
      def verdict(reading = newest)
        return unless reading
        return "zero" if reading.value_mm.zero?
        low, high = row[reading.at]
        return "in" if low.nil?
        return "under" if reading.value_mm < low
        (reading.value_mm > high) ? "over" : "in"
      end

      def fine?
        verdict == "in" || (newest && verdict != "zero" && by_service?)
      end

      # @return [String, nil] reason why another range holds: only of the reading it was given for
      def by_service
        @by_service&.data&.fetch("reason") if by_service?
      end

      # @return [String] the trade's range, at both places
      def range_said
        ranges = %w[tip piston].filter_map do |at|
          low, high = row[at]
          "#{Said.mm(low, 1, bare: true)} to #{Said.mm(high, 1)} at the #{at}" if low
        end
        return "#{row["label"]}: reach and free-stroke screws set first. Never none." if ranges.empty?
        "#{row["label"]}: #{ranges.join(", ")}. Default."
      end

      # @return [String, nil] what is wrong with what was read, or why it passes all the same
      def says
        case verdict
        when "zero" then "No free play. The port stays shut: pressure cannot go back, the circuit drags."
        when "under", "over"
          return "Out of the default range: #{by_service}" if fine?
          "#{(verdict == "under") ? "Too little" : "Too much"} for this kind of drive."
        end
      end

      # @return [Array<String>]
      def due(phase)
        return [] unless wanted?
        return [said].compact if phase == "before"
        (fine? && newest.entry.position < @bled_at.to_i) ? ["free play, checked again after the bleed"] : []
      end

      # Refuses a reason where there is nothing that one could pass.
      def admit_reason
        if verdict == "zero"
          raise Refusal.at("data/reason", "no free play: the port stays shut and the circuit drags. No reason passes " \
            "that", "a reading above 0")
        end
        return if %w[under over].include?(verdict)
        raise Refusal.at("data/reason", "there is nothing out of range", "a reading first")
      end

      private

      def by_service?
        !@by_service.nil? && @by_service.position > newest.entry.position
      end

      def said
        return if fine?
        return "free play: measured at the piston or at the tip" unless newest
        return "free play is zero: the port stays shut, the circuit drags" if verdict == "zero"
        low, high = row[newest.at]
        "free play of #{Said.mm(newest.value_mm, 2)} is #{verdict} #{Said.mm(low, 1, bare: true)} to " \
          "#{Said.mm(high, 1)} at the #{newest.at}"
      end
    end
  end
end
