# frozen_string_literal: true

module Sandbag
  module Ask
    # Minutes and money of a route (docs/trade.md 2.5, 2.10) at the shop's rate and prices, in the currency's minor
    # unit.
    class Estimate
      # Kit and labour over this share of unit and labour: offer the unit, the owner decides. [default]
      UNIT_FROM = 0.70
      ML = 100.0

      # @param route [Job::Route]
      # @param machine_kind [String] of machine_kinds.yml
      # @param need_ml [Float] fluid to have; @param shop [Shop]
      # @param times [Hash{String => Integer}] step or thing => how many times the job has it; once where it is not
      #   named; pace [Array<String>] see Minutes
      def initialize(route, machine_kind, need_ml, shop, times: {}, pace: [])
        @route = route
        @times = times
        @minutes = Minutes.new(route, machine_kind, times: times, pace: pace)
        @need_ml = need_ml
        @shop = shop
        freeze
      end

      def minutes
        @minutes.total
      end

      # @return [Integer] minor units
      def total_minor
        lines.sum { |line| line[:minor] }
      end

      # @return [Array<Hash>] label, minor
      def lines
        things = @route.things.map { |id| thing(id, @times.fetch(id, 1)) }
        [{label: "Labour, #{minutes} min", minor: (@shop.hourly_rate_minor * minutes / 60.0).round}, *things, *fluid]
      end

      def to_h
        {
          route: @route.id,
          label: @route.label,
          minutes: minutes,
          lines: lines,
          total_minor: total_minor,
          currency: @shop.currency
        }
      end

      # Kit against whole unit, both worked out: of the part the route takes apart, else of the master.
      # @param route [Job::Route, nil]
      # @return [Hash] kit, unit, share (absent where the unit costs nothing), advice
      def self.kit_or_unit(route, machine_kind, need_ml, shop, pace: [])
        kit = kit_route(route)
        kit, unit = [kit, Job::Route.find(kit.condemned)].map { |each|
          new(each, machine_kind, need_ml, shop, pace: pace)
        }
        share = kit.total_minor.to_f / unit.total_minor if unit.total_minor.positive?
        {kit: kit.to_h, unit: unit.to_h, share: share, advice: advice(share)}.compact
      end

      def self.kit_route(route)
        (route&.condemned && route) || Job::Route.apart("master")
      end

      def self.advice(share)
        return "Nothing is charged here: the bore decides." unless share
        if share > UNIT_FROM
          return "The kit costs #{(share * 100).round} % of the unit: offer the unit, the owner decides."
        end
        "The kit is cheaper if the bore passes."
      end

      private_class_method :kit_route, :advice

      private

      def thing(id, times)
        label = Tables.find("prices", id)["label"]
        {label: (times > 1) ? "#{label} × #{times}" : label, minor: @shop.prices.fetch(id) * times}
      end

      def fluid
        return [] unless @route.handles_fluid?
        [{label: "Fluid, #{Said.ml(@need_ml.ceil)}", minor: (@shop.prices.fetch("fluid_100ml") * @need_ml / ML).ceil}]
      end
    end
  end
end
