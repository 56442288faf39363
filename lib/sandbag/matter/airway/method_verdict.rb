# frozen_string_literal: true

module Sandbag
  module Airway
    # Whether one method carries the air of one way out: suitable, workable if something is changed first, or it leaves
    # air at a place; with the leg and the two speeds that decide it.
    class MethodVerdict
      # What may be changed, and how the way is then. opening: a wider nipple; celsius: the fluid warmed; longer: more
      # fluid than is planned.
      # loop_down, turned: the loop tied down, the caliper turned with its port up. feed_up: the feed hose lifted.
      CHANGES = {
        "opening" => "the nipple opened 1/2 turn", "celsius" => "the fluid warmed to 20 °C",
        "longer" => "twice the planned fluid passed", "loop_down" => "the high loop pulled down and tied",
        "feed_up" => "the feed hose lifted straight and squeezed",
        "turned" => "the caliper off, its port turned to the top"
      }.freeze

      # Air below this in a cavity is not spoken of, mL. [default]
      SMALL_ML = 0.01

      attr_reader :carriages, :drive, :way

      # @param way [Way]; method [Hash] of bleed_methods.yml
      def initialize(way, method)
        @way = way
        @method = method
        @drive = way.drive(method)
        @reverse = method["reverse"] == true
        @onward_s = Escape.new(way.profile, way.fluid, out: open_end?).to_h
        @carriages = carried_along.freeze
      end

      def profile
        way.profile
      end

      # Its fluid is moved by strokes of the lever.
      def by_strokes?
        @method.dig("drive", "by") == "stroke"
      end

      # @return [Float] mL/s while it moves
      def flow_ml_s
        @drive.flow_ml_s
      end

      # @return [String] suitable, workable or leaves_air
      def id
        @id ||= judged
      end

      # Every leg gives its air up, and no cavity keeps any.
      def clean?
        stuck.nil? && !pocket?
      end

      # @return [Carriage, nil] the leg that decides, from the master outwards
      def stuck
        carriages.find { |each| !each.moves? }
      end

      # The port is not at the top of its cavity, and nothing turns it there.
      def pocket?
        pocket_ml > SMALL_ML
      end

      # @return [Float] mL that stay in the far end
      def pocket_ml
        (@way.turned || @method["turned"]) ? 0.0 : @way.profile.pocket_ml
      end

      # @return [HeightProfile::Point, nil] the point that nothing runs over
      def held_by
        @drive.held_by
      end

      # @return [String, nil] where air stays
      def place
        return held_by.label if held_by
        return stuck.place.label if stuck
        @way.end_label if pocket?
      end

      # @return [Array<String>] of CHANGES: each by itself makes it carry; where none does, a pair that does together
      def changes
        @changes ||= changes_wanted
      end

      # Two changes are wanted together.
      def together?
        !clean? && single_changes.empty? && changes.any?
      end

      # @return [Float, nil] s until the last air has risen out by itself, where some does
      def rises_s
        carriages.select { |each| each.state == "rises" }.filter_map(&:rises_s).max
      end

      # The same with the nipples shut: none where the method itself lets it out by a hose that hangs above the master.
      def rises_shut_s
        rises_s unless open_end?
      end

      private

      # The clear hose hangs above the master, and the nipple is open: air leaves there too.
      def open_end?
        @method.dig("drive", "by") == "rise"
      end

      # Along the flow, since what one leg needs is gone for the next. What stands in a feed hose is drawn before.
      def carried_along
        feed, lines = way.profile.legs.partition(&:feed)
        spent_ml = 0.0
        judged = (@reverse ? lines.reverse : lines).map do |leg|
          carriage(leg, spent_ml).tap { |each| spent_ml = each.needed_ml if each.needed_ml.finite? }
        end
        feed.map { |leg| carriage(leg, 0.0) } + (@reverse ? judged.reverse : judged)
      end

      def carriage(leg, spent_ml)
        planned_ml = [way.planned_ml(leg), drive.all_ml].min
        Carriage.new(leg, drive, way.fluid, reverse: @reverse, planned_ml: planned_ml, spent_ml: spent_ml,
          onward_s: @onward_s[leg])
      end

      def judged
        return "suitable" if clean?
        changes.any? ? "workable" : "leaves_air"
      end

      def changes_wanted
        return [] if clean?
        single_changes.any? ? single_changes : pair_of_changes
      end

      def single_changes
        @single_changes ||= open_changes.select { |change| carries_with?(change) }
      end

      def pair_of_changes
        open_changes.combination(2).find { |pair| carries_with?(*pair) } || []
      end

      def open_changes
        CHANGES.keys.reject { |change| @way.changed?(change) }
      end

      def carries_with?(*changes)
        MethodVerdict.new(changes.reduce(@way) { |way, change| way.changed_by(change) }, @method).clean?
      end
    end
  end
end
