# frozen_string_literal: true

module Sandbag
  module Rig
    # Where fluid and air may go in a simulated circuit: from the master's outlet to each far end, leg by leg, with
    # bore, rise and the drift of a slug in each (docs/physics.md 6).
    class Plumbing
      # A stretch that only climbs or only falls. from_mm, to_mm: along the way from the master; rise: 1 outward up, −1
      # outward down, 0 level; drift_mm_s: at which a slug rises by itself.
      Leg = Struct.new(:line, :from_mm, :to_mm, :from_height_mm, :to_height_mm, :area_mm2, :bore_mm, :rise, :drift_mm_s,
        keyword_init: true)

      # One way out, to a far end.
      # @attr id [String]; label [String]; legs [Array<Leg>] outwards; length_mm [Float]; head_mm [Float] from the
      #   reservoir's level down to the nipple; pocket_ml [Float] of air that its cavity keeps; way
      #   [Airway::Way] as it is judged
      Path = Struct.new(:id, :label, :legs, :length_mm, :head_mm, :pocket_ml, :way, keyword_init: true) do
        # @return [Float] mL that its lines hold
        def volume_ml
          legs.sum { |leg| leg.area_mm2 * (leg.to_mm - leg.from_mm) / 1000 }
        end

        # @return [Leg] that a place lies in; the place itself is the upper end of the leg before
        def leg_at(at_mm)
          legs.find { |leg| at_mm < leg.to_mm } || legs.last
        end
      end

      attr_reader :paths, :fluid

      # Times the resistance of a hose that is shut inside. [default]
      SHUT = 2_000.0

      # @param sheet [Sandbag::Circuit::Sheet]; celsius [Float] of the fluid; placed [Hash] how it is laid, see
      #   Airway::Way
      def initialize(sheet, celsius: Airway::Way::WARM_C, **placed)
        ways = Airway::Way.all(sheet, celsius: celsius, **placed)
        @fluid = ways.first.fluid
        @paths = ways.map { |way| path(way) }.freeze
        @lines = paths.to_h { |path| [path.id, Hydraulics::Flow.resistance_mpa_s_ml(segments(path), fluid)] }.freeze
        @quick = paths.to_h { |path| [path.id, Hydraulics::Flow.kinetic_mpa_s2_ml2(segments(path), fluid)] }.freeze
        @back = 1 / @lines.values.sum { |each| 1 / each }
        @port = Hydraulics::Flow.resistance_mpa_s_ml([PORT], fluid)
        freeze
      end

      # @return [Path]
      # Refuses an end that the circuit has not.
      def find(id)
        paths.find { |path| path.id == id } ||
          raise(Refusal.at("end", "there is no far end “#{id}”", paths.map(&:id).join(", ")))
      end

      # Pieces that a dry line is filled with air in, mm. [default]
      DRY_MM = 40.0

      # @return [Array<Slug>] air that fills every line, each once though several ways run through it
      def dry
        filled = []
        paths.each_with_index.flat_map do |path, index|
          empty = path.legs.reject { |leg| filled.include?(leg.line) }
          filled |= path.legs.map(&:line)
          empty.flat_map { |leg| pieces(leg, index) }
        end
      end

      # @param turns [Float] of the nipple, 0 shut; shut [Boolean] inside the hose
      # @return [Float] MPa for each mL/s, through the way and its nipple; infinite where it is shut
      def resistance(path, turns, shut: false)
        return Float::INFINITY unless turns.positive?
        @lines.fetch(path.id) * (shut ? SHUT : 1) + Hydraulics::Flow.resistance_mpa_s_ml([nipple(turns)], fluid)
      end

      # @return [Float] MPa for each (mL/s)², of the way and its nipple
      def kinetic(path, turns)
        @quick.fetch(path.id) + Hydraulics::Flow.kinetic_mpa_s2_ml2([nipple(turns)], fluid)
      end

      # @return [Float] MPa for each mL/s out by the master's outlet, its joint cracked
      def joint_resistance
        bore = Tables.find("nipple_openings", "eighth")["bore"]
        crack = Hydraulics::Flow::Segment.new(Airway::Drive::NIPPLE_MM, bore)
        Hydraulics::Flow.resistance_mpa_s_ml([crack], fluid)
      end

      # @return [Float] MPa for each mL/s that comes back from all far ends together
      def return_resistance(shut: false)
        @back * (shut ? SHUT : 1)
      end

      # The same, through the compensating port as well.
      def vent_resistance(shut: false)
        return_resistance(shut: shut) + @port
      end

      # Length and bore of the compensating port, mm. [default]
      PORT = Hydraulics::Flow::Segment.new(1.5, 0.6)

      private

      def pieces(leg, index)
        length = leg.to_mm - leg.from_mm
        count = [(length / DRY_MM).ceil, 1].max
        Array.new(count) do |piece|
          Slug.new(ml: leg.area_mm2 * length / count / 1000, path: index,
            at_mm: leg.from_mm + length * (piece + 0.5) / count)
        end
      end

      def segments(path)
        Airway::HeightProfile.segments(path.way.profile.legs.reject(&:feed)).map(&:last)
      end

      def nipple(turns)
        Hydraulics::Flow::Segment.new(Airway::Drive::NIPPLE_MM, nipple_mm(turns))
      end

      # As wide as the table has it, and in proportion between; no wider than its widest.
      def nipple_mm(turns)
        rows = Tables.rows("nipple_openings")
        below, above = rows.each_cons(2).find { |_, wider| turns <= wider["turns"] }
        return rows.last["bore"] unless above
        share = (turns - below["turns"]) / (above["turns"] - below["turns"])
        below["bore"] + share * (above["bore"] - below["bore"])
      end

      def path(way)
        outward = way.profile.legs.reject(&:feed)
        start = outward.first.from.at_mm
        legs = outward.map { |leg| leg_of(leg, start, way.fluid) }
        Path.new(id: way.far_end["id"], label: way.end_label, legs: legs.freeze, length_mm: legs.last.to_mm,
          head_mm: way.profile.head_mm + way.profile.level_mm, pocket_ml: way.turned ? 0.0 : way.profile.pocket_ml,
          way: way).freeze
      end

      def leg_of(leg, start, fluid)
        rise = leg.rise_mm <=> 0
        Leg.new(line: leg.line, from_mm: leg.from.at_mm - start, to_mm: leg.to.at_mm - start,
          from_height_mm: leg.from.height_mm, to_height_mm: leg.to.height_mm,
          area_mm2: Hydraulics::Geometry.area_mm2(leg.bore_mm), bore_mm: leg.bore_mm, rise: rise,
          drift_mm_s: leg.bubble(fluid).drift_mm_s).freeze
      end
    end
  end
end
