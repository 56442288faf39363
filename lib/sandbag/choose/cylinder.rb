# frozen_string_literal: true

module Sandbag
  module Choose
    # The cylinder a job works on: the master, or the slave of a clutch.
    class Cylinder
      # @param sheet [Circuit::Sheet] with what the job chose
      # @param route [Job::Route]
      # @return [Cylinder, nil] nil where no construction is known: a caliper
      def self.of(sheet, route)
        return if route.far_end? && !sheet.clutch?
        new(sheet, route.far_end? ? "slave" : "master", piston_wanted: route.renews?("piston"))
      end

      attr_reader :part, :bore_mm, :construction, :family, :spring, :unproven, :piston_wanted

      # @param part [String] master or slave
      def initialize(sheet, part, piston_wanted: false)
        @part = part
        holder = sheet.parts_of(part).first
        values = sheet.values(holder)
        @bore_mm = values["bore"].value
        @construction = Strip::Construction.find((part == "slave") ? "clutch_slave_pushrod" : values["construction"].value)
        @family = Knowledge.find("fluids", sheet.value("fluid", "stamped"))&.fetch("family")
        @spring = values.key?("spring") ? values["spring"].value : "unknown"
        @unproven = unproven_reason(sheet, holder, values["bore"])
        @piston_wanted = piston_wanted
        freeze
      end

      private

      def unproven_reason(sheet, holder, bore)
        return "it is the trade default. Read it off the casting first." if bore.source == Circuit::Source::DEFAULT
        Circuit::NearMiss.questions(sheet).find { |question| question[:part] == holder["id"] }&.fetch(:question)
      end
    end
  end
end
