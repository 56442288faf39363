# frozen_string_literal: true

module Sandbag
  module Ask
    # Minutes and money of a route (practice 2.5, 2.10) at the shop's rate and prices, in the currency's minor unit.
    class Estimate
      # Kit and labour over this share of unit and labour: offer the unit, the owner decides. [default]
      UNIT_FROM = 0.70
      ML = 100.0

      # @param route_id [String]
      # @param machine_kind [String] of machine_kinds.yml
      # @param need_ml [Float] fluid to have; @param shop [Shop]
      def initialize(route_id, machine_kind, need_ml, shop)
        @work = Knowledge.find("route_work", route_id)
        @column = Knowledge::MACHINE_COLUMNS.include?(machine_kind) ? machine_kind : "motorcycle"
        @need_ml = need_ml
        @shop = shop
        freeze
      end

      def minutes
        @work["steps"].sum { |step| Knowledge.find("step_minutes", step)[@column] }
      end

      # @return [Integer] minor units
      def total_minor
        lines.sum { |line| line[:minor] }
      end

      # @return [Array<Hash>] label, minor
      def lines
        things = @work["things"].map { |id| {label: Knowledge.find("prices", id)["label"], minor: @shop.prices.fetch(id)} }
        [{label: "Labour, #{minutes} min", minor: (@shop.hourly_rate_minor * minutes / 60.0).round}, *things, *fluid]
      end

      def to_h
        {route: @work["id"], minutes: minutes, lines: lines, total_minor: total_minor, currency: @shop.currency}
      end

      # Kit against whole unit, both worked out.
      # @return [Hash] kit, unit, share, advice
      def self.kit_or_unit(machine_kind, need_ml, shop)
        kit, unit = %w[reseal_mc renew_mc].map { |route| new(route, machine_kind, need_ml, shop) }
        share = kit.total_minor.to_f / unit.total_minor
        advice = (share > UNIT_FROM) ? "The kit costs #{(share * 100).round} % of the unit: offer the unit, the owner decides." : "The kit is the cheaper way if the bore passes."
        {kit: kit.to_h, unit: unit.to_h, share: share, advice: advice}
      end

      private

      def fluid
        return [] if @work["fluid"] == "left"
        [{label: "Fluid, #{@need_ml.ceil} mL", minor: (@shop.prices.fetch("fluid_100ml") * @need_ml / ML).ceil}]
      end
    end
  end
end
