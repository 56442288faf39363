# frozen_string_literal: true

module Sandbag
  module Fit
    # The parts of the step at hand, and the tray as far as it goes back here: what the page shows of putting back.
    class Parts
      # @param fit [Stage]
      def initialize(fit)
        @fit = fit
        @put_back = fit.put_back
        freeze
      end

      # @return [Hash] parts, notes and the tray
      def to_h
        step = @fit.step&.strip
        parts = step ? @put_back.present(step) : []
        {parts: parts.map { |part| part_view(part) }, notes: Cylinder::Notes.for(parts),
         all_back: @put_back.all_back?, **@put_back.reckoning.to_h}
      end

      private

      def part_view(part)
        {id: part.id, label: part.label, count: @put_back.reckoning.tray.out(part.id), renewed: part.renewed?,
         check: part.check, **@put_back.facings.of(part)}.compact
      end
    end
  end
end
