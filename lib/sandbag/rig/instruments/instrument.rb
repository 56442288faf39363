# frozen_string_literal: true

module Sandbag
  module Rig
    # One simulated instrument: the truth, its own seeded noise, and steps no finer than its display.
    class Instrument
      # id => name, unit, standard deviation of a reading, step of the display, and what it claims for itself
      KINDS = {
        "moisture_pen" => {name: "moisture pen", unit: "%", noise: 0.12, step: 0.1, uncertainty: 0.25},
        "bore_gauge" => {name: "bore gauge", unit: "mm", noise: 0.0015, step: 0.001, uncertainty: 0.005},
        "micrometer" => {name: "micrometer", unit: "mm", noise: 0.0015, step: 0.001, uncertainty: 0.005},
        "torque_wrench" => {name: "torque wrench", unit: "N·m", noise: 0.02, step: 0.1, uncertainty: 0.04},
        "continuity_meter" => {name: "continuity meter", unit: "Ω", noise: 0.02, step: 0.1, uncertainty: 0.1},
        "caliper" => {name: "sliding caliper", unit: "mm", noise: 0.006, step: 0.01, uncertainty: 0.02}
      }.freeze

      # @param id [String] of KINDS
      # @param seed [String] a different one for each reading that is taken
      def initialize(id, seed:)
        @kind =
          KINDS.fetch(id) { raise Refusal.at("instrument", "there is no stand-in for “#{id}”", KINDS.keys.join(", ")) }
        @seed = seed
        freeze
      end

      # @param truth [Float] what is there
      # @return [Hash] value, unit, uncertainty, instrument, simulated
      def read(truth)
        random = Rig.random(@seed)
        step = @kind[:step]
        value = ((truth + @kind[:noise] * Rig.noise(random)) / step).round * step
        {
          value: [value, 0.0].max.round(4),
          unit: @kind[:unit],
          uncertainty: @kind[:uncertainty],
          instrument: @kind[:name],
          simulated: true
        }
      end
    end
  end
end
