# frozen_string_literal: true

module Sandbag
  module Fluid
    # A fluid family as it flows: density, viscosity at a temperature, surface tension (docs/physics.md 6).
    class FlowingFluid
      extend Measures

      measures :density_kg_m3, :viscosity_pa_s, :tension_n_m

      # @param family [String] glycol, silicone or mineral
      # @param celsius [Float] of the fluid in the shop
      # @return [FlowingFluid]
      def self.of(family, celsius: 20.0)
        row = Tables.find("flow_properties", family) ||
          raise(Refusal.at("fluid", "#{family} has no figures of flow", FAMILIES.join(", ")))
        new(density_kg_m3: row["density"], viscosity_pa_s: row["viscosity"] * factor(family, celsius),
          tension_n_m: row["tension"])
      end

      # Log-linear between the points of the table; beyond them it goes on as between the last two.
      # @return [Float] viscosity over that at 20 °C
      def self.factor(family, celsius)
        rows = Tables.rows("viscosity_factors").group_by { |row| row["family"] }
        points = (rows[family] || rows[nil]).map { |row| [row["celsius"].to_f, Math.log(row["factor"])] }
        pairs = points.each_cons(2).to_a
        low, high = pairs.find { |_, upper| celsius <= upper[0] } || pairs.last
        share = (celsius - low[0]) / (high[0] - low[0])
        Math.exp(low[1] + share * (high[1] - low[1]))
      end
      private_class_method :factor
    end
  end
end
