# frozen_string_literal: true

module Sandbag
  module Calendar
    # What a signed job writes into the circuit's record: the days of what it renewed, tested or looked at, how far the
    # pads are worn, and how thick the discs are.
    module SignedDays
      # @param state [Job::State] signed; day [String] ISO 8601
      # @return [Circuit::Sheet] the circuit with what the job chose and these days
      def self.written(state, day)
        dated = of(state).reduce(refilled(state)) do |sheet, (part_id, field)|
          sheet.change(part_id, field, day, "measured")
        end
        friction(state).reduce(dated) { |sheet, (part_id, field, mm)| sheet.change(part_id, field, mm, "measured") }
      end

      # @return [Array<Array(String, String, Float)>] caliper, field and mm: pads and discs
      def self.friction(state)
        pads(state).map { |part_id, worn_mm| [part_id, "pad_wear", worn_mm] } +
          state.close.measured_discs.flat_map { |part_id, figures|
            figures.map { |figure, mm| [part_id, Close::Discs::FIELDS.fetch(figure), mm] }
          }
      end

      # @return [Hash{String => Float}] caliper => mm that its pads are worn: as measured in this job, nothing where new
      #   ones were brought
      def self.pads(state)
        state.close.worn.merge(new_pads(state).to_h { |part_id| [part_id, 0.0] })
      end

      def self.new_pads(state)
        return [] if state.choose.pulled.none? { |entry| entry.data["line"] == "pads" }
        calipers = state.sheet.parts_of("caliper").map { |part| part["id"] }
        at = state.ask.where.at.map(&:at) & calipers
        at.any? ? at : calipers
      end

      # What is in it after a whole bleed is what was poured.
      def self.refilled(state)
        fluid = state.choose.fluid
        return state.sheet unless fluid && state.stages["bleed"]&.done?
        state.sheet.set("fluid", "found", fluid, "measured")
      end

      # @return [Array<Array(String, String)>] part id and field
      def self.of(state)
        sheet = state.sheet
        fields = []
        fields << [sheet.id_of("fluid"), "changed_on"] if state.stages["bleed"]&.done?
        fields << [sheet.id_of("fluid"), "tested_on"] if state.choose.water_tested
        fields << [sheet.id_of("master"), "seals_on"] if new_seals?(state)
        fields << [sheet.id_of("reservoir"), "diaphragm_on"] if new_lid_rubber?(state)
        fields += state.choose.new_hoses.map { |line| [line["id"], "fitted_on"] } if state.stages["fit"]&.done?
        fields + slaves_seen(state)
      end

      # @param state [Job::State] signed, of a job that added a cylinder
      # @return [Circuit::Sheet] the circuit that was there before, with the day of its new fluid
      def self.beside(state, day)
        state.ask.sheet.set("fluid", "changed_on", day, "measured")
      end

      # A cylinder that is together again has new seals in it; one that is new is on the machine.
      def self.new_seals?(state)
        route = state.route
        return state.stages["fit"]&.done? if route&.renews?("cylinder")
        route&.part == "master" && state.stages["build"]&.done?
      end

      # Diaphragm and lid gasket were brought to the bench for this job.
      def self.new_lid_rubber?(state)
        state.choose.pulled.any? { |entry| entry.data["line"] == "lid_rubber" }
      end

      def self.slaves_seen(state)
        state.ask.where.at.select { |place| place.part["part"] == "slave" && place.kind == "far_end" }
          .map { |place| [place.at, "looked_on"] }
      end
      private_class_method :of, :refilled, :friction, :pads, :new_pads, :new_seals?, :new_lid_rubber?, :slaves_seen
    end
  end
end
