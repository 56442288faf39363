# frozen_string_literal: true

module Sandbag
  module Measure
    # What was seen and gauged of one unit, and what becomes of it. A caliper with pistons of two sizes is gauged at
    # each.
    class UnitReport
      PISTONS = %w[piston cal_piston].freeze

      attr_reader :unit, :inspection, :gaugings

      # @param unit [Cylinder::OnBench]; entries [Job::Entries] of measure
      # @param strip [Strip::Stage]; looked [Array<String>, nil] see Inspection
      def initialize(unit, entries, strip, looked: nil)
        @unit = unit
        @entries = entries
        @strip = strip
        found = entries.by("finding", "check").transform_values { |data| data["value"] }
        @inspection = Inspection.new(found, strip.tray, unit, ever: looked)
        @gaugings = unit.sizes.map { |size| gauging(size) }.freeze
        @verdict = judged
        freeze
      end

      # @return [Verdict]
      attr_reader :verdict

      # Nothing more is decided about it.
      def settled?
        whole? || verdict.settled?
      end

      # It was past use and goes on as a new one.
      def whole?
        !unit.at.nil? && @entries.values("whole", "unit").include?(unit.at)
      end

      # The old piston is not judged where a new one goes in.
      def fresh?
        @entries.values("renewed", "part").intersect?(PISTONS.map { |part| unit.named(part) })
      end

      # Limits say nothing of a nominal that is not proven; a spring is judged all the same.
      # @return [Array<Judgement>]
      def judgements
        (unit.unproven ? [] : gaugings.flat_map(&:judgements)) + spring
      end

      # @return [Array<Array(Judgement, Float)>] with the size of the pistons they are of; nil where there is one size
      def sized_judgements
        return judgements.map { |judgement| [judgement, nil] } if gaugings.one? || unit.unproven
        gaugings.flat_map { |gauging| gauging.judgements.map { |each| [each, gauging.limits.nominal_mm] } }
      end

      # @return [Array<Gauging::Place>] still to be read
      def gauge_missing
        by_eye? ? [] : gaugings.flat_map(&:missing)
      end

      # A call stands for the readings it was made on.
      # @return [Hash, nil] verdict and reason
      def called
        since = @entries.of("gauge").reverse_each.find { |entry| places.include?(entry.data["place"]) }&.position.to_i
        called = @entries.of("called").select { |entry| entry.position > since && entry.data["unit"] == unit.at }
        called.last&.data
      end

      private

      def gauging(size)
        sized = Said.mm(size, "g") if unit.sizes.size > 1
        Gauging.new(readings, limits(size), places: gauge_places, piston: !fresh? && !piston_condemned?, size: sized,
          named: [(format("%g", size) if sized), unit.at].compact,
          at: [sized, (unit.label if unit.at)].compact.join(", "))
      end

      # What is past use by eye is not gauged.
      def gauge_places
        inspection.with(Inspection::UNIT).any? ? [] : unit.construction.gauge_places
      end

      def piston_condemned?
        inspection.with("renew").any? { |look| look.row["parts"].intersect?(PISTONS) }
      end

      def limits(size)
        entered = @entries.of("limits").select { |entry| entry.data["unit"] == unit.at && of_size?(entry, size) }
        Cylinder::WearLimits.new(size, entered.reduce({}) { |all, entry| all.merge(entry.data.except("unit", "size")) })
      end

      def of_size?(entry, size)
        unit.sizes.size == 1 || entry.data["size"] == size
      end

      def readings
        @entries.of("gauge").to_h do |entry|
          place, value, gauge = entry.data.values_at("place", "value", "gauge")
          gauge = Tables.find("gauges", gauge)
          [place, Gauging::Reading.new(entry: entry.id, place: place, value_mm: value, gauge: gauge)]
        end
      end

      def places
        gaugings.flat_map(&:wanted).map(&:id)
      end

      def spring
        said = @entries.said("spring")
        sprung = unit.construction.parts.any? { |row| %w[spring sc_spring].include?(row["id"]) }
        (said && sprung) ? [SpringLength.judge(*said.values_at("free", "new"))] : []
      end

      def by_eye?
        @entries.of("by_eye").any?
      end

      def judged
        Verdict.new(inspection, judgements, missing: missing, given_up: @strip.given_up?(unit), called: called,
          fresh: @entries.values("renewed", "part"), unit: unit)
      end

      # @return [Array<String>] what is still to be looked at, read or said
      def missing
        looks = inspection.open.map do |look|
          look.value ? "#{look.label}: clean it and look again." : "#{look.label}: not looked at."
        end
        [*nominal_missing, *looks, *gauges_missing]
      end

      # Settled before anything that is judged by it.
      def nominal_missing
        return [] if by_eye? || unit.unproven.nil? || gaugings.all? { |gauging| gauging.wanted.empty? }
        ["The nominal bore is not proven, so no limit applies: #{unit.unproven}"]
      end

      def gauges_missing
        left = unit.unproven ? [] : gauge_missing
        left.empty? ? [] : ["#{left.size} gauge readings to go, next: #{Wording.inside(left.first.label)}."]
      end
    end
  end
end
