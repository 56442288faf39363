# frozen_string_literal: true

module Sandbag
  module Rig
    # A lever with something hidden: which, by a seed. Every test is done on a circuit of its own from the same start.
    class Mystery
      TEMPLATE = "road_front_single"
      SPREAD = [0.8, 1.25].freeze

      # @return [Array<String>] codes of causes.yml that it may be
      def self.causes
        Knowledge.table("mystery_faults").map { |row| row["cause"] }
      end

      # @return [Circuit::Sheet] of every mystery
      def self.sheet
        Sandbag::Circuit::Template.sheet(TEMPLATE).set("fluid", "stamped", "dot4", "part_marking")
      end

      # @param seed [String]
      def initialize(seed)
        random = Rig.random("mystery/#{seed}")
        rows = Knowledge.table("mystery_faults")
        @row = rows[random.rand(rows.size)]
        @size = random.rand(SPREAD.first..SPREAD.last)
        freeze
      end

      # @return [String] code of causes.yml
      def cause
        @row["cause"]
      end

      # @return [Simulation] untouched
      def start
        Simulation.new(Mystery.sheet, air: air, faults: faults)
      end

      # @return [Faults]
      def faults
        Faults.new(**(@row["faults"] || {}).to_h { |name, value|
          [name.to_sym, value.is_a?(Numeric) ? grown(name, value) : value]
        })
      end

      private

      # What is a share of the usual is grown from one, what is an amount from nothing.
      def grown(name, value)
        %w[softer gap].include?(name) ? 1 + (value - 1) * @size : value * @size
      end

      def air
        each = @row["air"]
        return [] unless each
        length = Plumbing.new(Mystery.sheet).paths.first.length_mm
        [Slug.new(ml: each["ml"] * @size, path: 0, at_mm: each["at"] * length)]
      end
    end
  end
end
