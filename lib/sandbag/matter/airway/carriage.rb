# frozen_string_literal: true

module Sandbag
  module Airway
    # What becomes of a slug of air in one leg under one method (docs/physics.md 6): its own drift against the flow.
    class Carriage
      # state: carried: it goes with the flow; stalls: its rise is as fast as the flow; comes_back: each go takes it
      # part of the way and it rises again before the next; rises: it comes to the exit by itself; stays: nothing
      # moves it
      attr_reader :leg, :fluid, :flow_mm_s, :drift_mm_s, :state

      # @param leg [HeightProfile::Leg]; drive [Drive]; fluid [Fluid::FlowingFluid]
      # @param reverse [Boolean] the fluid goes from the far end to the master
      def initialize(leg, drive, fluid, reverse:)
        @leg = leg
        @drive = drive
        @fluid = fluid
        @flow_mm_s = Hydraulics::Flow.speed_mm_s(drive.flow_ml_s, leg.bore_mm)
        @drift_mm_s = leg.level? ? 0.0 : Hydraulics::Bubble.new(leg.bore_mm, fluid).drift_mm_s
        @helps = helps?(reverse)
        @state = judged
        freeze
      end

      def moves?
        %w[carried rises].include?(state)
      end

      # @return [HeightProfile::Point] where its air gathers when it does not move: the upper end
      def place
        leg.rise_mm.positive? ? leg.to : leg.from
      end

      # @return [Float] mm/s of a slug with the flow, its own rise counted
      def slug_mm_s
        Hydraulics::Bubble::NOSE * flow_mm_s + (@helps ? drift_mm_s : -drift_mm_s)
      end

      private

      # The flow goes the way the air rises. Of a feed hose that sags, the half towards the reservoir gives its air up
      # there whatever flows; that of the half towards the master gathers at the master's inlet, and has to be drawn
      # down into it, or back through the sag.
      def helps?(reverse)
        return leg.rise_mm.negative? if leg.feed
        reverse ? leg.rise_mm.negative? : leg.rise_mm.positive?
      end

      def judged
        return resting if leg.feed && @helps && drift_mm_s.positive?
        return resting unless @drive.flows?
        return "carried" if @helps || drift_mm_s.zero?
        return "stalls" unless slug_mm_s.positive?
        seconds = @drive.go_ml / @drive.flow_ml_s
        way_mm = slug_mm_s * seconds
        return "carried" if way_mm >= leg.length_mm || way_mm > drift_mm_s * @drive.pause_s
        "comes_back"
      end

      def resting
        (@helps && drift_mm_s.positive?) ? "rises" : "stays"
      end
    end
  end
end
