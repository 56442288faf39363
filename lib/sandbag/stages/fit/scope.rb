# frozen_string_literal: true

module Sandbag
  module Fit
    # What a job puts back, sets and proves on its circuit: which rows of Fit's tables it has.
    class Scope
      attr_reader :sheet, :moves

      # @param sheet [Circuit::Sheet]; route [Job::Route, nil]
      # @param switch [Boolean] a switch sits on the cylinder; a job on nothing but the switch has one in any case
      def initialize(sheet, route, switch: true)
        @sheet = sheet
        @moves = route ? route.moves : []
        @renews = route ? route.renews : []
        @switch = switch || moves == %w[switch]
        freeze
      end

      def moves?(*what)
        moves.intersect?(what)
      end

      # @return [Array<Hash>] rows of a table that this job has
      def rows(table)
        Tables.rows(table).select { |row| suits?(row) }
      end

      # The circuit has it, whatever the job moves.
      def here?(row)
        sheet.suits?(row) && (@switch || !row["needs"]&.include?("switch"))
      end

      private

      def suits?(row)
        here?(row) && moves?(*row["moves"]) && (row["renews"].nil? || @renews.include?(row["renews"]))
      end
    end
  end
end
