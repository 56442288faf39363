# frozen_string_literal: true

module Sandbag
  module Feel
    # The sentence beside a verdict.
    module Reason
      def self.of(id, verdict)
        case id
        when "pass"
          "Air costs #{cost(verdict)} of #{travel(verdict)}. That is clear of air within the error."
        when "marginal"
          "Air costs #{cost(verdict)} of #{travel(verdict)}: near the limit. Another round, or more readings."
        when "bleed_again"
          "Air costs #{cost(verdict)} of #{travel(verdict)}. Bleed again."
        when "cant_tell"
          cannot_tell(verdict)
        end
      end

      def self.cost(verdict)
        low, high = verdict.cost_interval_mm
        "#{Said.mm(verdict.cost_mm)} (#{Said.mm(low, bare: true)} to #{Said.mm(high)})"
      end

      def self.travel(verdict)
        "#{verdict.noun} travel"
      end

      def self.cannot_tell(verdict)
        forces = verdict.forces_to_add
        return "The readings scatter too much to say. Read each force again, slowly." if forces.empty?
        "Air and dead travel only part at a light #{verdict.press}. Add readings below " \
          "#{Said.n(verdict.low_ceiling_n.floor)}: try #{forces.map { |force| Said.n(force) }.join(", ")}."
      end
      private_class_method :cost, :travel, :cannot_tell
    end
  end
end
