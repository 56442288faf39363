# frozen_string_literal: true

module Sandbag
  module Fastening
    # What a fastener is tightened to, N·m, and where that comes from (docs/trade.md 6.2).
    class TorqueRange
      # A single service figure is met within this share of it. [default]
      TOLERANCE = 0.10
      # A wrench is not trusted below this share of its full scale (docs/physics.md 9).
      LOWEST_SHARE = 0.2

      extend Attributes

      # aim: the figure to set, N·m; ceiling: never passed; source: service_info or default
      attributes :from, :to, :aim, :ceiling, :source

      # @param figures [Array<Float>] one, or lowest and highest
      # @return [TorqueRange] of the machine's own service information
      def self.service(figures)
        low, high = figures.minmax
        low, high = low * (1 - TOLERANCE), high * (1 + TOLERANCE) if figures.one?
        new(from: low, to: high, aim: figures.sum / figures.size, source: "service_info")
      end

      # @param row [Hash] of torques.yml
      # @return [TorqueRange, nil] the trade's default; nil where there is none
      def self.default(row)
        return unless row["from"]
        new(from: row["from"], to: row["to"], aim: row["aim"], ceiling: row["ceiling"], source: Circuit::Source::DEFAULT)
      end

      # Refuses a range that ends before it starts.
      def initialize(from:, to:, source:, aim: nil, ceiling: nil)
        @from = Measures.finite("from", from)
        @to = Measures.finite("to", to)
        raise Refusal.at("to", "a range from #{from} to #{to} holds nothing", "the lower figure first") if @to < @from
        @aim = Measures.finite("aim", aim || (@from + @to) / 2)
        @ceiling = ceiling && Measures.finite("ceiling", ceiling)
        @source = source
        freeze
      end

      # @param torque_nm [Float]
      # @return [String] under, in or over
      def judge(torque_nm)
        return "under" if torque_nm < from
        (torque_nm > to) ? "over" : "in"
      end

      # @param unit [String] of torque
      # @return [String] the range in that unit
      def said(unit)
        low, high = [from, to].map { |figure| format("%.3g", Units.convert(figure, :torque, unit)) }
        "#{low} to #{high} #{unit}"
      end

      # @param scale_nm [Float] full scale of a wrench
      # @return [String, nil] why that wrench cannot be used
      def unfit(scale_nm)
        if aim > scale_nm
          return "#{Said.figure(aim, :torque, "g")} is over the end of a wrench that reads to " \
            "#{Said.figure(scale_nm, :torque, "g")}"
        end
        return unless aim < LOWEST_SHARE * scale_nm
        "#{Said.figure(aim, :torque, "g")} is under a fifth of a wrench that reads to " \
          "#{Said.figure(scale_nm, :torque, "g")}: it is not to be trusted there"
      end
    end
  end
end
