# frozen_string_literal: true

module Sandbag
  module Airway
    # The way from the reservoir to one far end as height over length: where it climbs, falls, and turns
    # (docs/physics.md 6). Outward is from the reservoir to the nipple. A feed hose is drawn where it is known to sag
    # below the master.
    class HeightProfile
      # @attr at_mm [Float] along the way; height_mm [Float]; label [String]; kind [String] reservoir, low, master,
      #   high_spot, joint or far_end; end_of [String, nil] the line that ends there, or the master
      Point = Struct.new(:at_mm, :height_mm, :label, :kind, :end_of, keyword_init: true)

      # A stretch that only climbs or only falls. rise_mm: outward, negative where it falls; feed: above the master.
      Leg = Struct.new(:line, :label, :from, :to, :bore_mm, :feed, keyword_init: true) do
        def length_mm
          to.at_mm - from.at_mm
        end

        def rise_mm
          to.height_mm - from.height_mm
        end

        # @return [Float] sine of its slope: 0 level, 1 upright
        def slope
          [rise_mm.abs / length_mm, 1.0].min
        end

        # @param fluid [Fluid::FlowingFluid]
        # @return [Hydraulics::Bubble] a slug that fills it
        def bubble(fluid)
          Hydraulics::Bubble.new(bore_mm, fluid, slope: slope)
        end
      end

      # A line is one segment, whatever it climbs and falls.
      # @param legs [Array<Leg>] in their order
      # @return [Array<Array(String, Hydraulics::Flow::Segment)>] label and segment of each line
      def self.segments(legs)
        legs.chunk_while { |one, other| one.line == other.line }.map do |same|
          [same.first.label, Hydraulics::Flow::Segment.new(same.sum(&:length_mm), same.first.bore_mm)]
        end
      end

      # The reservoir's level stands this far above the master's outlet where it is built on the master, mm. [default]
      RESERVOIR_MM = 40.0

      # points: outwards; master: its outlet; pocket_ml: air that stays in the far end's cavity where its port is not at
      # the top, mL
      attr_reader :legs, :far_end, :points, :master, :pocket_ml

      # @param sheet [Circuit::Sheet]; far_end [Hash] a caliper or slave of it
      # @param loop_down [Boolean] as if every high spot were pulled down and tied
      # @param feed_up [Boolean] as if the feed hose were lifted straight and squeezed
      # @param raised_mm [Float] as if the bar were turned and the master stood higher by so much
      # @param tilted_mm [Float] as if the machine were tilted: the master higher by so much, the nipple where it is,
      #   and what lies between in proportion
      def initialize(sheet, far_end, loop_down: false, feed_up: false, raised_mm: 0.0, tilted_mm: 0.0)
        @sheet = sheet
        @far_end = far_end
        @loop_down = loop_down
        @feed_up = feed_up
        @raised_mm = raised_mm
        @tilted_mm = tilted_mm
        @legs = (feed + walk).freeze
        @points = [legs.first.from, *legs.map(&:to)].freeze
        @master = points.find { |point| point.kind == "master" }
        @pocket_ml = (cavity = cavity_values) ? Hydraulics::PortPocket.volume_ml(*cavity) : 0.0
        freeze
      end

      # @return [Array<Point>] from the master outwards
      def outward
        points.drop_while { |point| point.kind != "master" }
      end

      # A line climbs over both its ends: it is two legs.
      def high_spot?
        points.any? { |point| point.kind == "high_spot" }
      end

      # The feed hose sags below the master: the master's inlet is a high spot.
      def sag?
        legs.any?(&:feed)
      end

      def length_mm
        legs.sum(&:length_mm)
      end

      # @return [Float] mm of head from the master's outlet down to the nipple
      def head_mm
        master.height_mm - points.last.height_mm
      end

      # @return [Float] mm that the reservoir's level stands above the master's outlet
      def level_mm
        remote? ? reservoir_mm - master_mm : RESERVOIR_MM
      end

      # @return [Array<Float>, nil] radius and depth of the cavity in mm, and its port's angle from the top
      def cavity_values
        values = @sheet.values(far_end)
        values.values_at("cavity_radius", "cavity_depth", "port_angle").map(&:value) if values.key?("port_angle")
      end

      private

      def path
        @path ||= @sheet.topology.path(far_end["id"]).map { |id| @sheet.part(id) }
      end

      def walk
        here = Point.new(at_mm: feed_length_mm, height_mm: tilted(master_mm, 0.0), label: "Master outlet",
          kind: "master", end_of: Circuit::Topology::ROOT).freeze
        path.flat_map { |line| stretch(line, @sheet.values(line), here).tap { |legs| here = legs.last.to } }
      end

      def master_mm
        @sheet.value("master", "height") + @raised_mm
      end

      def way_mm
        path.sum { |line| @sheet.values(line)["length"].value }
      end

      # @param along_mm [Float] from the master
      def tilted(height_mm, along_mm)
        return height_mm if @tilted_mm.zero?
        height_mm + @tilted_mm * (1 - along_mm / way_mm)
      end

      # A high spot is taken to lie half way along its line.
      def stretch(line, values, here)
        label = Circuit::Places.name(line)
        length = values["length"].value
        along = here.at_mm - feed_length_mm
        ends = Point.new(at_mm: here.at_mm + length, height_mm: tilted(values["end_height"].value, along + length),
          **end_of(line, label)).freeze
        high = values["high_spot"].value && tilted(values["high_spot"].value, along + length / 2) unless @loop_down
        way = [here, ends]
        if high && high > [here.height_mm, ends.height_mm].max
          way.insert(1, Point.new(at_mm: here.at_mm + length / 2, height_mm: high, label: "#{label}, high spot",
            kind: "high_spot").freeze)
        end
        way.each_cons(2).map do |from, to|
          Leg.new(line: line["id"], label: label, from: from, to: to, bore_mm: values["bore"].value, feed: false).freeze
        end
      end

      def end_of(line, label)
        last = line["id"] == far_end["from"]
        {label: "#{label}, lower end", kind: last ? "far_end" : "joint", end_of: line["id"]}
      end

      # The feed hose, where it is known to sag.
      def feed
        low = feed_low_mm
        return [] unless low
        length = feed_length_mm
        reservoir = Point.new(at_mm: 0.0, height_mm: reservoir_mm, label: "Reservoir", kind: "reservoir").freeze
        sag = Point.new(at_mm: length / 2, height_mm: low, label: "Feed hose, lowest point", kind: "low").freeze
        master = Point.new(at_mm: length, height_mm: tilted(master_mm, 0.0), label: "Master, under its feed hose",
          kind: "master", end_of: Circuit::Topology::ROOT).freeze
        [reservoir, sag, master].each_cons(2).map do |from, to|
          Leg.new(line: "reservoir", label: "Feed hose", from: from, to: to,
            bore_mm: @sheet.value("reservoir", "feed_bore"), feed: true).freeze
        end
      end

      def feed_low_mm
        return if @feed_up || !remote?
        low = @sheet.value("reservoir", "feed_low")
        low if low && low < master_mm - Circuit::Heights::LEVEL_MM
      end

      def remote?
        @sheet.value("reservoir", "mount") == "remote"
      end

      def feed_length_mm
        feed_low_mm ? @sheet.value("reservoir", "feed_length") : 0.0
      end

      # Where it is not known, above the master by half its hose.
      def reservoir_mm
        @sheet.value("reservoir", "height") || master_mm + @sheet.value("reservoir", "feed_length") / 2
      end
    end
  end
end
