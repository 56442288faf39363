# frozen_string_literal: true

module Sandbag
  module Cylinder
    # What a job takes apart: the master, the slave of a clutch, or calipers.
    class OnBench
      # @param sheet [Circuit::Sheet] with what the job chose
      # @param route [Job::Route]
      # @param at [Array<Circuit::Place>] far ends that the job works on
      # @return [Cylinder, nil] nil while it is not said which far end
      def self.of(sheet, route, at)
        holders = route.far_end? ? at.map { |place| sheet.part(place.part["id"]) } : sheet.parts_of("master")
        new(sheet, holders, piston_wanted: route.renews?("piston")) if holders.any?
      end

      # @attr count [Integer] how many of them; pistons [Integer] of all of them
      attr_reader :part, :count, :pistons, :bore_mm, :construction, :family, :spring, :unproven, :piston_wanted

      # @param holders [Array<Hash>] parts of the sheet, all of one kind
      def initialize(sheet, holders, piston_wanted: false)
        @part = holders.first["part"]
        @count = holders.size
        values = sheet.values(holders.first)
        @construction = OnBench.construction(sheet, values)
        @pistons = holders.sum { |holder| values_of_pistons(sheet.values(holder)).size }
        @bore_mm = values_of_pistons(values).max
        @family = Tables.find("fluids", sheet.value("fluid", "stamped"))&.fetch("family")
        @spring = spring_of(values)
        @unproven = unproven_reason(sheet, holders.first, values[caliper? ? "pistons" : "bore"])
        @piston_wanted = piston_wanted
        freeze
      end

      # A caliper's construction follows from its build, a master's and a slave's is written down.
      # @param values [Hash{String => Circuit::Sheet::Value}]
      # @return [Cylinder::Construction]
      def self.construction(sheet, values)
        return Construction.find(values["construction"].value) unless values.key?("build")
        Construction.of_caliper(sheet.kind.caliper || values["build"].value)
      end

      def caliper?
        part == "caliper"
      end

      # @return [String] what it is called in a sentence
      def noun
        {"master" => "cylinder", "slave" => "slave", "caliper" => (count > 1) ? "calipers" : "caliper"}.fetch(part)
      end

      # Parts that stand once for each piston.
      PER_PISTON = %w[cal_piston cal_seal cal_dust_seal].freeze

      # @param row [Hash] of the construction's parts
      # @return [Integer] how many of it there are here
      def quantity(row)
        return pistons if PER_PISTON.include?(row["id"])
        (part == "master") ? row["quantity"] : row["quantity"] * count
      end

      private

      def values_of_pistons(values)
        values.key?("pistons") ? Array(values["pistons"].value) : [values["bore"].value]
      end

      def spring_of(values)
        return "none" if construction.parts.none? { |row| %w[spring sc_spring].include?(row["id"]) }
        values.key?("spring") ? values["spring"].value : "unknown"
      end

      def unproven_reason(sheet, holder, bore)
        return "it is the trade default. Read it off the casting first." if bore.source == Circuit::Source::DEFAULT
        Circuit::NearMiss.questions(sheet).find { |question| question[:part] == holder["id"] }&.fetch(:question)
      end
    end
  end
end
