# frozen_string_literal: true

module Sandbag
  module Ask
    # Conditions of a row, finding => values that meet it. They may name facts of the circuit, and what other stages
    # saw, too.
    module Conditions
      FACTS = {
        "side" => %w[brake clutch],
        "opens" => %w[nothing above below unit],
        "abs_stated" => %w[contradicted],
        "fluid_said" => %w[contradicted],
        "fluid_family" => %w[glycol silicone mineral],
        "hold_after_bleed" => %w[failed],
        "rubber_seen" => %w[swollen],
        "hose_seen" => %w[bulges],
        "pads_seen" => %w[wet]
      }.freeze
      # A finding nobody has looked for yet, where a condition has to say so.
      NOT_LOOKED = "unknown"

      # @return [String, nil] what is wrong with conditions
      def self.unknown(conditions)
        conditions.each do |key, values|
          known = FACTS[key] || values_of(key)
          return "names unknown finding #{key}" unless known
          odd = values - known - [NOT_LOOKED]
          return "names unknown value #{odd.join(", ")} of #{key}" if odd.any?
        end
        nil
      end

      def self.values_of(key)
        (Tables.find("findings", key) || Tables.find("intake", key))&.fetch("values")&.keys
      end
      private_class_method :values_of
    end
  end
end
