# frozen_string_literal: true

module Sandbag
  module Choose
    # Cylinder and fluid.
    class Stage
      attr_reader :sheet

      # @param fitted [Circuit::Sheet] the circuit as it stood when the job was opened
      # @param ask [Ask::Stage]
      def initialize(entries, fitted, ask)
        @fitted = fitted
        @ask = ask
        @cylinder = entries.reverse.find { |entry| entry.kind == "cylinder" }&.data
        @fluid = entries.reverse.find { |entry| entry.kind == "fluid" }&.data
        @sheet = sheet_with_choices
        freeze
      end

      # @return [String, nil] id of the fluid that goes in
      def fluid
        @fluid&.fetch("fluid")
      end

      def stamped
        @fluid ? @fluid["stamped"] : @fitted.value("fluid", "stamped")
      end

      # Only a job that renews the cylinder has to choose one.
      def cylinder_wanted?
        @ask.route&.fetch("id") == "renew_mc"
      end

      def done?
        !fluid.nil? && (!cylinder_wanted? || !@cylinder.nil?)
      end

      def waits_for
        return "a cylinder: keep or change" if cylinder_wanted? && @cylinder.nil?
        "the fluid, by the class on the cap" unless fluid
      end

      def unresolved
      end

      def fluid_right?
        !fluid.nil? && FluidChoice.refusal(fluid, stamped).nil?
      end

      # Refuses a fluid of another family or a lower class, and a cylinder that is rejected, or changes the lever by more
      # than a rider should find out by himself without his agreement written down.
      def admit(entry)
        (entry.kind == "fluid") ? admit_fluid(entry.data) : admit_cylinder(entry.data)
      end

      # @return [Float] mL to have on the bench
      def need_ml
        need[:total_ml]
      end

      def to_h
        {cylinder: @cylinder, cylinder_wanted: cylinder_wanted?, fluid: fluid, stamped: stamped,
         allowed_fluids: allowed_fluids, need: need}.compact
      end

      private

      def need
        FluidNeed.of(Bleed::Plan.new(sheet, opened: @ask.opened?), drained: @ask.opened?)
      end

      def allowed_fluids
        (stamped == "unknown") ? [] : FluidChoice.allowed(stamped).map { |fluid| fluid["id"] }
      end

      def sheet_with_choices
        changed = @fitted
        changed = changed.change("fluid", "stamped", @fluid["stamped"], "part_marking") if @fluid
        return changed unless @cylinder
        changed.change(part_id("master"), "bore", @cylinder["bore"], "part_marking")
          .change(part_id("lever"), "push_offset", @cylinder["push_offset"], "part_marking")
      end

      def part_id(part)
        @fitted.parts_of(part).first["id"]
      end

      def admit_fluid(data)
        refusal = FluidChoice.refusal(data["fluid"], data["stamped"])
        return unless refusal
        raise Refusal.at("data/fluid", refusal, FluidChoice.allowed(data["stamped"]).map { |fluid| fluid["id"] }.join(", "))
      end

      def admit_cylinder(data)
        row = Sizing.new(@fitted, sizes: [data.values_at("bore", "push_offset")]).row_of(*data.values_at("bore", "push_offset"))
        raise Refusal.at("data/bore", row[:rejected].join("; "), "a cylinder that is not rejected") if row[:rejected].any? && !row[:fitted]
        return unless row[:agreement_needed] && data["agreed"].nil?
        raise Refusal.at("data/agreed", "the lever changes by over a quarter", "the rider's agreement, in words")
      end
    end
  end
end
