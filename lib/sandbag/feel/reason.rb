# frozen_string_literal: true

module Sandbag
  module Feel
    # The sentence beside a verdict.
    module Reason
      def self.of(id, verdict)
        case id
        when "pass" then "Air costs #{cost(verdict)} of lever. That is clear of air within the error."
        when "marginal" then "Air costs #{cost(verdict)} of lever: near the limit. Another round, or more readings."
        when "bleed_again" then "Air costs #{cost(verdict)} of lever. Bleed again."
        when "cant_tell" then cannot_tell(verdict)
        end
      end

      def self.cost(verdict)
        format("%.1f ± %.1f mm", verdict.cost_mm, verdict.cost_error_mm)
      end

      def self.cannot_tell(verdict)
        forces = verdict.forces_to_add
        return "The readings scatter too much to say. Read each force again, slowly." if forces.empty?
        "Air and dead travel only part at a light pull. Add readings below #{verdict.low_ceiling_n.floor} N: try #{forces.map { |force| "#{force.round} N" }.join(", ")}."
      end
      private_class_method :cost, :cannot_tell
    end
  end
end
