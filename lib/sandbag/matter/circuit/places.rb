# frozen_string_literal: true

module Sandbag
  module Circuit
    # Every place of a circuit, worked out of its sheet alone. It is the only thing that knows which part is joined to
    # which; stages ask it what a job opens, and by what name.
    class Places
      include Enumerable

      # outlet: the master's. feed: the reservoir's hose. first_hose: both ends of what leaves the master. here: the
      # places at which the job works. ends: both ends of the hoses there. inlets: of the far ends there. all: every
      # joint.
      OPENED = %w[outlet feed first_hose here ends inlets all].freeze

      # @return [String, nil] what is wrong with the kinds of place and the ways of opening that a row names
      def self.unknown(kinds, opens)
        odd = (kinds - Place::KINDS) + (opens - OPENED)
        "names unknown #{odd.join(", ")}; known are #{[*Place::KINDS, *OPENED].join(", ")}" if odd.any?
      end

      # What a part is called that has no label.
      UNNAMED = {"line" => "Hose"}.freeze

      # @param part [Hash] a far end, or a hose or pipe
      # @return [String]
      def self.name(part)
        part["label"] || UNNAMED.fetch(part["part"]) { |kind| kind.capitalize }
      end

      # The same inside a sentence.
      def self.inside(part)
        Wording.inside(name(part))
      end

      # @param sheet [Sheet]
      # @return [Places] made once for each sheet
      def self.of(sheet)
        sheet.made(:places) { new(sheet) }
      end

      # @param sheet [Sheet]
      def initialize(sheet)
        @sheet = sheet
        @joints = Joints.new(sheet).all
        @all = (@joints + nipples_of_all + lines + far_ends + [reservoir]).freeze
        @by_id = @all.to_h { |place| [place.id, place] }.freeze
        freeze
      end

      # @return [Array<Place>] from the master outwards
      attr_reader :joints

      def each(&)
        @all.each(&)
      end

      # @param id [String] see Place#id
      # @return [Place, nil]
      def find_id(id)
        @by_id[id]
      end

      # @param kinds [Array<String>] of Place::KINDS
      # @return [Array<Place>]
      def of_kind(*kinds)
        select { |place| kinds.include?(place.kind) }
      end

      # @param at [String] see Place#at
      # @return [Place, nil]
      def joint(at)
        find_id("joint.#{at}")
      end

      # @return [Array<Place>] of a far end or of the master, the far one first
      def nipples(part)
        of_kind("nipple").select { |place| place.part["id"] == part["id"] }
      end

      # @return [Place] where the pressure leaves the master: by a hose where one leaves it, else by a pipe
      def outlet
        outlets.first
      end

      # @return [Array<Place>] every joint at the master's outlet
      def outlets
        joints.select { |place| place.pressed? && place.part["part"] == "master" }
      end

      # @param place [Place] a line
      # @return [Array<Place>] its joints
      def ends_of(place)
        joints.select { |joint| joint.lines.include?(place.part) }
      end

      # @param id [String] of a line, or the master's
      # @return [Array<Place>] where its lower end is: joints of a splitter, or a far end with its joints and nipples;
      #   for the master its outlets, its own nipple and its feed hose
      def at_end_of(id)
        return select { |place| place.part["part"] == "master" || place.fitting == "feed hose" } if id == Topology::ROOT
        far_end = fed_by(id)
        return select { |place| place.part["id"] == far_end["id"] } if far_end
        fed = @sheet.parts_of("line").filter_map { |line| "#{line["id"]}.upper" if line["from"] == id }
        joints.select { |joint| [id, *fed].include?(joint.at) }
      end

      # @param place [Place] a far end
      # @return [Array<Place>] joints that are opened when it comes off
      def inlets_of(place)
        joints.select { |joint| joint.part["id"] == place.part["id"] }
      end

      # What a job opens.
      # @param what [Array<String>] of OPENED
      # @param at [Array<Place>] where it works
      # @return [Array<Place>] from the master outwards, each once
      def opened(what, at)
        found = what.flat_map { |each| opened_by(each, at) }
        select { |place| found.include?(place) }
      end

      # @param lines [Array<Place>]
      # @return [Array<Place>] with the other of each pair: a hose of the same kind from the same joint to a like far
      #   end
      def with_pairs(lines)
        of_kind("line").select { |line| lines.any? { |each| line == each || pair?(line, each) } }
      end

      private

      # @return [Hash, nil] the far end that a line leads to
      def fed_by(id)
        @sheet.far_ends.find { |part| part["from"] == id }
      end

      def pair?(one, other)
        one.part["from"] == other.part["from"] && ends_like(one) == ends_like(other)
      end

      def ends_like(line)
        far_end = fed_by(line.at)
        far_end && [@sheet.values(line.part)["kind"].value,
          *@sheet.values(far_end).values_at("build", "pistons").map { |each| each&.value }]
      end

      def opened_by(what, at)
        case what
        when "outlet" then outlets
        when "feed" then joints.reject(&:pressed?)
        when "first_hose" then joints.select { |joint| joint.lines.intersect?(outlets.flat_map(&:lines)) }
        when "here" then at
        when "ends" then at.flat_map { |place| ends_of(place) }
        when "inlets" then at.flat_map { |place| inlets_of(place) }
        when "all" then joints
        end
      end

      def lines
        @sheet.parts_of("line").map do |line|
          Place.new(kind: "line", at: line["id"], label: Places.name(line), part: line, lines: [line],
            above: false, height_mm: @sheet.values(line)["end_height"].value)
        end
      end

      def far_ends
        @sheet.far_ends.map do |part|
          Place.new(kind: "far_end", at: part["id"], label: Places.name(part), part: part, above: false,
            height_mm: height_mm(part))
        end
      end

      def reservoir
        Place.new(kind: "reservoir", at: "reservoir", label: "Reservoir", part: @sheet.parts_of("reservoir").first,
          above: true, height_mm: @sheet.value("reservoir", "height"))
      end

      def nipples_of_all
        [masters_nipple, *@sheet.far_ends.flat_map { |part| nipples_at(part) }].compact
      end

      # A closed reservoir is bled at a port of its lever too; some masters carry a nipple.
      def masters_nipple
        master = @sheet.parts_of("master").first
        closed = @sheet.kind.has?("closed_reservoir")
        return unless closed || @sheet.value("master", "nipple") == "yes"
        Place.new(kind: "nipple", at: Topology::ROOT, label: closed ? "Lever port" : "Nipple of the master",
          part: master, fitting: fitting, above: true, height_mm: @sheet.value("master", "height"))
      end

      def nipples_at(part)
        values = @sheet.values(part)
        count = values.key?("nipples") ? values["nipples"].value.round : 1
        Array.new(count) do |index|
          at = (count == 1) ? part["id"] : "#{part["id"]}.#{index + 1}"
          which = (count == 1) ? NIPPLES.fetch(fitting) : "#{FAR_NEAR[index]} #{NIPPLES.fetch(fitting)}"
          label = "#{which.capitalize} of the #{Places.inside(part)}"
          Place.new(kind: "nipple", at: at, label: label, part: part, fitting: fitting, above: false,
            height_mm: height_mm(part))
        end
      end
      NIPPLES = {"nipple" => "nipple", "port screw" => "port"}.freeze
      FAR_NEAR = %w[far near].freeze

      def fitting
        @sheet.kind.has?("closed_reservoir") ? "port screw" : "nipple"
      end

      def height_mm(part)
        @sheet.values(@sheet.part(part["from"]))["end_height"].value
      end
    end
  end
end
