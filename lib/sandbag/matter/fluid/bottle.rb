# frozen_string_literal: true

require "date"

module Sandbag
  module Fluid
    # Whether the fluid in a bottle may go into a circuit (docs/trade.md 2.7).
    class Bottle
      # An opened glycol bottle: months until it may no longer go into a brake, and until it is thrown away. [default]
      BRAKE_MONTHS = 3
      DISCARD_MONTHS = 12

      # @param item [Item] of kind bottle
      # @param today [Date]
      # @param clutch [Boolean] the circuit is a clutch
      def initialize(item, today, clutch: false)
        @item = item
        @today = today
        @clutch = clutch
        @fluid = Tables.find("fluids", item.fields["fluid"])
        freeze
      end

      # @return [String] sealed or opened
      def state
        @item.opened_on ? "opened" : "sealed"
      end

      # @return [Date, nil] the last day it may be used; nil when nothing says so
      def use_by
        [sealed_use_by, opened_use_by].compact.min
      end

      # @return [Date, nil] the day an opened one is thrown away
      def discard_on
        opened && opened >> DISCARD_MONTHS
      end

      # @return [String, nil] why it may not go in; nil when it may
      def refusal
        past || shaken
      end

      # @return [String, nil] what only time and a look put right
      def shaken
        "it was shaken: let it stand 1 h and look for bubbles" if @item.shaken_at
      end

      # @return [String, nil] why it never goes in any more: another bottle is taken
      def past
        if discard_on && @today > discard_on
          "open since #{opened}, over #{DISCARD_MONTHS} months: throw it away"
        elsif opened_use_by && @today > opened_use_by
          "open since #{opened}, over #{BRAKE_MONTHS} months"
        elsif sealed_use_by && @today > sealed_use_by
          "its use-by was #{sealed_use_by}"
        end
      end

      # @return [Hash] state, use_by, discard_on, refusal
      def to_h
        {state: state, use_by: use_by&.iso8601, discard_on: discard_on&.iso8601, refusal: refusal}.compact
      end

      # @return [Date, nil] how long a bottle opened today may be used
      def self.open_until(fluid, today, clutch:)
        return unless fluid["family"] == "glycol"
        today >> (clutch ? DISCARD_MONTHS : BRAKE_MONTHS)
      end

      private

      # Only glycol draws water out of the air.
      def opened
        Date.iso8601(@item.opened_on) if @item.opened_on && @fluid["family"] == "glycol"
      end

      def opened_use_by
        opened && Bottle.open_until(@fluid, opened, clutch: @clutch)
      end

      def sealed_use_by
        use_by = @item.fields["use_by"]
        Date.iso8601(use_by) if use_by && use_by != "unknown"
      end
    end
  end
end
