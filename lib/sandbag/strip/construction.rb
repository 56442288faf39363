# frozen_string_literal: true

module Sandbag
  module Strip
    # How one kind of cylinder is made: its parts, the steps that take them out, and the order of those (docs/trade.md 3.4). A
    # part group (docs/trade.md 3.3) has the same form.
    class Construction
      FOLDER = "#{Knowledge::FOLDER}/constructions"
      GROUPS = "#{Knowledge::FOLDER}/part_groups"

      # @attr removal [Array<String>] own steps that are done when the unit only comes off whole
      attr_reader :id, :label, :order, :removal, :parts, :steps, :section

      # @return [Array<Construction>] all of them
      def self.all
        @all ||= Dir["#{FOLDER}/*.yml"].sort.map { |path| new(ConstructionFile.new(path).read) }.freeze
      end

      # @return [Construction, nil]
      def self.find(id)
        all.find { |construction| construction.id == id }
      end

      # @return [Array<Construction>] the groups that several constructions share
      def self.groups
        @groups ||= Dir["#{GROUPS}/*.yml"].sort.map { |path| new(ConstructionFile.new(path).read) }.freeze
      end

      # @param plain [Hash] a file as ConstructionFile read it
      def initialize(plain)
        @id = plain["id"]
        @label = plain["label"]
        @order = plain["order"]
        @removal = plain["removal"] || [].freeze
        @parts = plain["parts"]
        @steps = plain["steps"]
        @section = plain["section"] || [].freeze
        freeze
      end

      # @return [Hash, nil]
      def step(id)
        steps.find { |step| step["id"] == id }
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
