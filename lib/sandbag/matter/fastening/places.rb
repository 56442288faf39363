# frozen_string_literal: true

module Sandbag
  module Fastening
    # What stands at a place that a fastener or a seal is named by: a joint by the part it is at, a point by its far end
    # or one of two on it (caliper, caliper.2).
    module Places
      # @return [Hash, nil] the part a joint is at, the master at its outlet
      def self.joint(sheet, at)
        (at == Circuit::Topology::ROOT) ? sheet.parts_of("master").first : sheet.part(at)
      end

      # @return [Hash, nil] the far end that a bleed point is on
      def self.far_end(sheet, at)
        sheet.part(at) || sheet.part(at.sub(/\.\d\z/, ""))
      end

      # @return [Hash] the line whose end is held at a joint: the first that leaves it, or the one that feeds it
      def self.line(sheet, at)
        sheet.parts_of("line").find { |line| line["from"] == at } || sheet.part(sheet.part(at)["from"])
      end
    end
  end
end
