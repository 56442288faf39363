# frozen_string_literal: true

module Sandbag
  module Circuit
    # Turns a written sheet into the circuit that can be computed.
    module Assembly
      # @return [Hydraulics::Circuit] made once for each sheet
      # Refuses, by field path, what a part refuses of itself.
      def self.build(sheet)
        sheet.made(:circuit) { assemble(sheet) }
      end

      def self.assemble(sheet)
        fluid = Tables.find("fluids", sheet.value("fluid", "stamped"))
        Hydraulics::Circuit.new(
          kind: sheet.kind,
          **worked(sheet),
          lines: sheet.parts_of("line").map { |part| line(sheet, part) },
          calipers: sheet.parts_of("caliper").map { |part| caliper(sheet, part) },
          slave: sheet.parts_of("slave").map { |part| slave(sheet, part) }.first,
          vehicle: sheet.parts_of("vehicle").map { |part| vehicle(sheet, part) }.first,
          held_ml: sheet.value("fluid", "volume"),
          bulk_modulus_mpa: fluid ? fluid["bulk_modulus_mpa"] : UNKNOWN_FLUID_MODULUS_MPA,
          reserve_air_ml: sheet.value("target", "reserve_air")
        )
      end

      # Until the cap has been read: the lowest of the families, so that travel is not flattered.
      UNKNOWN_FLUID_MODULUS_MPA = Tables.rows("fluids").map { |row| row["bulk_modulus_mpa"] }.min

      # A lever that cannot close the port moves no fluid.
      def self.worked(sheet)
        lever, master = lever(sheet), master(sheet)
        return {lever: lever, master: master} if lever.stroke_mm > master.dead_stroke_mm
        least = lever.travel_mm(master.dead_stroke_mm).ceil
        raise Refusal.at("parts/lever/gap_to_grip", "the lever ends before the port is closed", "more than #{least} mm")
      end

      def self.lever(sheet)
        plain = numbers(sheet, sheet.parts_of("lever").first)
        Hydraulics::Lever.new(finger_to_pivot_mm: plain["finger_to_pivot"], push_offset_mm: plain["push_offset"],
          free_play_mm: plain["free_play"], gap_to_grip_mm: plain["gap_to_grip"], safe_gap_mm: plain["safe_gap"],
          efficiency: plain["efficiency"], share: plain.fetch("bar_share", 100) / 100.0)
      end

      def self.master(sheet)
        part = sheet.parts_of("master").first
        plain = numbers(sheet, part)
        if plain["stroke"] <= plain["dead_stroke"]
          raise Refusal.at("parts/#{part["id"]}/stroke", "the full stroke must pass the port",
            "more than #{plain["dead_stroke"]} mm")
        end
        Hydraulics::MasterCylinder.new(bore_mm: plain["bore"], stroke_mm: plain["stroke"],
          dead_stroke_mm: plain["dead_stroke"], preload_n: plain["preload"])
      end

      def self.line(sheet, part)
        plain = numbers(sheet, part)
        Hydraulics::Line.new(length_mm: plain["length"], bore_mm: plain["bore"], expansion_ml_m_mpa: plain["expansion"])
      end

      def self.caliper(sheet, part)
        plain = numbers(sheet, part)
        Refusal.within("parts/#{part["id"]}") do
          Hydraulics::Caliper.new(build: plain["build"], pistons_mm: plain["pistons"], clearance_mm: plain["clearance"],
            stiffness_ml_mpa: plain["stiffness"], fluid_ml: plain["fluid"])
        end
      end

      def self.slave(sheet, part)
        plain = numbers(sheet, part)
        Hydraulics::SlaveCylinder.new(bore_mm: plain["bore"], inner_mm: plain["inner"],
          release_force_n: plain["release_force"], lift_needed_mm: plain["lift_needed"],
          lift_margin_mm: plain["lift_margin"], fluid_ml: plain["fluid"])
      end

      def self.vehicle(sheet, part)
        plain = numbers(sheet, part)
        Hydraulics::Vehicle.new(mass_kg: plain["mass"], wheel_radius_m: plain["wheel_radius"],
          disc_radius_m: plain["disc_radius"], friction: plain["friction"], drive_ratio: plain["drive_ratio"])
      end

      def self.numbers(sheet, part)
        sheet.values(part).transform_values(&:value)
      end
      private_class_method :assemble, :worked, :lever, :master, :line, :caliper, :slave, :vehicle, :numbers
    end
  end
end
