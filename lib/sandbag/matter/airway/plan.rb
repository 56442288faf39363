# frozen_string_literal: true

module Sandbag
  module Airway
    # Which points, in which order, how much through each, and how many strokes that takes (docs/physics.md 5, 6;
    # docs/trade.md 7.5).
    class Plan
      # @attr flush_ml [Float] fluid to pass; strokes [Integer] full strokes that pass it
      Point = Struct.new(:id, :label, :flush_ml, :strokes, :why, keyword_init: true)

      # Share of a stroke lost to air still in the circuit. [default] none; the done-criteria catch what it hides.
      LOSS = 0.0
      MASTER_OUTLET = "master_outlet"

      attr_reader :points, :stroke_ml, :usable_ml, :reservoir_total_ml, :circuit_ml

      # @param sheet [Circuit::Sheet]
      # @param opened [Boolean] the master was opened: its outlet comes first, then outwards; else the furthest point
      #   first
      # @param order [String, nil] lowest_first, where a method has its own; as the circuit stands otherwise
      # @param service [Array<String>, nil] ids of points in the order of the service information, where that decides
      # @param reservoirs [Integer] at least so many go through, whatever the flush volume says
      def initialize(sheet, opened:, order: nil, service: nil,
        reservoirs: Schools.reservoirs({}))
        @sheet = sheet
        @opened = opened
        @order = order
        @service = service
        @reservoirs = reservoirs
        circuit = Circuit::Assembly.build(sheet)
        @stroke_ml = circuit.volume_per_stroke_ml * (1 - LOSS)
        @master_ml = circuit.master.fluid_ml
        @circuit_ml = circuit.fluid_ml
        @line_ml = sheet.parts_of("line").zip(circuit.lines).to_h { |part, line| [part["id"], line.fluid_ml] }
        @usable_ml = sheet.value("reservoir", "usable")
        @reservoir_total_ml = sheet.value("reservoir", "total")
        @points = plan_points.freeze
        freeze
      end

      # @param line [String, nil] id of one; nil where all of it goes through
      # @return [Float] mL that go through it
      def through_ml(line)
        return points.sum(&:flush_ml) if line.nil?
        there = behind(line)
        points.select { |point| there.include?(point.id) }.sum(&:flush_ml)
      end

      # Two plans that ask for the same.
      def ==(other)
        other.is_a?(Plan) && other.to_h == to_h && other.reservoir_total_ml == reservoir_total_ml &&
          other.usable_ml == usable_ml
      end

      def to_h
        filling = ReservoirCount.new(full_ml: usable_ml, stroke_ml: stroke_ml)
        {
          stroke_ml: stroke_ml,
          usable_ml: usable_ml,
          strokes_per_top_up: filling.strokes_per_top_up,
          strokes_to_uncover: filling.strokes_per_filling,
          total_ml: points.sum(&:flush_ml),
          points: points.map(&:to_h)
        }
      end

      private

      # @return [Array<String>] points whose fluid comes through a line
      def behind(line)
        @sheet.far_ends.select { |part| path(part).include?(line) }
          .flat_map { |part| Circuit::Places.of(@sheet).nipples(part).map(&:at) }
      end

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
        enough_of(in_service_order(points))
      end

      def in_service_order(points)
        return points unless @service
        points.sort_by.with_index { |point, index| [service_place(point.id), index] }
      end

      # What is short of the least goes through the last point.
      def enough_of(points)
        short_ml = @reservoirs * usable_ml - points.sum(&:flush_ml)
        return points unless short_ml.positive?
        *others, last = points
        [*others, point_of(last.id, last.label, last.flush_ml + short_ml, 0, last.why)]
      end

      def nipples_of(part, upstream_ml)
        nipples = Circuit::Places.of(@sheet).nipples(part)
        share_ml = @sheet.values(part)["fluid"].value / nipples.size
        nipples.map.with_index do |nipple, index|
          label = nipples.one? ? part["label"] : "#{part["label"]}, #{%w[far near][index]} nipple"
          point_of(nipple.at, label, index.zero? ? upstream_ml : 0, share_ml, order_reason)
        end
      end

      def point_of(id, label, upstream_ml, tank_ml, why)
        flush_ml = FlushVolume.ml(upstream_ml, tank_ml, @sheet.value("fluid", "purity"))
        Point.new(id: id, label: label, flush_ml: flush_ml, strokes: (flush_ml / @stroke_ml).ceil, why: why).freeze
      end

      def ordered_ends
        return @sheet.far_ends.sort_by { |part| first_place(part) } if @service
        by_length = @sheet.far_ends.sort_by.with_index { |part, index| [path_length(part), index] }
        return by_length.sort_by.with_index { |part, index| [height_mm(part), index] } if lowest_first?
        @opened ? by_length : by_length.reverse
      end

      # Where the first of its nipples comes.
      def first_place(part)
        Circuit::Places.of(@sheet).nipples(part).map { |nipple| service_place(nipple.at) }.min
      end

      def service_place(id)
        @service.index(id) || @service.size
      end

      def lowest_first?
        @order == "lowest_first"
      end

      def height_mm(part)
        @sheet.values(@sheet.part(path(part).last))["end_height"].value
      end

      def order_reason
        return "in the order of the service information" if @service
        return "by itself, the lowest point first" if lowest_first?
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
