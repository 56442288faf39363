# frozen_string_literal: true

module Sandbag
  module Measure
    # Gauge readings of bore and piston against the limits: largest bore, smallest piston, clearance, out of round,
    # taper (docs/physics.md 8).
    class Gauging
      # Where a gauge is held: id, label, and the row of gauge_places.yml.
      Place = Struct.new(:id, :label, :row, keyword_init: true)
      # @attr place [String] id of a Place; value_mm [Float]; gauge [Hash] row of gauges.yml
      Reading = Struct.new(:entry, :place, :value_mm, :gauge, keyword_init: true)

      # @param readings [Hash{String => Reading}] by place
      # @param limits [WearLimits]
      # @param piston [Boolean] the old piston is to be judged; a new one is not
      # @param places [Array<Hash>] rows of gauge_places.yml where this construction is gauged
      # @param named [Array<String>] what tells its places from those of other units and sizes; at [String] the same in
      #   words; size [String, nil] of its pistons, where there are several
      def initialize(readings, limits, places:, piston: true, named: [], at: "", size: nil)
        @limits = limits
        @piston = piston
        @size = size
        @places = places.map { |row| place_of(row, named, at) }.freeze
        @readings = readings.slice(*@places.map(&:id))
        freeze
      end

      attr_reader :limits

      # @return [Array<Place>] still to be read, in order
      def missing
        wanted.reject { |place| @readings.key?(place.id) }
      end

      # @return [Array<Place>]
      def wanted
        @places.select { |place| place.row["part"] == "bore" || @piston }
      end

      # @param place [Place]
      # @return [Reading, nil]
      def reading(place)
        @readings[place.id]
      end

      # @return [Array<Judgement>] as far as the readings go
      def judgements
        [bore, piston, clearance, *out_of_round].compact
      end

      # @return [Float, nil] mm between the means of the widest and the narrowest depth
      def taper_mm
        levels = values("bore").group_by { |reading| place(reading)["level"] }.values
        return unless levels.size > 1
        means = levels.map { |level| level.sum(&:value_mm) / level.size }
        means.max - means.min
      end

      private

      def place_of(row, named, at)
        label = at.empty? ? row["label"] : "#{row["label"]}: #{Wording.inside(at)}"
        Place.new(id: [row["id"], *named].join("@"), label: label, row: row).freeze
      end

      def place(reading)
        @places.find { |each| each.id == reading.place }.row
      end

      def named(label)
        @size ? "#{label}, #{@size}" : label
      end

      def values(part)
        @readings.values.select { |reading| place(reading)["part"] == part }
      end

      def uncertainty(readings)
        readings.map { |reading| reading.gauge["uncertainty"] }.max
      end

      def bore
        readings = values("bore")
        return if readings.empty?
        Judgement.new("bore", named("Largest bore"), readings.map(&:value_mm).max, @limits.bore_limit,
          uncertainty(readings), most: true, source: @limits.source("bore_limit"))
      end

      def piston
        readings = values("piston")
        return if readings.empty? || !@piston
        Judgement.new("piston", named("Smallest piston"), readings.map(&:value_mm).min, @limits.piston_limit,
          uncertainty(readings), most: false, source: @limits.source("piston_limit"))
      end

      # Two readings, each with its own uncertainty.
      def clearance
        return unless bore && piston
        Judgement.new(
          "clearance",
          named("Clearance"),
          bore.value_mm - piston.value_mm,
          @limits.clearance_limit,
          Math.hypot(bore.uncertainty_mm, piston.uncertainty_mm),
          most: true,
          source: @limits.source("clearance_limit")
        )
      end

      # The worst depth of the bore that was read in both directions.
      def out_of_round
        pairs = values("bore").group_by { |reading| place(reading)["level"] }.values.select { |pair| pair.size == 2 }
        return [] if pairs.empty?
        worst = pairs.max_by { |pair| spread(pair) }
        [
          Judgement.new(
            "out_of_round",
            named("Out of round"),
            spread(worst),
            @limits.round_limit,
            Math.hypot(*worst.map { |reading| reading.gauge["uncertainty"] }),
            most: true,
            source: @limits.source("round_limit")
          )
        ]
      end

      def spread(pair)
        (pair[0].value_mm - pair[1].value_mm).abs
      end
    end
  end
end
