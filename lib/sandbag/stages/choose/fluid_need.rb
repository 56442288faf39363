# frozen_string_literal: true

module Sandbag
  module Choose
    # Millilitres to have on the bench before a job starts (docs/physics.md 5).
    module FluidNeed
      SPARE = 0.2
      # mL of the spare that a job does without, rather than open another bottle for them. [default]
      TRIM_ML = 5.0

      # @param plan [Airway::Plan]
      # @param drained [Boolean] the circuit is opened and has to be filled again
      # @param method [Hash] row of bleed_methods.yml: what it leaves in hose, jar and syringes, and what it cannot
      #   begin with less than
      # @return [Hash] total_ml and the lines it is made of
      def self.of(plan, drained:, method:)
        lines = [
          {label: "Reservoir to its level, emptied first", ml: plan.reservoir_total_ml},
          *plan.points.map { |point| {label: "Through #{point.label}", ml: point.flush_ml} },
          {label: "Hose, jar and priming: #{Wording.inside(method["label"])}", ml: method["waste_ml"].to_f}
        ]
        lines.unshift({label: "Fill of the drained circuit", ml: plan.circuit_ml}) if drained
        spare_ml = SPARE * lines.sum { |line| line[:ml] }
        lines << {label: "Spare, #{(SPARE * 100).round} %", ml: spare_ml}
        missing_ml = method.fetch("least_ml", 0) - lines.sum { |line| line[:ml] }
        lines << {label: "To fill both syringes", ml: missing_ml} if missing_ml.positive?
        {total_ml: lines.sum { |line| line[:ml] }, lines: lines}
      end
    end
  end
end
