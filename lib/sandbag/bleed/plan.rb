# frozen_string_literal: true

module Sandbag
  module Bleed
    # Which points, in which order, how much through each, and how many strokes that takes (docs/physics.md 5, 6;
    # docs/trade.md 7.5).
    class Plan
      # @attr flush_ml [Float] fluid to pass; strokes [Integer] full strokes that pass it
      Point = Struct.new(:id, :label, :flush_ml, :strokes, :why, keyword_init: true)

      # Share of a stroke lost to air still in the circuit. [default] none; the done-criteria catch what it hides.
      LOSS = 0.0
      # Practice 7.6 and docs/physics.md 6: top up when this share of the usable fluid has gone.
      TOP_UP_SHARE = 0.6

      MASTER_OUTLET = "master_outlet"

      attr_reader :points, :stroke_ml, :usable_ml, :reservoir_total_ml, :circuit_ml

      # @param sheet [Circuit::Sheet]
      # @param opened [Boolean] the master was opened: its outlet comes first, then outwards; else the furthest point
      #   first
      def initialize(sheet, opened:)
        @sheet = sheet
        @opened = opened
        circuit = Circuit::Assembly.build(sheet)
        @stroke_ml = circuit.master.volume_per_stroke_ml * (1 - LOSS)
        @master_ml = circuit.master.fluid_ml
        @circuit_ml = circuit.fluid_ml
        @line_ml = sheet.parts_of("line").zip(circuit.lines).to_h { |part, line| [part["id"], line.fluid_ml] }
        @usable_ml = sheet.value("reservoir", "usable")
        @reservoir_total_ml = sheet.value("reservoir", "total")
        @points = plan_points.freeze
        freeze
      end

      # Two plans that ask for the same.
      def ==(other)
        other.is_a?(Plan) && other.to_h == to_h && other.reservoir_total_ml == reservoir_total_ml &&
          other.usable_ml == usable_ml
      end

      # Strokes from a fresh top-up to the next.
      def strokes_per_top_up
        [(TOP_UP_SHARE * usable_ml / stroke_ml).floor, 1].max
      end

      # Strokes from a fresh top-up until the port would uncover.
      def strokes_to_uncover
        (usable_ml / stroke_ml).floor
      end

      def to_h
        {
          stroke_ml: stroke_ml,
          usable_ml: usable_ml,
          strokes_per_top_up: strokes_per_top_up,
          strokes_to_uncover: strokes_to_uncover,
          total_ml: points.sum(&:flush_ml),
          points: points.map(&:to_h)
        }
      end

      private

      def plan_points
        old_lines = @line_ml.dup
        master_ml = @master_ml
        points =
          if @opened
            [point_of(MASTER_OUTLET, "Master outlet", master_ml, 0, "the master was opened: its own air first")]
          else
            []
          end
        master_ml = 0 if @opened
        ordered_ends.each do |part|
          upstream_ml = master_ml + path(part).sum { |line| old_lines[line] }
          path(part).each { |line| old_lines[line] = 0 }
          master_ml = 0
          points.concat(nipples_of(part, upstream_ml))
        end
        points
      end

      def nipples_of(part, upstream_ml)
        values = @sheet.values(part)
        count = values.key?("nipples") ? values["nipples"].value.round : 1
        share_ml = values["fluid"].value / count
        Array.new(count) do |index|
          id = (count == 1) ? part["id"] : "#{part["id"]}.#{index + 1}"
          label = (count == 1) ? part["label"] : "#{part["label"]}, #{%w[far near][index]} nipple"
          point_of(id, label, index.zero? ? upstream_ml : 0, share_ml, order_reason)
        end
      end

      def point_of(id, label, upstream_ml, tank_ml, why)
        flush_ml = FlushVolume.ml(upstream_ml, tank_ml, @sheet.value("fluid", "purity"))
        Point.new(id: id, label: label, flush_ml: flush_ml, strokes: (flush_ml / @stroke_ml).ceil, why: why).freeze
      end

      def ordered_ends
        by_length = @sheet.far_ends.sort_by.with_index { |part, index| [path_length(part), index] }
        @opened ? by_length : by_length.reverse
      end

      def order_reason
        @opened ? "opened circuit: from the master outwards" : "full circuit: the furthest point first"
      end

      def path(part)
        @sheet.topology.path(part["id"])
      end

      def path_length(part)
        path(part).sum { |line| @sheet.values(@sheet.part(line))["length"].value }
      end
    end
  end
end
