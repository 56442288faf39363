# frozen_string_literal: true

module Sandbag
  module Choose
    # A cylinder of another construction in place of the old one: what was read off the old one says nothing of it.
    module OtherUnit
      # part => fields that were entered of the old unit
      OF_THE_OLD = {
        "master" => %w[stroke dead_stroke preload spring bolt_material nipple nipple_thread mount_thread torque_clamp
          torque_mount torque_pivot torque_pivot_nut torque_banjo torque_rod_nut torque_lid torque_switch
          torque_nipple torque_tube_nut torque_stop_screw torque_grub],
        "reservoir" => %w[usable total to_min area mount shape marking port_offset height],
        "fluid" => %w[volume]
      }.freeze

      # @param sheet [Circuit::Sheet]; construction [String, nil] of the unit that goes on
      # @return [Circuit::Sheet] the same where it is of the old construction
      def self.on(sheet, construction)
        return sheet if construction.nil? || sheet.value("master", "construction") == construction
        emptied = OF_THE_OLD.reduce(sheet) { |now, (part, fields)| without(now, part, fields) }
        emptied.set("master", "construction", construction, "part_marking")
      end

      def self.without(sheet, part, fields)
        entered = sheet.parts_of(part).first["values"].keys
        (fields & entered).reduce(sheet) { |now, field| now.set(part, field, nil, nil) }
      end
      private_class_method :without
    end
  end
end
