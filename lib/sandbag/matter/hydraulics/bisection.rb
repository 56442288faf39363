# frozen_string_literal: true

module Sandbag
  module Hydraulics
    # Where a rising figure passes what is wanted, found by halving.
    module Bisection
      HALVINGS = 60

      # @param from, to [Float] between which it lies
      # @yieldparam [Float] a place between them
      # @yieldreturn [Boolean] it is too far
      # @return [Float] the last place that was not too far
      def self.find(from, to)
        HALVINGS.times do
          middle = (from + to) / 2
          yield(middle) ? to = middle : from = middle
        end
        from
      end
    end
  end
end
