# frozen_string_literal: true

module Sandbag
  module Airway
    # What moves the fluid in a method: how much a second, and how much in one go, through a line and its nipple.
    class Drive
      # What may move the fluid, and what a table has to say of it.
      KINDS = {"stroke" => %w[seconds], "head" => %w[mpa], "syringe" => %w[ml_s mpa ml], "rise" => [],
               "none" => []}.freeze

      # The nipple's way, mm. docs/physics.md 6
      NIPPLE_MM = 20.0
      # A hand on a lever comes to this with the nipple open, MPa. [default]
      HAND_MPA = 1.0
      # The clear hose hangs this far below the nipple, or its end is hooked up this far above the master, mm. [default]
      JAR_MM = 100.0
      # The reservoir's level stands this far above the master's outlet, mm. [default]
      RESERVOIR_MM = 40.0
      # What runs by head goes on until it is closed: as much as the reservoir bears, at least this, mL. [default]
      RUN_ML = 15.0

      # flow_ml_s: while it moves; go_ml: in one go, after which it may come back; pause_s: until the next
      attr_reader :flow_ml_s, :go_ml, :pause_s

      # Between two strokes or pushes. [default]
      PAUSE_S = 2.0

      # @param method [Hash] of bleed_methods.yml; profile [HeightProfile]; fluid [Fluid::FlowingFluid]
      # @param opening [Hash] of nipple_openings.yml; stroke_ml [Float] of the master
      # @param hose_raised [Boolean] the clear hose's end hangs above the master
      def initialize(method, profile, fluid:, opening:, stroke_ml:, hose_raised: false)
        @drive = method["drive"]
        @fittings = method["fittings"] || []
        @hose_raised = hose_raised
        @profile = profile
        @fluid = fluid
        @opening = opening
        @stroke_ml = stroke_ml
        @flow_ml_s, @go_ml, @pause_s = worked_out
        freeze
      end

      # @return [Float] MPa that drives the flow through every segment
      def pressure_mpa
        case @drive["by"]
        when "stroke" then HAND_MPA
        when "head" then head_mpa + @drive["mpa"]
        when "syringe" then @drive["mpa"] - head_mpa
        else 0.0
        end
      end

      # @return [Array<Array(String, Hydraulics::Flow::Segment)>] what it flows through, in series
      def segments
        lines = @profile.legs.map { |leg| [leg.label, Hydraulics::Flow::Segment.new(leg.length_mm, leg.bore_mm)] }
        bore = @opening["bore"]
        nipple = bore.positive? ? [["Nipple", Hydraulics::Flow::Segment.new(NIPPLE_MM, bore)]] : []
        lines + nipple + @fittings.map do |each|
          [each["label"], Hydraulics::Flow::Segment.new(each["length"], each["bore"])]
        end
      end

      # @return [Float] MPa for each mL/s
      def resistance_mpa_s_ml
        Hydraulics::Flow.resistance_mpa_s_ml(segments.map(&:last), @fluid)
      end

      # A line that holds air starts to run only where the reservoir, with what is added to it, stands above its
      # highest point.
      # @return [HeightProfile::Point, nil] the point that nothing runs over
      def held_by
        return unless @drive["by"] == "head"
        highest = @profile.outward.max_by(&:height_mm)
        highest if Hydraulics::Flow.head_mpa(rise_mm(highest) - RESERVOIR_MM, @fluid) >= @drive["mpa"]
      end

      # @return [Float] mm that a point stands above the master's outlet
      def rise_mm(point)
        point.height_mm - @profile.master.height_mm
      end

      # Fluid goes through the line at all.
      def flows?
        flow_ml_s.positive?
      end

      private

      def worked_out
        case @drive["by"]
        when "stroke"
          [[@stroke_ml / @drive["seconds"], through].min, @stroke_ml, PAUSE_S]
        when "head" then [held_by ? 0.0 : [through, 0.0].max, RUN_ML, 0.0]
        when "syringe" then [through.clamp(0.0, @drive["ml_s"]), @drive["ml"].to_f, PAUSE_S]
        else [0.0, 0.0, 0.0]
        end
      end

      def head_mpa
        height_mm = @hose_raised ? -JAR_MM : @profile.head_mm + JAR_MM
        Hydraulics::Flow.head_mpa(height_mm, @fluid)
      end

      def through
        pressure_mpa / resistance_mpa_s_ml
      end
    end
  end
end
