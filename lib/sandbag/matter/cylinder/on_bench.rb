# frozen_string_literal: true

module Sandbag
  module Cylinder
    # One unit that a job takes off or apart: the master, a slave, or a caliper by its own name.
    class OnBench
      # @param sheet [Circuit::Sheet] with what the job chose
      # @param route [Job::Route]
      # @param at [Array<Circuit::Place>] far ends that the job works on
      # @return [Array<OnBench>] none while it is not said which far end
      def self.all(sheet, route, at)
        return far_ends(sheet, at.map(&:at), named: sheet.far_ends.size > 1, apart: route.apart?) if route.far_end?
        master = new(sheet, sheet.parts_of("master").first, apart: route.apart?, piston_wanted: route.renews?("piston"))
        resealed = route.renews?("far_end_seals") ? sheet.far_ends.map { |part| part["id"] } : []
        [master, *far_ends(sheet, resealed, named: true, apart: true)]
      end

      # @param named [Boolean] there is more than one unit, so that its parts carry its name
      def self.far_ends(sheet, ids, named:, apart:)
        ids.map { |id| new(sheet, sheet.part(id), named: named, apart: apart) }
      end
      private_class_method :far_ends

      # @attr part [String] kind of part of the circuit; at [String, nil] id of the far end, where its parts carry its
      #   name; label [String] that name; apart [Boolean] it comes apart; sizes [Array<Float>] of its pistons or its
      #   bore, each once, the largest first, mm; pistons [Integer] how many; nipples [Integer];
      #   unproven [String, nil] why its nominal size is not proven; default_size [Boolean] nobody has entered a size;
      #   year [Float, nil] its model year; side [String, nil] left or right, of its lever
      attr_reader :part, :at, :label, :apart, :sizes, :pistons, :nipples, :construction, :family, :spring, :unproven,
        :piston_wanted, :default_size, :year, :side

      # @param holder [Hash] part of the sheet
      def initialize(sheet, holder, apart:, named: false, piston_wanted: false)
        @part = holder["part"]
        @at = holder["id"] if named
        @label = Circuit::Places.name(holder)
        @apart = apart
        values = sheet.values(holder)
        @construction = OnBench.construction(sheet, values)
        bores = values_of_pistons(values)
        @pistons = bores.size
        @sizes = bores.uniq.sort.reverse.freeze
        @nipples = Circuit::Places.of(sheet).nipples(holder).size
        @family = Tables.find("fluids", sheet.value("fluid", "stamped"))&.fetch("family")
        @spring = spring_of(values)
        @year = values["year"]&.value
        @side = values["side"]&.value.then { |side| side unless side == "unknown" }
        size = values[caliper? ? "pistons" : "bore"]
        @default_size = size.source == Circuit::Source::DEFAULT
        @unproven = unproven_reason(sheet, holder)
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

      # @return [Float] of its bore, or of its largest piston, mm
      def bore_mm
        sizes.first
      end

      def caliper?
        part == "caliper"
      end

      # @return [String] what it is called in a sentence
      def noun
        {"master" => "cylinder", "slave" => "slave", "caliper" => "caliper"}.fetch(part)
      end

      # @param id [String] of a part, step or look, see named
      # @return [Array(String, String), Array(String)] the same without its unit's name, and that name where it has one
      def self.apart(id)
        id.split("@", 2)
      end

      # @param id [String] of a part, step or look; at [String, nil] see #at
      # @return [String] the same with its unit's name, where it has one
      def self.named(id, at)
        at ? "#{id}@#{at}" : id
      end

      # @param id [String] of a part, step or look
      # @return [String] the same of this unit, where there are several
      def named(id)
        OnBench.named(id, at)
      end

      # @param said [String]
      # @return [String] with this unit's name after it, where there are several
      def tagged(said)
        at ? "#{said}, #{Wording.inside(label)}" : said
      end

      # Parts that stand once for each piston, and once for each nipple.
      PER_PISTON = %w[cal_piston cal_seal cal_dust_seal].freeze
      PER_NIPPLE = %w[nipple nipple_cap].freeze

      # @param row [Hash] of the construction's parts
      # @return [Integer] how many of it there are here
      def quantity(row)
        return pistons if PER_PISTON.include?(row["id"])
        PER_NIPPLE.include?(row["id"]) ? nipples : row["quantity"]
      end

      private

      def values_of_pistons(values)
        values.key?("pistons") ? Array(values["pistons"].value) : [values["bore"].value]
      end

      def spring_of(values)
        return "none" if construction.parts.none? { |row| %w[spring sc_spring].include?(row["id"]) }
        values.key?("spring") ? values["spring"].value : "unknown"
      end

      def unproven_reason(sheet, holder)
        return "it is the trade default. Read it off the casting first." if default_size
        Circuit::NearMiss.questions(sheet).find { |question| question[:part] == holder["id"] }&.fetch(:question)
      end
    end
  end
end
