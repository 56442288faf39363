# frozen_string_literal: true

module Sandbag
  module Circuit
    # The joints of a circuit, from the master outwards, each once. Hoses that leave the master share one banjo bolt; a
    # steel pipe has a flared nut of its own. At a splitter every end is a joint. Where ABS is fitted, each hose that
    # leaves the master goes in and out of its unit.
    class Joints
      # @return [Array<Place>]
      attr_reader :all

      # @param sheet [Sheet]
      def initialize(sheet)
        @sheet = sheet
        @heights = Heights.new(sheet)
        @leaving = sheet.parts_of("line").group_by { |line| line["from"] }
        @first = @leaving.fetch(Topology::ROOT, [])
        @all = [*feed, *outlets, *abs_unit, *inner, *sheet.far_ends.flat_map { |part| inlets(part) }].freeze
        freeze
      end

      private

      def feed
        return [] unless @sheet.value("reservoir", "mount") == "remote"
        [Place.new(kind: "joint", at: @sheet.id_of("reservoir"), label: "Feed hose at the master",
          part: @sheet.parts_of("reservoir").first, fitting: "feed hose", above: true,
          height_mm: @sheet.value("master", "height"))]
      end

      def outlets
        pipes, hoses = @first.partition { |line| pipe?(line) }
        groups = (hoses.any? ? [hoses] : []) + pipes.each_slice(1).to_a
        groups.each_with_index.map { |group, index| outlet(group, first: index.zero?, alone: groups.one?) }
      end

      def outlet(lines, first:, alone:)
        at = first ? Topology::ROOT : "#{lines.first["id"]}.upper"
        label = alone ? "Master outlet" : "Master outlet, #{Places.inside(lines.first)}"
        Place.new(kind: "joint", at: at, label: label, part: @sheet.parts_of("master").first,
          fitting: outlet_fitting(lines), lines: lines, seals: seals(lines.first), above: true,
          height_mm: @sheet.value("master", "height"))
      end

      def outlet_fitting(lines)
        return fitting(lines.first) if pipe?(lines.first)
        return "nut" if @sheet.kind.outlet == "nut"
        lines.one? ? "banjo" : "stacked banjo"
      end

      def abs_unit
        return [] unless fitted?
        lines = entering_unit
        lines.flat_map do |line|
          of = lines.one? ? "" : " of the #{Places.inside(line)}"
          [
            at_unit(line, "abs_in", "ABS unit, inlet#{of}", true),
            at_unit(line, "abs_out", "ABS unit, outlet#{of}", false)
          ]
        end
      end

      # What leaves the last master on the way.
      def entering_unit
        second_master? ? @first.flat_map { |line| @leaving.fetch(line["id"], []) } : @first
      end

      # The first hose leads to another master.
      def second_master?
        @sheet.kind.has?("second_master")
      end

      def at_unit(line, at, label, above)
        Place.new(kind: "joint", at: "#{line["id"]}.#{at}", label: label, part: line, fitting: fitting(line),
          lines: [line], seals: seals(line), above: above)
      end

      def fitted?
        !@sheet.clutch? && @sheet.value("vehicle", "abs") == "fitted"
      end

      # Where a line feeds others: its own lower end, and the upper end of each.
      def inner
        @sheet.parts_of("line").flat_map do |line|
          fed = @leaving.fetch(line["id"], [])
          next [] if fed.empty?
          [between(line, line["id"], line, fed), *fed.map { |each| between(each, "#{each["id"]}.upper", line, fed) }]
        end
      end

      def between(line, at, feeds, fed)
        place = line.equal?(feeds) ? "lower end" : "upper end"
        label = fed.one? ? "#{Places.name(line)}, #{place}" : "Splitter, #{Places.inside(line)}"
        Place.new(kind: "joint", at: at, label: label, part: line, fitting: inner_fitting(line), lines: [line],
          seals: seals(line), above: second_master? && @first.include?(feeds), height_mm: @heights.end_mm(feeds["id"]),
          splits: (feeds["id"] unless fed.one?))
      end

      # The hose to a second master is cut to its length, and ends in a compression nut.
      def inner_fitting(line)
        (second_master? && @first.include?(line)) ? "nut" : fitting(line)
      end

      # A slave may be bled through a banjo of its own.
      def inlets(part)
        line = @sheet.part(part["from"])
        inlet = Place.new(kind: "joint", at: part["id"], label: "Joint at the #{Places.inside(part)}", part: part,
          fitting: fitting(line),
          lines: [line], seals: seals(line), above: false, height_mm: @heights.end_mm(line["id"]))
        return [inlet] unless @sheet.values(part)["bleed_banjo"]&.value == "yes"
        label = "Bleed banjo of the #{Places.inside(part)}"
        [inlet, inlet.with(at: "#{part["id"]}.bleed", label: label, fitting: "banjo", lines: [])]
      end

      def fitting(line)
        pipe?(line) ? "flared nut" : "banjo"
      end

      def pipe?(line)
        @sheet.values(line)["kind"].value == "steel"
      end

      def seals(line)
        @sheet.values(line)["seals"].value
      end
    end
  end
end
