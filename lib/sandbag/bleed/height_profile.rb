# frozen_string_literal: true

module Sandbag
  module Bleed
    # The way from the master to one far end as height over length: where it climbs, falls, and turns (docs/physics.md
    # 6). Outward is from the reservoir to the nipple.
    class HeightProfile
      # @attr at_mm [Float] along the way; height_mm [Float]; label [String]
      Point = Struct.new(:at_mm, :height_mm, :label, keyword_init: true)

      # A stretch that only climbs or only falls. rise_mm: outward, negative where it falls.
      Leg = Struct.new(:line, :label, :from, :to, :bore_mm, keyword_init: true) do
        def length_mm
          to.at_mm - from.at_mm
        end

        def rise_mm
          to.height_mm - from.height_mm
        end

        # Nobody measures a hose run closer.
        def level?
          rise_mm.abs <= Circuit::Heights::LEVEL_MM
        end
      end

      attr_reader :legs, :far_end

      # @param sheet [Circuit::Sheet]; far_end [Hash] a caliper or slave of it
      # @param loop_down [Boolean] as if every high spot were pulled down and tied
      # @param raised_mm [Float] as if the master were turned or tilted up by so much
      def initialize(sheet, far_end, loop_down: false, raised_mm: 0.0)
        @sheet = sheet
        @far_end = far_end
        @loop_down = loop_down
        @raised_mm = raised_mm
        @legs = walk.freeze
        freeze
      end

      # @return [Array<Point>] from the master outwards
      def points
        [legs.first.from, *legs.map(&:to)]
      end

      # A line climbs over both its ends: it is two legs.
      def high_spot?
        legs.map(&:line).uniq.size < legs.size
      end

      def length_mm
        legs.sum(&:length_mm)
      end

      # @return [Float] mm of head from the master's outlet down to the nipple
      def head_mm
        points.first.height_mm - points.last.height_mm
      end

      # Air stays in the far end's cavity where its port is not at the top.
      # @return [Float] mL
      def pocket_ml
        values = @sheet.values(far_end)
        return 0.0 unless values.key?("port_angle")
        Hydraulics::PortPocket.volume_ml(values["cavity_radius"].value, values["cavity_depth"].value,
          values["port_angle"].value)
      end

      private

      def walk
        here =
          Point.new(at_mm: 0.0, height_mm: @sheet.value("master", "height") + @raised_mm, label: "Master outlet").freeze
        @sheet
          .topology
          .path(far_end["id"])
          .flat_map do |id|
            line = @sheet.part(id)
            stretch(line, @sheet.values(line), here).tap { |legs| here = legs.last.to }
          end
      end

      # A high spot is taken to lie half way along its line.
      def stretch(line, values, here)
        label = line["label"] || "Hose"
        length = values["length"].value
        ends =
          Point.new(
            at_mm: here.at_mm + length,
            height_mm: values["end_height"].value,
            label: "#{label}, lower end"
          ).freeze
        high = values["high_spot"].value unless @loop_down
        way = [here, ends]
        if high && high > [here.height_mm, ends.height_mm].max
          way.insert(1, Point.new(at_mm: here.at_mm + length / 2, height_mm: high, label: "#{label}, high spot").freeze)
        end
        way.each_cons(2).map do |from, to|
          Leg.new(line: line["id"], label: label, from: from, to: to, bore_mm: values["bore"].value).freeze
        end
      end
    end
  end
end
