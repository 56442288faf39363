# frozen_string_literal: true

module Sandbag
  module Planner
    # What a cheap bleeding tool would have saved a shop, by the jobs on record: minutes at each point that another
    # method took longer over, at the shop's rate, against the price of the tool.
    class ToolWorth
      MONTHS = 12

      # @attr kind [String] of circuit_kinds.yml; method [String] of bleed_methods.yml; points [Integer] that were bled
      Bled = Struct.new(:kind, :method, :points, keyword_init: true)

      # @param bled [Array<Bled>] signed jobs of MONTHS; shop [Shop]
      def initialize(bled, shop)
        @bled = bled.select { |job| Circuit::Kind.find(job.kind) && Tables.find("bleed_methods", job.method) }
        @shop = shop
        freeze
      end

      # @return [Hash] jobs and points that were bled, and tools: id, label, price_minor, minutes, saved_minor, and
      #   months after which it has paid for itself; none where it saves nothing
      def to_h
        {jobs: @bled.size, points: @bled.sum(&:points), tools: methods.map { |row| worth(row) }}
      end

      private

      def methods
        Tables.rows("bleed_methods").select { |row| row["pays"] }
      end

      def worth(row)
        minutes = @bled.sum { |job| saved_minutes(job, row) }
        saved = (minutes * @shop.hourly_rate_minor / 60.0).round
        price = @shop.prices.fetch(row["pays"])
        {id: row["id"], label: row["label"], price_minor: price, minutes: minutes, saved_minor: saved,
         months: (saved.positive? ? (price.to_f * MONTHS / saved).ceil : nil)}.compact
      end

      # Nothing where this method is not for such a circuit, or is no quicker.
      def saved_minutes(job, row)
        return 0 unless Circuit::Kind.find(job.kind).suits?(row)
        [Tables.find("bleed_methods", job.method)["minutes"] - row["minutes"], 0].max * job.points
      end
    end
  end
end
