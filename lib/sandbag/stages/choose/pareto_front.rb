# frozen_string_literal: true

module Sandbag
  module Choose
    # Of several things with two costs each, those that no other beats in both.
    module ParetoFront
      # @yieldreturn [Array(Float, Float)] the two costs of a thing, less is better
      # @return [Array] the things on the front, cheapest first cost first
      def self.of(things)
        best = Float::INFINITY
        things.sort_by { |thing| yield(thing) }.select do |thing|
          second = yield(thing)[1]
          second < best && best = second
        end
      end
    end
  end
end
