# frozen_string_literal: true

module Sandbag
  module Choose
    # Whether a fluid may go where another class is stamped (practice 2.7).
    module FluidChoice
      # @return [String, nil] why not; nil when it may
      def self.refusal(fluid_id, stamped_id)
        fluid, stamped = [fluid_id, stamped_id].map { |id| Knowledge.find("fluids", id) }
        if fluid["family"] != stamped["family"]
          "#{fluid["label"]} is #{fluid["family"]}; the cap says #{stamped["label"]}, which is #{stamped["family"]}"
        elsif fluid["rank"] && fluid["rank"] < stamped["rank"]
          "#{fluid["label"]} is a lower class than the cap's #{stamped["label"]}"
        end
      end

      # @return [Array<Hash>] fluids that may go in where a class is stamped
      def self.allowed(stamped_id)
        Knowledge.table("fluids").select { |fluid| refusal(fluid["id"], stamped_id).nil? }
      end
    end
  end
end
