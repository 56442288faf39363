# frozen_string_literal: true

module Sandbag
  module Airway
    # What becomes of a slug of air in one leg under one method (docs/physics.md 6): its own drift against the flow, and
    # how much fluid takes it past the leg.
    class Carriage
      # Air that rises by itself is waited for no longer than this, s. [default]
      LONGEST_S = 3600.0

      # state: carried: it goes with the flow; too_slow: more fluid than is planned would carry it; stalls: its rise is
      # as fast as the flow; comes_back: each go takes it part of the way and it returns before the next; rises: it goes
      # to an exit by itself; stays: nothing moves it
      # needed_ml: of fluid that takes it past the leg, with what the legs before needed; rises_s: until it is out by
      # itself, nil where it does not come out so
      attr_reader :leg, :fluid, :flow_mm_s, :drift_mm_s, :state, :needed_ml, :planned_ml, :rises_s

      # @param leg [HeightProfile::Leg]; drive [Drive]; fluid [Fluid::FlowingFluid]
      # @param reverse [Boolean] the fluid goes from the far end to the master
      # @param planned_ml [Float] that go through the leg; spent_ml [Float] that the legs before needed of it
      # @param onward_s [Float, nil] that air takes from the leg's upper end to an exit by itself; nil: it cannot
      def initialize(leg, drive, fluid, reverse:, spent_ml:, planned_ml: Float::INFINITY, onward_s: nil)
        @leg = leg
        @drive = drive
        @fluid = fluid
        @planned_ml = planned_ml
        @flow_mm_s = Hydraulics::Flow.speed_mm_s(drive.flow_ml_s, leg.bore_mm)
        @bubble = leg.bubble(fluid)
        @drift_mm_s = @bubble.drift_mm_s
        @helps = helps?(reverse)
        @needed_ml = spent_ml + past_ml
        @rises_s = (onward_s + leg.length_mm / drift_mm_s if onward_s && drift_mm_s.positive?)
        @state = judged
        freeze
      end

      def moves?
        %w[carried rises].include?(state)
      end

      # How fast it rises is uncertain here.
      def uncertain?
        @bubble.uncertain?
      end

      # @return [HeightProfile::Point] where its air gathers when it does not move: the upper end
      def place
        leg.rise_mm.positive? ? leg.to : leg.from
      end

      # @return [Float] mm/s of a slug with the flow, its own rise counted
      def slug_mm_s
        Hydraulics::Bubble::NOSE * flow_mm_s + (@helps ? drift_mm_s : -drift_mm_s)
      end

      # @return [Float] mm that it returns by after each go: its own rise until the next, and what the line gives back
      def back_mm
        drawn_mm = Hydraulics::Bubble::NOSE * Hydraulics::Flow.speed_mm_s(@drive.back_ml, leg.bore_mm)
        drawn_mm + (@helps ? -drift_mm_s : drift_mm_s) * @drive.pause_s
      end

      private

      # The flow goes the way the air rises. Of a feed hose that sags, the half towards the reservoir gives its air up
      # there whatever flows; that of the half towards the master gathers at the master's inlet, and has to be drawn
      # down into it, or back through the sag.
      def helps?(reverse)
        return leg.rise_mm.negative? if leg.feed
        reverse ? leg.rise_mm.negative? : leg.rise_mm.positive?
      end

      # @return [Float] mL that take it from one end of the leg to the other; infinite where they never do
      def past_ml
        return Float::INFINITY unless @drive.flows? && slug_mm_s.positive?
        go_mm = slug_mm_s * @drive.go_ml / @drive.flow_ml_s
        return @drive.go_ml * leg.length_mm / go_mm if go_mm >= leg.length_mm
        return Float::INFINITY unless go_mm > back_mm
        goes = 1 + ((leg.length_mm - go_mm) / (go_mm - back_mm)).ceil
        goes * @drive.go_ml
      end

      def judged
        return "rises" if leg.feed && rises?
        return "carried" if needed_ml.finite? && needed_ml <= planned_ml
        return "rises" if rises?
        return "stays" unless @drive.flows?
        return "stalls" unless slug_mm_s.positive?
        needed_ml.finite? ? "too_slow" : "comes_back"
      end

      def rises?
        !rises_s.nil? && rises_s <= LONGEST_S
      end
    end
  end
end
