# frozen_string_literal: true

module Sandbag
  module Circuit
    # Where hoses are joined, and what a joint takes when it is opened: stacked fittings on a banjo bolt + 1 washers
    # (docs/physics.md 9); a cut bicycle hose at its lever takes an olive and an insert instead.
    class Fittings
      # @attr at [String] id of the part; hoses [Integer] hose ends on it; kind [String] banjo, stacked banjo,
      #   splitter or nut
      Joint = Struct.new(:at, :label, :kind, :hoses, keyword_init: true) do
        def washers
          (kind == "nut") ? 0 : hoses + 1
        end

        def olives
          (kind == "nut") ? hoses : 0
        end

        def to_h
          super.merge(washers: washers, olives: olives, inserts: olives)
        end
      end

      # @param sheet [Sheet]
      def initialize(sheet)
        @sheet = sheet
        freeze
      end

      # @return [Array<Joint>] from the master outwards
      def joints
        upper =
          @sheet.parts_of("line").group_by { |line| line["from"] }.map { |from, lines| upper_joint(from, lines.size) }
        upper +
          @sheet.far_ends.map do |part|
            Joint.new(at: part["id"], label: part["label"] || "Slave", kind: "banjo", hoses: 1)
          end
      end

      # @param opens [String] nothing, master or below; hoses [Boolean] a hose comes off at both its ends
      # @return [Array<Joint>] those a job opens
      def opened(opens, hoses:)
        case opens
        when "nothing" then []
        when "master" then joints.select { |joint| joint.at == Topology::ROOT }
        else hoses ? joints : joints.reject { |joint| upper?(joint) }
        end
      end

      private

      def upper?(joint)
        @sheet.parts_of("line").any? { |line| line["from"] == joint.at }
      end

      def upper_joint(from, hoses)
        label = (from == Topology::ROOT) ? "Master outlet" : @sheet.part(from)["label"]
        Joint.new(at: from, label: label, kind: upper_kind(from, hoses), hoses: hoses)
      end

      def upper_kind(from, hoses)
        return (hoses > 1) ? "splitter" : "banjo" unless from == Topology::ROOT
        return "nut" if @sheet.kind.outlet == "nut"
        (hoses > 1) ? "stacked banjo" : "banjo"
      end
    end
  end
end
