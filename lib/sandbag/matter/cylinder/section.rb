# frozen_string_literal: true

module Sandbag
  module Cylinder
    # The cylinder cut open, for the drawing: its parts from the bore's end to the lever, which are in and which are
    # at hand.
    class Section
      # @param work [Work]; unit [OnBench, nil] the one that is drawn
      # @param out [Array<Step>] steps whose parts are out
      # @param at_hand [Step, nil]
      def initialize(work, unit, out, at_hand: nil)
        @unit = unit
        @out = out.flat_map(&:takes).map(&:id)
        @at_hand = (at_hand || work.steps.find { |step| !out.include?(step) })&.takes.to_a.map(&:id)
        freeze
      end

      # @return [Hash, nil] label: its own name where it is one of several; parts: id, label, is_in, at_hand; reservoir
      #   [Boolean] one stands over it; nil when nothing is taken apart
      def to_h
        return unless @unit
        {label: (@unit.label if @unit.at), reservoir: @unit.part == "master",
         parts: @unit.construction.section.map { |id| part_view(id) }}.compact
      end

      private

      def part_view(id)
        named = @unit.named(id)
        {id: id, label: @unit.construction.part(id)["label"], is_in: !@out.include?(named),
         at_hand: @at_hand.include?(named)}
      end
    end
  end
end
