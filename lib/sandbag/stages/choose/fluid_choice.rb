# frozen_string_literal: true

module Sandbag
  module Choose
    # Whether a fluid may go where another class is stamped (docs/trade.md 2.7).
    module FluidChoice
      # @param abs [Boolean] ABS is fitted, or may be
      # @return [String, nil] why not; nil when it may
      def self.refusal(fluid_id, stamped_id, abs: false)
        fluid, stamped = [fluid_id, stamped_id].map { |id| Tables.find("fluids", id) }
        if fluid["family"] != stamped["family"]
          "#{fluid["label"]} is #{fluid["family"]}; the cap says #{stamped["label"]}, which is " \
            "#{stamped["family"]}#{"; silicone and ABS do not go together" if abs && fluid["family"] == "silicone"}"
        elsif fluid["rank"] && fluid["rank"] < stamped["rank"]
          "#{fluid["label"]} is a lower class than the cap's #{stamped["label"]}"
        end
      end

      # @return [Array<Hash>] fluids that may go in where a class is stamped
      def self.allowed(stamped_id)
        Tables.rows("fluids").select { |fluid| refusal(fluid["id"], stamped_id).nil? }
      end

      # Every class against the one stamped, with the reason.
      # @param cold [Boolean] the machine works in the cold
      # @return [Array<Hash>] id, label, family, allowed, why, cold
      def self.judged(stamped_id, abs:, cold: false)
        Tables
          .rows("fluids")
          .map do |fluid|
            refusal = refusal(fluid["id"], stamped_id, abs: abs)
            {
              id: fluid["id"],
              label: fluid["label"],
              family: fluid["family"],
              allowed: refusal.nil?,
              why: refusal || reason(fluid, Tables.find("fluids", stamped_id)),
              cold: (cold_said(fluid) if cold && refusal.nil?)
            }.compact
          end
      end

      # What has to be said beside the choice: two numbers that look alike, another fluid in it, silicone with ABS.
      # @param found_id [String] what seems to be in the circuit, or unknown
      # @return [Array<String>]
      def self.notes(stamped_id, found_id, abs:)
        stamped, found = [stamped_id, found_id].map { |id| Tables.find("fluids", id) }
        [
          if %w[dot51 dot5].include?(stamped_id)
            "5 and 5.1 are not neighbours: 5.1 is glycol, 5 is silicone, and each ruins the other's seals."
          end,
          if abs && stamped["family"] == "silicone"
            "Silicone where ABS is or may be fitted: only because the machine's maker marked it so."
          end,
          (conversion(stamped, found) if found && found["family"] != stamped["family"]),
          if found && found["rank"] && stamped["rank"] && found["rank"] < stamped["rank"]
            "#{found["label"]} is in it: a mix counts as the lowest class until it is flushed in full."
          end,
          ("Only the brake maker's own oil, of the same grade." if stamped["family"] == "mineral")
        ].compact
      end

      def self.reason(fluid, stamped)
        return "the class on the cap" if fluid["id"] == stamped["id"]
        "a higher class of the same family: if the service information does not forbid it"
      end

      # °C at which a family's usual viscosity is told beside the class's own limit at −40 °C.
      COLD_C = -20.0

      # @param fluid [Hash] row of fluids.yml
      # @return [String] how thick it gets
      def self.cold_said(fluid)
        flow = Fluid::FlowingFluid.of(fluid["family"], celsius: COLD_C)
        usual = (flow.viscosity_pa_s / flow.density_kg_m3 * 1e6).round(-1)
        limit = fluid["cold_mm2_s"]
        most = limit ? "the class allows #{limit} mm²/s at −40 °C" : "at −40 °C only its maker knows"
        "In the cold: #{most}; about #{usual} mm²/s at −20 °C, by its family."
      end

      def self.conversion(stamped, found)
        "#{found["label"]} is in it and #{stamped["label"]} belongs in it: every seal and hose that was wetted is " \
          "renewed, the metal cleaned, and the whole circuit flushed. Stop and find out first."
      end
      private_class_method :reason, :cold_said, :conversion
    end
  end
end
