# frozen_string_literal: true

module Sandbag
  module Airway
    # Whether one method carries the air of one way out: suitable, workable if something is changed first, or it leaves
    # air at a place; with the leg and the two speeds that decide it.
    class MethodVerdict
      # What may be changed, and how the way is then. opening: a wider nipple; celsius: the fluid warmed.
      # loop_down, turned: the loop tied down, the caliper turned with its port up. feed_up: the feed hose lifted.
      CHANGES = {
        "opening" => "the nipple opened 1/2 turn", "celsius" => "the fluid warmed to 20 °C",
        "loop_down" => "the high loop pulled down and tied", "feed_up" => "the feed hose lifted straight and squeezed",
        "turned" => "the caliper off, its port turned to the top"
      }.freeze

      # Air below this in a cavity is not spoken of, mL. [default]
      SMALL_ML = 0.01

      attr_reader :carriages, :drive

      # @param way [Way]; method [Hash] of bleed_methods.yml
      def initialize(way, method)
        @way = way
        @method = method
        @drive = way.drive(method)
        @carriages = way.profile.legs.map do |leg|
          Carriage.new(leg, @drive, way.fluid, reverse: method["reverse"] == true)
        end.freeze
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

      private

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
