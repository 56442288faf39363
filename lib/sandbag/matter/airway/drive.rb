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
      # What the main cup's lip stands before it lets fluid past while the piston comes back, MPa: with the nipple open
      # the line gives back what this draws against the column, and the reservoir the rest. [default]
      SUCTION_MPA = 0.01
      # What runs by head goes on until it is closed: as much as the reservoir bears, at least this, mL. [default]
      RUN_ML = 15.0

      # flow_ml_s: while it moves; go_ml: in one go, after which it may come back; back_ml: of it that the line gives
      # back by the open nipple; pause_s: until the next
      attr_reader :flow_ml_s, :go_ml, :back_ml, :pause_s

      # Between two strokes or pushes, where the method's table has no other. [default]
      PAUSE_S = 2.0

      # @param method [Hash] of bleed_methods.yml; profile [HeightProfile]; fluid [Fluid::FlowingFluid]
      # @param opening [Hash] of nipple_openings.yml; stroke_ml [Float] of the master
      # @param hose_raised [Boolean] the clear hose's end hangs above the master; dry [Boolean] the line is empty
      def initialize(method, profile, fluid:, opening:, stroke_ml:, hose_raised: false, dry: false)
        @dry = dry
        @drive = method["drive"]
        @fittings = method["fittings"] || []
        @hose_raised = hose_raised
        @profile = profile
        @fluid = fluid
        @opening = opening
        @stroke_ml = stroke_ml
        @reverse = method["reverse"] == true
        @flow_ml_s, @go_ml, @pause_s = worked_out
        @back_ml = drawn_back_ml
        freeze
      end

      # @return [Float] MPa that drives the flow through every segment
      def pressure_mpa
        case @drive["by"]
        when "stroke" then HAND_MPA
        when "head" then head_mpa + @drive["mpa"]
        when "syringe" then @drive["mpa"] + (@reverse ? -column_mpa : head_mpa)
        else 0.0
        end
      end

      # @return [Array<Array(String, Hydraulics::Flow::Segment)>] what it flows through, in series
      def segments
        lines = HeightProfile.segments(@profile.legs)
        bore = @opening["bore"]
        nipple = bore.positive? ? [["Nipple", Hydraulics::Flow::Segment.new(NIPPLE_MM, bore)]] : []
        lines + nipple + @fittings.map do |each|
          [each["label"], Hydraulics::Flow::Segment.new(each["length"], each["bore"])]
        end
      end

      # @return [Float] mL/s that the way lets through
      def through_ml_s
        through(pressure_mpa)
      end

      # It is done once, and not again and again.
      # @return [Float] mL that it moves in all; endless where it is repeated
      def all_ml
        @drive["once"] ? go_ml : Float::INFINITY
      end

      # An empty line starts to run only where the reservoir, with what is added to it, stands above its highest point;
      # a full one siphons over it.
      # @return [HeightProfile::Point, nil] the point that nothing runs over
      def held_by
        return if @drive["by"] != "head" || !(@dry || @drive["fills"])
        highest = @profile.outward.max_by(&:height_mm)
        highest if Hydraulics::Flow.head_mpa(rise_mm(highest) - @profile.level_mm, @fluid) >= @drive["mpa"]
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
          [[@stroke_ml / @drive["seconds"], through_ml_s].min, @stroke_ml, @drive.fetch("pause", PAUSE_S)]
        when "head" then [held_by ? 0.0 : through_ml_s, RUN_ML, 0.0]
        when "syringe" then [[through_ml_s, @drive["ml_s"]].min, @drive["ml"].to_f, PAUSE_S]
        else [0.0, 0.0, 0.0]
        end
      end

      # From the reservoir's level down to the end of the clear hose.
      def head_mpa
        height_mm = @hose_raised ? @profile.level_mm - JAR_MM : @profile.head_mm + @profile.level_mm + JAR_MM
        Hydraulics::Flow.head_mpa(height_mm, @fluid)
      end

      # From the nipple up to the reservoir's level.
      def column_mpa
        Hydraulics::Flow.head_mpa(@profile.head_mm + @profile.level_mm, @fluid)
      end

      def drawn_back_ml
        return 0.0 unless @drive["back"]
        [through(SUCTION_MPA - head_mpa) * @drive["seconds"], @stroke_ml].min
      end

      def through(mpa)
        Hydraulics::Flow.ml_s(mpa, segments.map(&:last), @fluid)
      end
    end
  end
end
