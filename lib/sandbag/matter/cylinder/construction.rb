# frozen_string_literal: true

module Sandbag
  module Cylinder
    # How one kind of cylinder is made: its parts, the steps that take them out, and the order of those (docs/trade.md
    # 3.4). A part group (docs/trade.md 3.3) has the same form.
    class Construction
      # Where a master and a slave are gauged.
      GAUGED = %w[
        bore.1.a
        bore.1.b
        bore.2.a
        bore.2.b
        bore.3.a
        bore.3.b
        piston.1.a
        piston.1.b
        piston.2.a
        piston.2.b
      ].freeze

      # @attr removal [Array<String>] own steps that are done when the unit only comes off whole; asked [Array<String>]
      #   own steps that are done only where a repair asks for them; unbolts [String, nil] the step that takes the unit
      #   off its machine, where its joint is opened before that; gauge
      #   [Array<String>] of gauge_places.yml, what decides beside the eye; caliper [String, nil] the build of caliper
      #   it is
      attr_reader :id, :label, :order, :removal, :asked, :unbolts, :parts, :steps, :section, :gauge, :caliper

      # @return [Array<Construction>] all of them
      def self.all
        @all ||= Tables.rows("constructions").map { |plain| new(plain) }.freeze
      end

      # @return [Construction, nil]
      def self.find(id)
        all.find { |construction| construction.id == id }
      end

      # @param build [String] sliding, opposed or bicycle
      # @return [Construction] of a caliper
      def self.of_caliper(build)
        all.find { |construction| construction.caliper == build }
      end

      # @return [Array<Construction>] the groups that several constructions share
      def self.groups
        @groups ||= Tables.rows("part_groups").map { |plain| new(plain) }.freeze
      end

      # What a step is, on whatever unit it was done.
      # @param plain [String] id of a step, without its unit's name
      # @return [Hash, nil]
      def self.step_called(plain)
        @called ||= [*all, *groups].flat_map(&:steps).to_h { |step| [step["id"], step] }.freeze
        @called[plain]
      end

      # What a part is, on whatever unit it came off.
      # @param plain [String] id of a part, without its unit's name
      # @return [Hash, nil]
      def self.part_called(plain)
        @parts_called ||= [*all, *groups].flat_map(&:parts).to_h { |part| [part["id"], part] }.freeze
        @parts_called[plain]
      end

      # @param plain [Hash] a file as ConstructionFile read it
      def initialize(plain)
        @id = plain["id"]
        @label = plain["label"]
        @order = plain["order"]
        @removal = plain["removal"] || [].freeze
        @asked = plain["asked"] || [].freeze
        @unbolts = plain["unbolts"]
        @parts = plain["parts"]
        @steps = plain["steps"]
        @section = plain["section"] || [].freeze
        @gauge = plain["gauge"] || GAUGED
        @caliper = plain["caliper"]
        freeze
      end

      # @return [Array<Hash>] rows of gauge_places.yml where it is gauged, in order
      def gauge_places
        Tables.rows("gauge_places").select { |place| gauge.include?(place["id"]) }
      end

      # @return [Hash, nil]
      def step(id)
        steps.find { |step| step["id"] == id }
      end

      # A step of its own or of a group that it shares takes something off it.
      # @param plain [String] id of a step, without its unit's name
      def takes?(plain)
        order.include?(plain) || Construction.groups.any? { |group| order.include?(group.id) && group.step(plain) }
      end

      # @return [Hash, nil]
      def part(id)
        parts.find { |part| part["id"] == id }
      end

      # @return [Array<Hash>] parts that come with a kit or are always new
      def renewed
        parts.select { |part| %w[new kit].include?(part["once"]) }
      end
    end
  end
end
