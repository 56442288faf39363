# frozen_string_literal: true

module Sandbag
  module Calendar
    # Days that a signed job writes into the circuit's record: what it renewed, tested or looked at.
    module SignedDays
      # @param state [Job::State] signed; day [String] ISO 8601
      # @return [Circuit::Sheet] the circuit with what the job chose and these days
      def self.written(state, day)
        of(state).reduce(state.sheet) do |sheet, (part_id, field)|
          sheet.change(part_id, field, day, "measured")
        end
      end

      # @return [Array<Array(String, String)>] part id and field
      def self.of(state)
        sheet, route = state.sheet, state.route
        fields = []
        fields << %w[fluid changed_on] if state.stages.key?("bleed")
        fields << %w[fluid tested_on] if state.choose.water_reading
        fields << %w[master seals_on] if route&.part == "master" || route&.renews?("cylinder")
        fields << %w[line fitted_on] if route&.renews?("hoses")
        fields << %w[slave looked_on] if route&.far_end?
        fields.flat_map { |part, field| sheet.parts_of(part).map { |each| [each["id"], field] } }
      end
      private_class_method :of
    end
  end
end
