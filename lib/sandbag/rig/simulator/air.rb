# frozen_string_literal: true

module Sandbag
  module Rig
    # The air of a simulated circuit: where each slug is, how flow and its own rise move it, and where it comes in and
    # goes out (docs/physics.md 6). None comes from nowhere and none goes nowhere.
    class Air
      # A slug this near to the master's outlet is under the open port, mm.
      AT_PORT_MM = 2.0
      # What comes in this near to a slug joins it, mm.
      NEAR_MM = 15.0
      # Small bubbles that tapping shakes loose rise by this where a slug is arrested, mm/s. [default]
      TAPPED_MM_S = 8.0
      # Froth: a slug larger than this falls into so many parts, over so much of its line, of bubbles of this diameter;
      # they rise by themselves whatever the bore (docs/physics.md 6), and join again in so many seconds. [default]
      FROTH_ML, FROTH_PARTS, FROTH_MM, FINE_MM, TOGETHER_S = 0.02, 5, 60.0, 0.3, 120.0

      # A far end takes in so much, and gives it back, mL: air goes as far past the end of its line. [default]
      END_ML = 5.0

      # out_ml, in_ml: what has gone out and come in since the start
      attr_reader :slugs, :out_ml, :in_ml

      # @param slugs [Array<Slug>]; fluid [Fluid::FlowingFluid] they are in
      def initialize(slugs, fluid)
        @fine_mm_s = Hydraulics::Bubble.small_rise_mm_s(FINE_MM, fluid)
        @slugs = []
        @born = 0
        @out_ml = @in_ml = 0.0
        slugs.each { |slug| add(slug.ml, slug.path, slug.at_mm) }
      end

      # @return [Float] mL, as it would be outside
      def ml
        slugs.sum(&:ml)
      end

      # @return [Air] the same, to go on from apart
      def copy
        dup.tap { |other| other.instance_variable_set(:@slugs, slugs.map(&:dup)) }
      end

      # Comes in at a place of a way.
      def enter(ml, path, at_mm)
        @in_ml += ml
        near = slugs.find { |slug| slug.path == path && (slug.at_mm - at_mm).abs < NEAR_MM }
        near ? near.ml += ml : add(ml, path, at_mm)
      end

      # Goes out at the nipple of a way, as far as it stands there.
      # @param most_ml [Float] that passes the nipple; kept_ml [Float] that the cavity keeps
      # @return [Float] mL that went
      def leave(path, end_mm, most_ml, kept_ml)
        there = slugs.select { |slug| slug.path == path && slug.at_mm >= end_mm - 1e-6 }
        take(there, (there.sum(&:ml) - kept_ml).clamp(0.0, most_ml))
      end

      # Goes up through the open port.
      # @return [Float] mL that went
      def rise_out(most_ml)
        take(slugs.select { |slug| slug.at_mm <= AT_PORT_MM }, most_ml)
      end

      # Air bears no column: what it takes off the head of a way, or adds where it stands in a piece that climbs. In a
      # vacuum it is larger, the more so the nearer it is to the nipple.
      # @param index [Integer] of the way; path [Plumbing::Path]; vacuum_mpa [Float] at the nipple
      # @return [Float] mm
      def head_lost_mm(index, path, vacuum_mpa = 0.0)
        slugs.select { |slug| slug.path == index }.sum do |slug|
          leg = path.leg_at(slug.at_mm)
          long_mm = leg.to_mm - leg.from_mm
          ml = slug.ml / Air.thinned(vacuum_mpa * [slug.at_mm / path.length_mm, 1.0].min)
          (leg.from_height_mm - leg.to_height_mm) / long_mm * [1000 * ml / leg.area_mm2, long_mm].min
        end
      end

      # Boyle's law: what a millilitre of air in a vacuum is outside.
      # @param vacuum_mpa [Float] below the air outside; Hands draw no more than 0.1
      # @return [Float] mL
      def self.thinned(vacuum_mpa)
        1 - vacuum_mpa / ATMOSPHERE_MPA
      end

      # @param paths [Array<Plumbing::Path>]; flows [Array<Float>] mL/s outward on each
      # @param tapped [Boolean]; seconds [Float] that pass
      def move(paths, flows, tapped:, seconds:)
        in_line = Hash.new { |known, line| known[line] = flow_in(line, paths, flows) }
        slugs.each { |slug| slug.at_mm = moved(slug, paths[slug.path], in_line, tapped, seconds) }
        merge
      end

      # Every slug that is large enough becomes small bubbles, up and down its line.
      # @param paths [Array<Plumbing::Path>]
      def froth(paths)
        broken, @slugs = slugs.partition { |slug| !slug.fine && slug.ml > FROTH_ML }
        broken.each do |slug|
          FROTH_PARTS.times do |part|
            at = slug.at_mm + FROTH_MM * (part.fdiv(FROTH_PARTS - 1) - 0.5)
            add(slug.ml / FROTH_PARTS, slug.path, at.clamp(0.0, paths[slug.path].length_mm), fine: true)
          end
        end
      end

      # Small bubbles have found together.
      def settle
        slugs.each { |slug| slug.fine = false }
      end

      private

      def add(ml, path, at_mm, fine: false)
        slugs << Slug.new(id: @born += 1, ml: ml, path: path, at_mm: at_mm, fine: fine)
      end

      def take(from, ml)
        left = ml
        from.each do |slug|
          gone = [slug.ml, left].min
          slug.ml -= gone
          left -= gone
        end
        slugs.reject! { |slug| slug.ml <= 0 }
        @out_ml += ml - left
        ml - left
      end

      def moved(slug, path, in_line, tapped, seconds)
        leg = path.leg_at(slug.at_mm)
        flow = in_line[leg.line]
        nose = slug.fine ? 1.0 : Hydraulics::Bubble::NOSE
        speed = nose * 1000 * flow / leg.area_mm2 + leg.rise * drift(slug, leg, tapped)
        at = (slug.at_mm + speed * seconds).clamp(0.0, path.length_mm + END_ML * 1000 / path.legs.last.area_mm2)
        # the top of a leg holds a slug that only drifts
        (flow.zero? && leg.rise.positive? && slug.at_mm <= leg.to_mm) ? [at, leg.to_mm].min : at
      end

      def drift(slug, leg, tapped)
        return @fine_mm_s if slug.fine
        (leg.drift_mm_s.zero? && tapped) ? TAPPED_MM_S : leg.drift_mm_s
      end

      # Ways that share a line share its flow.
      def flow_in(line, paths, flows)
        paths.each_with_index.sum { |path, index| (path.legs.any? { |leg| leg.line == line }) ? flows[index] : 0.0 }
      end

      def merge
        return if slugs.size < 2
        slugs.group_by { |slug| [slug.path, slug.at_mm.round] }.each_value do |together|
          first, *rest = together
          next if rest.empty?
          first.ml += rest.sum(&:ml)
          slugs.reject! { |slug| rest.any? { |each| each.equal?(slug) } }
        end
      end
    end
  end
end
