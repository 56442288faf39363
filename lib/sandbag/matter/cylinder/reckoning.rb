# frozen_string_literal: true

module Sandbag
  module Cylinder
    # The tray against what went back: every part that came out is back in, renewed with its old one in the scrap pot,
    # or binned with a new one in its place.
    class Reckoning
      # @param tray [Cylinder::Tray]
      # @param fitted [Array<String>] parts whose step is done
      # @param fresh [Array<String>] parts that Measure renewed
      # @param kept_out [Hash{String => Integer}] part => pieces that did not go back with their step
      # @param binned [Array<String>] parts thrown away and replaced
      # @param scrapped [Integer, nil] old pieces counted in the scrap pot
      # @param counted_apart [Array<String>] parts whose old pieces are counted elsewhere
      def initialize(tray, fitted, fresh:, kept_out:, binned:, scrapped:, counted_apart: [])
        @tray = tray
        @fitted = fitted
        @fresh = fresh
        @kept_out = kept_out
        @binned = binned
        @scrapped = scrapped
        @counted_apart = counted_apart
        freeze
      end

      attr_reader :tray

      # @return [Array<Hash>] part, label, count of what is still in the tray
      def leftovers
        @tray.cells.filter_map do |cell|
          left = left_of(cell)
          {part: cell.part.id, label: cell.part.label, count: left} if left.positive?
        end
      end

      # @return [Integer] old pieces that have to lie in the scrap pot
      def scrap_wanted
        @tray.cells.select { |cell| cell.part.renewed? || replaced?(cell) }
          .reject { |cell| @counted_apart.include?(cell.part.plain) }.sum(&:out)
      end

      def zero?
        leftovers.empty? && (@scrapped || 0) == scrap_wanted
      end

      # @return [String] what does not add up
      def says
        if leftovers.any?
          named = leftovers.map do |left|
            "#{Wording.inside(left[:label])}#{" × #{left[:count]}" if left[:count] > 1}"
          end
          return "left in the tray: #{named.join(", ")}"
        end
        "the scrap pot: #{scrap_wanted} old pieces belong in it#{", #{@scrapped} were counted" if @scrapped}"
      end

      def to_h
        {
          tray: @tray.cells.map { |cell| cell_view(cell) },
          leftovers: leftovers,
          scrap_wanted: scrap_wanted,
          scrapped: @scrapped,
          zero: zero?
        }.compact
      end

      private

      def replaced?(cell)
        @binned.include?(cell.part.id) || @fresh.include?(cell.part.id)
      end

      def left_of(cell)
        return 0 if @binned.include?(cell.part.id)
        @fitted.include?(cell.part.id) ? [@kept_out.fetch(cell.part.id, 0), cell.out].min : cell.out
      end

      def cell_view(cell)
        {
          number: cell.number,
          part: cell.part.id,
          label: cell.part.label,
          out: cell.out,
          left: left_of(cell),
          renewed: cell.part.renewed? || replaced?(cell)
        }
      end
    end
  end
end
