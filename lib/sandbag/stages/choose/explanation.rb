# frozen_string_literal: true

module Sandbag
  module Choose
    # Every figure of a candidate with its formula, the values in it, and where each came from.
    class Explanation
      # @attr from [Array<Hash>] label, value, unit, source
      Item = Struct.new(:id, :label, :value, :unit, :formula, :filled, :from, keyword_init: true)

      # @param option [Option]
      def initialize(option)
        @sheet = option.sheet
        @option = option
        @circuit = option.candidate.circuit
        @pressure = option.pressure_mpa
        @figures = option.candidate.at(@pressure)
      end

      # @return [Array<Item>]
      def items
        [
          pressure,
          ratio,
          effort,
          volume,
          stroke,
          travel,
          *(@circuit.clutch? ? [lift] : [clamp_force, piston_advance, force_ratio]),
          volume_ratio
        ].map(&:freeze)
      end

      private

      def lever
        @circuit.lever
      end

      def master
        @circuit.master
      end

      def pressure
        return release_pressure if @circuit.clutch?
        vehicle = @circuit.vehicle
        item("pressure", "Pressure for the target", @pressure, "MPa", "p = a m r_w / (2 μ r_e k ΣA_c)",
          "#{n(value("target", "deceleration"))} × #{n(vehicle.mass_kg)} × #{n(vehicle.wheel_radius_m)} / (2 × " \
            "#{n(vehicle.friction)} × " \
            "#{n(vehicle.disc_radius_m)} × #{n(vehicle.drive_ratio)} × #{n(@circuit.clamp_area_mm2)})",
          values("target", "deceleration") +
            values("vehicle", "mass", "wheel_radius", "friction", "disc_radius", "drive_ratio") +
            values("caliper", "pistons"))
      end

      def release_pressure
        slave = @circuit.slave
        item("pressure", "Pressure that releases the clutch", @pressure, "MPa", "p = F_release / A_slave",
          "#{n(slave.release_force_n)} / #{n(slave.area_mm2)}", values("slave", "release_force", "bore", "inner"))
      end

      def ratio
        item("lever_ratio", "Lever ratio", lever.ratio, "", "R = finger to pivot / pivot to push point",
          "#{n(lever.finger_to_pivot_mm)} / #{n(lever.push_offset_mm)}",
          values("lever", "finger_to_pivot") +
            [own("Pivot to push point", lever.push_offset_mm, "lever", "push_offset")])
      end

      def effort
        shared = @sheet.kind.has?("balance_bar")
        item("force", "Effort", @figures[:force_n], "N", "F = (p A_m + F_s) / (η R#{" s" if shared})",
          "(#{n(@pressure)} × #{n(master.area_mm2)} + #{n(master.preload_n)}) / (#{n(lever.efficiency)} × " \
            "#{n(lever.ratio)}#{" × #{n(lever.share)}" if shared})",
          [own("Bore", master.bore_mm, "master", "bore")] + values("master", "preload") +
            values("lever", "efficiency", *("bar_share" if shared)))
      end

      def volume
        return clutch_volume if @circuit.clutch?
        budget = @circuit.budget
        item(
          "volume",
          "Volume the master must deliver",
          budget.volume_ml(@pressure),
          "mL",
          "V = V_gap + (k_hose + k_cal + V_fluid / K) p",
          "#{n(budget.gap_ml)} + (#{n(budget.hose_ml_mpa)} + #{n(budget.actuator_ml_mpa)} + #{n(budget.fluid_ml)} / " \
            "#{n(budget.bulk_modulus_mpa)}) × #{n(@pressure)}",
          values("caliper", "clearance", "stiffness") + values("line", "length", "expansion") +
            values("fluid", "stamped")
        )
      end

      def clutch_volume
        slave = @circuit.slave
        swell = @circuit.lines.sum(&:swell_ml_mpa)
        item(
          "volume",
          "Volume the master must deliver",
          slave.area_mm2 * slave.lift_needed_mm / 1000 + swell * @pressure,
          "mL",
          "V = A_slave lift + k_hose p",
          "#{n(slave.area_mm2)} × #{n(slave.lift_needed_mm)} / 1000 + #{n(swell)} × #{n(@pressure)}",
          values("slave", "bore", "inner", "lift_needed") + values("line", "length", "expansion")
        )
      end

      def stroke
        item("stroke", "Stroke", @figures[:stroke_mm], "mm", "s = s_port + 1000 V / A_m",
          "#{n(master.dead_stroke_mm)} + 1000 × #{n(volume.value)} / #{n(master.area_mm2)}",
          values("master", "dead_stroke") + [own("Bore", master.bore_mm, "master", "bore")])
      end

      def travel
        item("travel", "Lever travel", @figures[:travel_mm], "mm", "x = free play + R s",
          "#{n(lever.free_play_mm)} + #{n(lever.ratio)} × #{n(@figures[:stroke_mm])}", values("lever", "free_play"))
      end

      def lift
        item(
          "lift",
          "Slave lift at full stroke",
          @figures[:lift_mm],
          "mm",
          "lift = 1000 ((s_max − s_port) A_m / 1000 − k_hose p) / A_slave",
          "1000 × ((#{n(master.stroke_mm)} − #{n(master.dead_stroke_mm)}) × #{n(master.area_mm2)} / 1000 − " \
          "#{n(@circuit.lines.sum(&:swell_ml_mpa))} × #{n(@pressure)}) / #{n(@circuit.slave.area_mm2)}",
          values("master", "stroke", "dead_stroke")
        )
      end

      def clamp_force
        item("clamp_force", "Clamp force on each side of the disc", @pressure * @circuit.clamp_area_mm2, "N",
          "F_c = p ΣA_c", "#{n(@pressure)} × #{n(@circuit.clamp_area_mm2)}", values("caliper", "build", "pistons"))
      end

      def piston_advance
        hose_ml_mpa = @circuit.budget.hose_ml_mpa
        delivered_ml = volume.value
        item("piston_advance", "How far each piston goes out",
          1000 * (delivered_ml - hose_ml_mpa * @pressure) / @circuit.swept_area_mm2, "mm",
          "c = 1000 (V − k_hose p) / ΣA_v",
          "1000 × (#{n(delivered_ml)} − #{n(hose_ml_mpa)} × #{n(@pressure)}) / #{n(@circuit.swept_area_mm2)}",
          values("caliper", "pistons") + values("line", "length", "expansion"))
      end

      def force_ratio
        item("force_ratio", "Force ratio", @circuit.force_ratio, "", "ΣA_c / A_m",
          "#{n(@circuit.clamp_area_mm2)} / #{n(master.area_mm2)}", values("caliper", "build", "pistons"))
      end

      def volume_ratio
        item(
          "volume_ratio",
          "Volume ratio",
          @circuit.volume_ratio,
          "",
          "ΣA_v / A_m",
          "#{n(@circuit.swept_area_mm2)} / #{n(master.area_mm2)}",
          @circuit.clutch? ? values("slave", "bore", "inner") : values("caliper", "build", "pistons")
        )
      end

      def item(id, label, value, unit, formula, filled, from)
        Item.new(id: id, label: label, value: value, unit: unit, formula: formula, filled: filled, from: from)
      end

      def value(part, field)
        @sheet.value(part, field)
      end

      # Values of every part of a kind, each with its source.
      def values(part, *fields)
        @sheet
          .parts_of(part)
          .flat_map do |each|
            fields.map do |field|
              entry = @sheet.values(each).fetch(field)
              {
                label: [each["label"], entry.field.label].compact.join(": "),
                value: said(entry.value),
                unit: entry.field.unit,
                source: entry.source
              }
            end
          end
      end

      # A size the candidate brings; from the record when it is the fitted one.
      def own(label, size, part, field)
        entry = @sheet.values(@sheet.parts_of(part).first).fetch(field)
        {label: label, value: n(size), unit: "mm", source: (entry.value == size) ? entry.source : "candidate"}
      end

      def said(value)
        case value
        when Float then n(value)
        when Array then value.map { |each| n(each) }.join(" ")
        else value.to_s
        end
      end

      def n(number)
        Wording.figures(number)
      end
    end
  end
end
