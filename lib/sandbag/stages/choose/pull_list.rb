# frozen_string_literal: true

module Sandbag
  module Choose
    # Everything a job wants on the bench before the first screw is turned: parts, fluid, consumables, tools and
    # protection (docs/trade.md 2.4, 2.9, 2.10, 3.1). It is what the places and the steps of the job take.
    class PullList
      # Id of the line of the fluid.
      FLUID = "fluid"
      GROUPS = %w[parts fluid consumables tools protection].freeze

      # @attr id [String]; group; label; count [Numeric] pieces or mL; kind [String, nil] of shelf_kinds.yml;
      #   thing [String, nil] what a part is, of kit_items.yml or job_parts.yml; tool [String, nil];
      #   sizes [Array<String>, nil] of a tool that are right here;
      #   needed [Boolean] nothing is opened without it; to_start [Boolean] nor is it asked for once the work has begun;
      #   instead [Hash, nil] what the trade accepts in its place; unit [Cylinder::OnBench, nil] that a kit is for
      Line = Struct.new(:id, :group, :label, :detail, :count, :kind, :thing, :tool, :sizes, :needed, :to_start,
        :instead, :unit, keyword_init: true)

      # @param sheet [Circuit::Sheet]; route [Job::Route, nil]
      # @param work [Cylinder::Work]; whole [Array<String>] far ends that are renewed whole after all; tools [ToolList]
      # @param things [ThingLines, nil] nil while there is no route
      # @param joints [Array<Circuit::Place>] those the job opens; new_hoses [Array<Hash>] lines that
      #   go on new
      # @param fluid [String, nil] label of the fluid that goes in, once it is chosen
      # @param need_ml [Float, nil] nil when the fluid is left alone
      def initialize(sheet, route:, work:, whole:, tools:, things:, joints:, new_hoses:, fluid:, need_ml:)
        @sheet = sheet
        @route = route
        @work = work
        @whole = whole
        @tools = tools
        @things = things
        @joints = joints
        @new_hoses = new_hoses
        @fluid = fluid
        @need_ml = need_ml
        freeze
      end

      # @return [Array<Line>] in the order they are laid out
      def lines
        return [] unless @route
        parts + fluid_line + @things.of("consumables") + tool_lines + @things.of("protection")
      end

      # @return [Line, nil] a line of the list, or part.<kit item> for a part that may have to be bought apart
      def find(id)
        lines.find { |line| line.id == id } || (apart(id.delete_prefix("part.")) if id.start_with?("part."))
      end

      # A part of a unit that its kit may lack.
      # @param part [String] id of kit_items.yml, with the name of the unit
      # @return [Line, nil]
      def apart(part, count: 1, detail: nil)
        plain, at = Cylinder::OnBench.apart(part)
        unit = @work.unit(at)
        item = Tables.find("kit_items", plain)
        return unless item && unit&.apart && unit.construction.part(plain)
        Line.new(id: "part.#{part}", group: "parts", label: unit.tagged(item["label"]), detail: detail, count: count,
          kind: "part", thing: plain)
      end

      private

      def parts
        [*kits, unit, *far_units, engine_seal, *hoses, *joint_lines, spare_nipple, *@things.parts].compact
          .partition(&:needed).flatten
      end

      def kits
        @work.apart.reject { |unit| @whole.include?(unit.at) }.map do |unit|
          Line.new(id: unit.named("kit"), group: "parts", label: unit.tagged("Seal kit"),
            detail: unit.construction.label, count: 1, kind: "kit", needed: true, unit: unit)
        end
      end

      def unit
        return unless @route.renews?("cylinder")
        Line.new(
          id: "cylinder",
          group: "parts",
          label: @route.adds ? "Added hand cylinder with its lever" : "Whole cylinder",
          detail: (bore_said unless @route.adds),
          count: 1,
          kind: "cylinder",
          needed: true
        )
      end

      # Far ends that go on whole: all, or those that were past use once they were apart.
      def far_units
        all = @route.far_end? && !@route.apart? && @route.size_first?
        @work.units.select { |unit| all || @whole.include?(unit.at) }.map do |unit|
          Line.new(id: unit.named("far_unit"), group: "parts", label: unit.tagged("Whole #{@sheet.kind.end_part}"),
            count: 1, needed: true)
        end
      end

      def engine_seal
        return unless @route.renews?("engine_seal")
        Line.new(id: "engine_seal", group: "parts", label: "Engine's pushrod seal", count: 1, kind: "part",
          thing: "sc_back_seal", needed: true, to_start: true)
      end

      def bore_said
        "#{Said.mm(@sheet.value("master", "bore"), "g", bare: true)} × " \
          "#{Said.mm(@sheet.value("lever", "push_offset"), "g")}"
      end

      def hoses
        @new_hoses.map do |line|
          values = @sheet.values(line)
          Line.new(
            id: "hose.#{line["id"]}",
            group: "parts",
            label: line["label"],
            detail: "#{length_said(values["length"])}, #{Wording.spelled(values["kind"].value)}",
            count: 1,
            kind: "hose",
            needed: true
          )
        end
      end

      # @param length [Circuit::Sheet::Value]
      def length_said(length)
        (length.source == Circuit::Source::DEFAULT) ? "Length to be measured" : Said.mm(length.value, 0)
      end

      # What each opened joint is sealed with, by sort.
      SEALS = [
        {id: "washers", counted: "washers", label: "Crush washers", kind: "washer", of: :washers},
        {id: "square_seals", counted: "square-section seals", label: "Square-section seals", kind: "part",
         thing: "joint_seal", of: :washers},
        {id: "olives", counted: "olives and inserts", label: "Olive and insert or barb", kind: "part", thing: "olive",
         of: :olives}
      ].freeze

      def joint_lines
        SEALS.filter_map do |sort|
          joints = @joints.select { |joint| joint.counted == sort[:counted] }
          next if joints.empty?
          Line.new(id: sort[:id], group: "parts", **sort.slice(:label, :kind, :thing),
            detail: joints.map { |joint| "#{joint.label} #{joint.public_send(sort[:of])}" }.join(", "),
            count: joints.sum(&sort[:of]), needed: true, to_start: true)
        end
      end

      def fluid_line
        return [] unless @need_ml
        [
          Line.new(
            id: FLUID,
            group: "fluid",
            label: "Fluid",
            detail: @fluid || "the class on the cap",
            count: @need_ml.round,
            kind: "bottle",
            needed: true,
            to_start: !@work.strips?
          )
        ]
      end

      def spare_nipple
        threads = NippleMatch.threads(@sheet)
        return if @need_ml.nil? || threads.empty?
        Line.new(id: "nipple", group: "parts", label: "Spare bleed nipple",
          detail: "Thread #{NippleMatch.said(threads)}", count: 1, kind: "nipple")
      end

      def tool_lines
        @tools.lines.map do |tool|
          Line.new(
            id: "tool.#{tool[:tool]}",
            group: "tools",
            label: tool[:label],
            detail: [tool[:sizes], "for: #{tool[:why]}"].compact.join("; "),
            count: 1,
            kind: "tool",
            tool: tool[:tool],
            sizes: tool[:right],
            needed: tool[:special] && @work.strips?,
            instead: tool[:instead]
          )
        end
      end
    end
  end
end
