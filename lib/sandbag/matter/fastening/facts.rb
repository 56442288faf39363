# frozen_string_literal: true

module Sandbag
  module Fastening
    # What was seen or looked up at the fitting, taken into the circuit: what a bolt is made of, a service figure, the
    # way a hose runs now. Each is a value of the circuit, and goes into the machine's record with the signature.
    module Facts
      # part => fields that are seen here
      SEEN = {
        "lever" => %w[bar],
        "master" => %w[bleed_screw mount_thread bolt_material],
        "reservoir" => %w[shape port_offset],
        "line" => %w[bolt_material seals outside length high_spot],
        "caliper" => %w[bleed_screw nipple_thread bolt_material],
        "slave" => %w[nipple_thread bleed_banjo bolt_material]
      }.freeze

      # @param sheet [Circuit::Sheet]; entries [Job::Entries] of fit
      # @return [Circuit::Sheet]
      def self.apply(sheet, entries)
        entries.of("fact", "figure").reduce(sheet) { |changed, entry| taken(changed, entry) }
      end

      # @param fastener [String] id of a line of the torque list
      # @return [Array(String, String), nil] part and field where its service figure stands
      def self.figure_place(sheet, fastener)
        id, at = fastener.split(".", 2)
        row = Tables.find("fasteners", id)
        return unless row
        part = row["part"] ? sheet.parts_of(row["part"]).first : holder(sheet, row, at)
        part && [part["id"], row["field"]]
      end

      # The place's own part, or the hose or pipe that ends there.
      def self.holder(sheet, row, at)
        place = at && Circuit::Places.of(sheet).find_id("#{row["per"]}.#{at}")
        place && [place.part, *place.lines].find { |part| sheet.values(part).key?(row["field"]) }
      end

      # Refuses what is not seen at a fitting, and what the circuit refuses.
      # @param data [Hash] part, field, value
      def self.admit(sheet, data)
        part = sheet.part(data["part"])
        unless part && SEEN.fetch(part["part"], []).include?(data["field"])
          known = sheet.parts.flat_map { |each| SEEN.fetch(each["part"], []).map { |field| "#{each["id"]} #{field}" } }
          raise Refusal.at("data/field", "“#{data["field"]}” of #{data["part"]} is not seen here", known.join(", "))
        end
        Refusal.within("data") { sheet.change(part["id"], data["field"], data["value"], "measured") }
      end

      def self.taken(sheet, entry)
        data = entry.data
        return sheet.change(data["part"], data["field"], data["value"], "measured") if entry.kind == "fact"
        place = figure_place(sheet, data["fastener"])
        place ? sheet.change(*place, data.values_at("from", "to").compact, "service_info") : sheet
      end

      private_class_method :taken, :holder
    end
  end
end
