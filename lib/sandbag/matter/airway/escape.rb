# frozen_string_literal: true

module Sandbag
  module Airway
    # Which legs give their air up by themselves (docs/physics.md 6): up to the master and out by its port, or, where
    # the far end stands open and its hose hangs above the master, out there; and how long it takes from there.
    class Escape
      # @param profile [HeightProfile]; fluid [Fluid::FlowingFluid]; out [Boolean] the far end stands open
      def initialize(profile, fluid, out: false)
        @profile = profile
        @fluid = fluid
        @out = out
        freeze
      end

      # @return [Hash{HeightProfile::Leg => Float}] s from the upper end of a leg to an exit; none for legs whose air
      #   has none
      def to_h
        feed, lines = @profile.legs.partition(&:feed)
        # under a feed hose that sags, air cannot leave by the master's port
        to_master = feed.any? ? {} : chain(lines) { |leg| leg.rise_mm.negative? }
        to_end = @out ? chain(lines.reverse) { |leg| leg.rise_mm.positive? } : {}
        to_reservoir = feed.select { |leg| leg.rise_mm.negative? }.to_h { |leg| [leg, 0.0] }
        {**to_reservoir, **to_end, **to_master}
      end

      private

      # From the exit on, for as long as each leg lets a slug rise towards it.
      def chain(legs)
        onward_s = 0.0
        legs.take_while { |leg| yield(leg) && leg.bubble(@fluid).drift_mm_s.positive? }.to_h do |leg|
          [leg, onward_s].tap { onward_s += leg.length_mm / leg.bubble(@fluid).drift_mm_s }
        end
      end
    end
  end
end
