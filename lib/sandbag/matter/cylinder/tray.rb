# frozen_string_literal: true

module Sandbag
  module Cylinder
    # What lies in the tray: every part that has come out, in order, with how many. Single-use parts are for the bin.
    class Tray
      # @attr part [Part]; out [Integer] how many came out
      Cell = Struct.new(:number, :part, :out, keyword_init: true)

      # @param steps [Array<Step>] those that are done
      # @param counts [Hash{String => Integer}] part => how many were found, where that is not what was expected
      def initialize(steps, counts)
        @cells =
          steps
            .flat_map(&:takes)
            .reject(&:stays?)
            .map { |part| [part, counts.fetch(part.id, part.quantity)] }
            .select { |_, out| out.positive? }
            .each_with_index
            .map { |(part, out), index| Cell.new(number: index + 1, part: part, out: out).freeze }
            .freeze
        count
        freeze
      end

      # @return [Array<Cell>] in the order they came out
      attr_reader :cells

      # @param steps [Array<Step>]
      # @return [Tray] what came out by some of the steps, numbered as it is
      def only(steps)
        ids = steps.flat_map(&:takes).map(&:id)
        dup.keep { |cell| ids.include?(cell.part.id) }
      end

      protected def keep(&)
        @cells = cells.select(&).freeze
        count
        freeze
      end

      # @return [Integer] pieces in all
      def pieces
        cells.sum(&:out)
      end

      def out(part_id)
        @out.fetch(part_id, 0)
      end

      private

      def count
        @out = cells.to_h { |cell| [cell.part.id, cell.out] }.freeze
      end
    end
  end
end
