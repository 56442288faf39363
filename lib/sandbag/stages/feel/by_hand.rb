# frozen_string_literal: true

module Sandbag
  module Feel
    # A brake's lever judged without a gauge (docs/trade.md 8.1 and 9.3): one firm squeeze, first pull against fifth,
    # travel as a share of the free gap, creep, return and drag, each by a hand, a ruler or a clock; and what its
    # springiness says of air, with the doubt that a hand has.
    class ByHand
      # Of a lever's free gap, from rest to firm, per cent. [default] docs/trade.md 8.1
      TRAVEL_LEAST = Tables::Figures.value("travel_least").to_f
      TRAVEL_MOST = Tables::Figures.value("travel_most").to_f

      # @attr id, label [String]; good [Boolean, nil] nil while it is not judged; said [String, nil]
      Item = Struct.new(:id, :label, :good, :said, keyword_init: true)

      # @param feel [Stage]
      # @param squeezes [Array<Job::Entry>] travel at a light and at a firm pull, and the free gap, newest last
      def initialize(feel, squeezes)
        @feel = feel
        @squeezes = squeezes
        freeze
      end

      # @return [Array<Item>] in the order of the trade
      def items
        [squeeze, pump, travel, hold, tried("return_time"), tried("residual_drag")].compact
      end

      # @return [Springiness, nil] of the newest squeeze
      def springiness
        data = @squeezes.last&.data
        data && Springiness.new(@feel.circuit, light_mm: mean("light"), firm_mm: mean("firm"),
          error_mm: @feel.ruler_error_mm / Math.sqrt(@squeezes.size), reference_mpa: @feel.reference_mpa)
      end

      def begun?
        @squeezes.any?
      end

      # Something was judged, and is not good.
      def bad?
        items.any? { |item| item.good == false } || (begun? && springy?)
      end

      # Everything is judged, nothing is bad, and it is not springy by more than the doubt.
      def passed?
        items.all?(&:good) && !springiness.nil? && !springy?
      end

      # @return [String, nil] what is judged next, or what is bad
      def wanted
        bad = items.find { |item| item.good == false }
        return "#{Wording.inside(bad.label)}: #{bad.said}" if bad
        return "travel at a light pull and at a firm one" unless springiness
        return Wording.inside(springiness.to_h[:why]) if springy?
        open = items.find { |item| item.good.nil? }
        open && Wording.inside(open.label)
      end

      def to_h
        {
          items: items.map { |item| item.to_h.compact }, springiness: springiness&.to_h, passed: passed?,
          wanted: wanted, light_n: Springiness.light_n(@feel.circuit), firm_n: @feel.circuit.kind.firm_n,
          gap_wanted: bar?, squeezes: @squeezes.size
        }.compact
      end

      # Refuses a bar lever's squeeze without its free gap, travel over it, and what Springiness refuses.
      def admit(data)
        if bar? && data["gap"].nil?
          raise Refusal.at("gap", "the free gap is missing", "mm from the lever at rest to the grip")
        end
        if data["gap"] && data["firm"] > data["gap"]
          raise Refusal.at("firm", "further than the lever can go", "#{Said.mm(data["gap"], "g")} or less")
        end
        Springiness.check(*data.values_at("light", "firm"))
      end

      private

      def bar?
        @feel.job.sheet.kind.has?("bar")
      end

      def springy?
        springiness.id == "springy"
      end

      def mean(name)
        @squeezes.sum { |entry| entry.data[name] } / @squeezes.size
      end

      def squeeze
        tried(bar? ? "firm_squeeze" : "firm_press")
      end

      def tried(id)
        test = @feel.tests.find(id) or return
        Item.new(id: id, label: test.row["label"], good: (test.good? unless test.answer.nil?),
          said: test.answer && test.row["answers"].fetch(test.answer))
      end

      def pump
        found = @feel.pump&.to_h
        Item.new(id: "pump", label: "First pull against the fifth", good: found && found[:pass],
          said: found && "#{Said.mm([found[:gain_mm], 0].max)} gained, #{Said.mm(found[:limit_mm], "g")} allowed")
      end

      # A pedal has no grip to be measured from: its travel at the tip is a test of its own.
      def travel
        return tried("pedal_tip") unless bar?
        data = @squeezes.last&.data
        share = data && 100 * data["firm"] / data["gap"]
        Item.new(id: "travel", label: "Travel from rest to firm", good: share&.between?(TRAVEL_LEAST, TRAVEL_MOST),
          said: share && "#{share.round} % of the free gap, #{TRAVEL_LEAST.round} to #{TRAVEL_MOST.round} % allowed")
      end

      def hold
        found = @feel.hold
        Item.new(id: "hold", label: "Hold for #{Tables::Figures.said("hold_time")}", good: found && found[:pass],
          said: found && found[:why])
      end
    end
  end
end
