# frozen_string_literal: true

module Sandbag
  module Rig
    # A lever with something hidden: which, by a seed; now and then two things. Every test is done on a circuit of its
    # own from the same start.
    class Mystery
      TEMPLATE = "road_front_single"
      SPREAD = [0.8, 1.25].freeze
      # One in so many hides two faults. [default]
      PAIRS = 5
      # Faults that are a share of the usual: what is more than one is grown.
      SHARES = %w[softer].freeze
      # Faults that are amounts.
      AMOUNTS = %w[bypass_ml_s_mpa leak_ml_s_mpa knocked_back free_play_mm return_s].freeze

      # template [Hash] of circuit_templates.yml; sheet [Circuit::Sheet]
      attr_reader :template, :sheet

      # @param side [String] brake or clutch
      # @return [Array<Hash>] what a lever of that side may hide
      def self.rows(side)
        Tables.rows("mystery_faults").select { |row| row.fetch("side", "brake") == side }
      end

      # @param seed [String]; template [String] of circuit_templates.yml; pairs [Boolean] may hide two
      # Refuses a template that there is not.
      def initialize(seed, template: TEMPLATE, pairs: false)
        @sheet = Sandbag::Circuit::Template.filled(template)
        @template = Tables.find("circuit_templates", template)
        rows = Mystery.rows(side)
        random = Rig.random("mystery/#{seed}")
        first = rows[random.rand(rows.size)]
        @size = random.rand(SPREAD.first..SPREAD.last)
        others = rows.reject { |row| row["cause"] == first["cause"] || clash?(first, row) }
        @rows = (pairs && random.rand(PAIRS).zero?) ? [first, others[random.rand(others.size)]] : [first]
        freeze
      end

      # @return [String] brake or clutch
      def side
        sheet.clutch? ? "clutch" : "brake"
      end

      # @return [Array<String>] codes of causes.yml that it may be
      def possible
        Mystery.rows(side).map { |row| row["cause"] }.uniq
      end

      # @return [Array<String>] codes of causes.yml, one or two
      def causes
        @rows.map { |row| row["cause"] }
      end

      # @return [Array<String>] what the rider says
      def says
        @rows.map { |row| row["says"] }
      end

      # @return [Hash{String => String}] finding => value, of what no fluid tells
      def shows
        @rows.map { |row| row.fetch("shows", {}) }.reduce(:merge)
      end

      # @return [String, nil] value of the finding, as the rider tells it
      def history
        shows["history"]
      end

      # @return [Simulation] untouched
      def start
        Simulation.new(sheet, air: air, faults: faults, water: @rows.filter_map { |row| row["water"] }.max || 0.0)
      end

      # @return [Faults]
      def faults
        @rows.map { |row| faults_of(row) }.reduce(:and)
      end

      private

      # Two that show the same place otherwise are not hidden together.
      def clash?(one, other)
        one.fetch("shows", {}).keys.intersect?(other.fetch("shows", {}).keys) ||
          [one, other].all? { |row| row.dig("faults", "leak_at") }
      end

      def faults_of(row)
        Faults.new(**(row["faults"] || {}).to_h { |name, value| [name.to_sym, grown(name, value)] })
      end

      def grown(name, value)
        return 1 + (value - 1) * @size if SHARES.include?(name)
        AMOUNTS.include?(name) ? value * @size : value
      end

      def air
        length = Plumbing.new(sheet).paths.first.length_mm
        @rows.filter_map { |row| row["air"] }.map do |each|
          Slug.new(ml: each["ml"] * @size, path: 0, at_mm: each["at"] * length)
        end
      end
    end
  end
end
