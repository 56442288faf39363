# frozen_string_literal: true

module Sandbag
  module Feel
    # Static hold: steady pull for 60 s (docs/trade.md 8.1, docs/physics.md 7).
    module HoldCheck
      CREEP_LIMIT_MM = 2.0

      # @param control [Hash] row of controls.yml
      # @return [Hash] creep_mm, limit_mm, pass, why
      def self.of(creep_mm, control)
        pass = creep_mm <= CREEP_LIMIT_MM
        why =
          if pass
            "The #{control["noun"]} holds."
          else
            "The #{control["noun"]} creeps: a seal lets fluid past, or something leaks. No release."
          end
        {creep_mm: creep_mm, limit_mm: CREEP_LIMIT_MM, pass: pass, why: why}
      end
    end
  end
end
