# frozen_string_literal: true

module Sandbag
  module Cylinder
    # How far a bore and its piston may wear (docs/physics.md 8): the unit's own figures where entered, else ISO 286
    # H9 and f8 and about 0.012 mm beyond. [default]
    class WearLimits
      NAMES = %w[bore_limit piston_limit clearance_limit round_limit].freeze

      attr_reader :nominal_mm, :bore_new, :piston_new, :bore_limit, :piston_limit, :clearance_limit, :round_limit

      # @param nominal_mm [Float]
      # @param entered [Hash{String => Float}] limits by name, from the service information
      # Refuses a nominal that no table knows.
      def initialize(nominal_mm, entered = {})
        row = Tables.rows("wear_limits").find { |each| nominal_mm > each["over"] && nominal_mm <= each["up_to"] }
        raise Refusal.at("bore", "no limits are known for a bore of #{nominal_mm} mm", "over 3 to 80 mm") unless row
        @nominal_mm = nominal_mm
        @bore_new = row["bore_new"].map { |edge| nominal_mm + edge }.freeze
        @piston_new = row["piston_new"].map { |edge| nominal_mm + edge }.freeze
        @entered = entered
        @bore_limit = entered.fetch("bore_limit") { nominal_mm + row["bore_limit"] }
        @piston_limit = entered.fetch("piston_limit") { nominal_mm + row["piston_limit"] }
        @clearance_limit = entered.fetch("clearance_limit") { row["clearance"] }
        @round_limit = entered.fetch("round_limit") { row["out_of_round"] }
        freeze
      end

      # @return [String] where a limit comes from
      def source(name)
        @entered.key?(name) ? "service_info" : Circuit::Source::DEFAULT
      end

      def to_h
        {
          nominal_mm: nominal_mm,
          bore_new: bore_new,
          piston_new: piston_new,
          sources: NAMES.to_h { |name| [name, source(name)] },
          **NAMES.to_h { |name| [name.to_sym, public_send(name)] }
        }
      end
    end
  end
end
