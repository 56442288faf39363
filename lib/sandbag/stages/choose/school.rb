# frozen_string_literal: true

module Sandbag
  module Choose
    # How a shop ranks cylinders (docs/physics.md 4). Effort and travel is the default, since a ratio knows nothing of
    # hose, pads or lever.
    class School
      IDS = %w[effort_travel ratio_band].freeze
      # Volume ratios within this of the band's middle are as good as on it.
      DEFAULT_BAND = [20.0, 30.0].freeze

      attr_reader :id, :band

      # @param band [Array(Float, Float)] volume ratios the shop likes
      # Refuses an unknown school and a band that ends before it starts.
      def initialize(id: IDS.first, band: DEFAULT_BAND)
        raise Refusal.at("school", "there is no school “#{id}”", IDS.join(", ")) unless IDS.include?(id)
        unless band[0] < band[1]
          raise Refusal.at(
            "band",
            "a band from #{band[0]} to #{band[1]} holds nothing",
            "a lower figure, then a higher one"
          )
        end
        @id = id
        @band = band.map(&:to_f).freeze
        freeze
      end

      # Distance from what is wanted, 0 for spot on; about 1 at the edge of what is tolerated.
      # @param figures [Hash] of Candidate#at; @param target [Hash] values of the sheet's target part
      def distance(figures, target)
        (id == "ratio_band") ? ratio_distance(figures[:volume_ratio]) : wish_distance(figures, target)
      end

      # @return [Hash] the knowledge row a volume ratio falls in
      def self.band_of(volume_ratio)
        Tables.rows("ratio_bands").find { |row| volume_ratio >= row["from"] && volume_ratio < row["to"] } ||
          Tables.rows("ratio_bands").last
      end

      private

      def ratio_distance(ratio)
        middle = band.sum / 2
        (ratio - middle).abs / (band[1] - middle)
      end

      def wish_distance(figures, target)
        Math.hypot((figures[:force_n] - target["effort"]) / target["effort_tolerance"],
          (figures[:travel_mm] - target["travel"]) / target["travel_tolerance"])
      end
    end
  end
end
