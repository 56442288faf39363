# frozen_string_literal: true

module Sandbag
  module Bleed
    # Whether one method carries the air of one way out: suitable, workable if something is changed first, or it leaves
    # air at a place; with the leg and the two speeds that decide it.
    class MethodVerdict
      # What may be changed, and how the way is then. opening: a wider nipple; celsius: the fluid warmed.
      # loop_down, turned: the loop tied down, the caliper turned with its port up.
      CHANGES = {
        "opening" => "the nipple opened 1/2 turn", "celsius" => "the fluid warmed to 20 °C",
        "loop_down" => "the high loop pulled down and tied", "turned" => "the caliper off, its port turned to the top"
      }.freeze

      # Air below this in a cavity is not spoken of, mL. [default]
      SMALL_ML = 0.01

      attr_reader :method, :carriages, :profile

      # @param way [Way]; method [Hash] of bleed_methods.yml
      def initialize(way, method)
        @way = way
        @method = method
        @profile = way.profile
        drive = way.drive(method)
        @carriages = profile.legs.map do |leg|
          Carriage.new(leg, drive, way.fluid, reverse: method["reverse"] == true)
        end.freeze
        freeze
      end

      # @return [String] suitable, workable or leaves_air
      def id
        return "suitable" if clean?
        changes.any? ? "workable" : "leaves_air"
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
        (@way.turned? || method["turned"]) ? 0.0 : profile.pocket_ml
      end

      # @return [String, nil] where air stays
      def place
        return stuck.place.label if stuck
        @way.end_label if pocket?
      end

      # @return [Array<String>] of CHANGES: each by itself makes it carry; where none does, all of them that help
      def changes
        return [] if clean?
        open = CHANGES.keys.reject { |change| @way.changed?(change) }
        single = open.select { |change| MethodVerdict.new(@way.with(change), method).clean? }
        return single if single.any?
        both =
          open
            .combination(2)
            .find { |pair| MethodVerdict.new(pair.reduce(@way) { |way, each| way.with(each) }, method).clean? }
        both || []
      end

      # Two changes are wanted together.
      def together?
        changes.size == 2 && changes.none? { |change| MethodVerdict.new(@way.with(change), method).clean? }
      end
    end
  end
end
