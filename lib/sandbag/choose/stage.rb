# frozen_string_literal: true

module Sandbag
  module Choose
    # Cylinder, fluid, how much of it, and what has to lie on the bench.
    class Stage < Job::Stage
      attr_reader :sheet

      def initialize(job)
        super
        @fitted = job.fitted
        @ask = job.ask
        @cylinder = entries.said("cylinder")
        @fluid = entries.said("fluid")
        @sheet = Fit::Facts.apply(sheet_with_choices, job.journal.of("fit"))
      end

      # @return [Hash, nil] bore, push_offset, agreed: the cylinder that was chosen
      def chosen_cylinder
        @cylinder
      end

      # @return [Array<Job::Entry>] what was brought to the bench
      def pulled
        entries.of("pulled")
      end

      # @return [String, nil] id of the far end the job works on, or Cylinder::ALL
      def far_end
        entries.said("far_end")&.fetch("part")
      end

      # Which of several far ends the job works on is not said.
      def far_end_wanted?
        !@ask.route.nil? && @ask.route.far_end? && sheet.far_ends.size > 1 && far_end.nil?
      end

      # @return [Strip::Work] what the job takes apart
      def work
        @work ||= Strip::Work.new(sheet, @ask.route, switch: @ask.switch?, far_end: far_end,
          counts: Strip::Setup.counts(job.journal.of("strip").by("setup", "item")))
      end

      # @return [Array<Circuit::Fittings::Joint>] those this job opens, at the far ends it works on
      def joints
        route = @ask.route
        return [] unless route&.moves&.include?("joint")
        opened = Circuit::Fittings.new(sheet).opened(route.opens, hoses: route.hoses_off?)
        return opened unless route.far_end? && far_end && far_end != Cylinder::ALL
        opened.select { |joint| joint.at == far_end }
      end

      # @return [Hash, nil] row of clashes.yml that came up at the dry trial and is not settled
      def clash
        job.fit.clash if job.route
      end

      # @param clash [Job::Entry] of fit
      # @return [Boolean] it was said since what goes on instead
      def solved?(clash)
        entries.of("clash_solved").any? do |entry|
          entry.data["clash"] == clash.data["clash"] && entry.position > clash.position
        end
      end

      # @return [Array<PullList::Line>] what nothing is opened without, and is not on the bench
      def wanting
        lacking.select(&:needed)
      end

      # @return [Numeric, nil] mL that belong on the bench and do not lie there yet, all of them
      def fluid_wanted_ml
        lacking.find { |line| line.id == "fluid" }&.count
      end

      # @return [String, nil] id of the fluid that goes in
      def fluid
        @fluid&.fetch("fluid")
      end

      def stamped
        @fluid ? @fluid["stamped"] : @fitted.value("fluid", "stamped")
      end

      # @return [Hash] row of bleed_methods.yml that the quantities are for: the bleed's own, once it was changed there
      def bleed_method
        suited(job.journal.of("bleed").last("method")) || first_method
      end

      # @return [Hash] row of bleed_methods.yml that the bleed begins with; one that was chosen and no longer suits
      #   counts no more
      def first_method
        suited(entries.last("method")) || bleed_methods.first
      end

      # @return [Array<Hash>] rows of bleed_methods.yml that suit this circuit and that the ABS gate lets by
      def bleed_methods
        @bleed_methods ||= method_table.usable
      end

      # @param given [Hash] of Bleed::MethodTable, beside what the job says of ABS
      # @return [Bleed::MethodTable]
      def method_table(**given)
        tool = @ask.intake.value("abs_tool") == "yes"
        Bleed::MethodTable.new(sheet, tool: tool, gate: @ask.flags.gate, **given)
      end

      # @return [String, nil] of the fluid that the cap names
      def family
        Knowledge.find("fluids", stamped)&.fetch("family")
      end

      # @return [Float, nil] water as read, % by volume
      def water_reading
        entries.said("water")&.fetch("water")
      end

      # Only a job that renews the cylinder has to choose one.
      def cylinder_wanted?
        !@ask.route.nil? && @ask.route.size_wanted?
      end

      # @return [Cylinder, nil] what the job takes apart, where a construction is known for it
      def cylinder
        work.cylinder if work.strips?
      end

      # @return [PullList]
      def pull_list
        @pull_list ||= begin
          route = @ask.route
          handles_fluid = route&.handles_fluid?
          tools = ToolList.new(work, route, fasteners: @ask.fasteners, bleed_method: handles_fluid ? bleed_method : nil)
          PullList.new(sheet, route: route, work: work, tools: tools, joints: joints,
            need_ml: handles_fluid ? need_ml : nil)
        end
      end

      # What has no count of its own is the whole of its line.
      # @param line [PullList::Line]
      def on_bench?(line)
        counts = pulled.select { |entry| entry.data["line"] == line.id }.map { |entry| entry.data["count"] }
        counts.any?(&:nil?) || (counts.any? && counts.sum >= line.count)
      end

      def done?
        !fluid.nil? && !far_end_wanted? && (!cylinder_wanted? || !@cylinder.nil?) && wanting.empty? && clash.nil?
      end

      def waits_for
        return "a cylinder: keep or change" if cylinder_wanted? && @cylinder.nil?
        if far_end_wanted?
          return "which #{sheet.kind.end_part}: #{sheet.far_ends.map { |part| part["label"] }.join(", ")}, or all"
        end
        return "the fluid, by the class on the cap" unless fluid
        return "what goes on instead: #{Wording.inside(clash["label"])} clashed at the dry trial" if clash
        line = wanting.first
        "still to fetch: #{Wording.inside(line.label)}#{", and #{wanting.size - 1} more" if wanting.size > 1}" if line
      end

      def fluid_right?
        !fluid.nil? && FluidChoice.refusal(fluid, stamped).nil?
      end

      # Refuses a fluid of another family or a lower class, a cylinder that is rejected or changes the lever by more
      # than a rider should find out by himself without his agreement written down, a method the circuit does not
      # suit, and what is not on the pull list. What the shelf has to say is asked of Supplies.
      def admit(entry)
        case entry.kind
        when "fluid" then admit_fluid(entry.data)
        when "cylinder" then admit_cylinder(entry.data)
        when "method" then admit_method(entry.data)
        when "far_end" then admit_far_end(entry.data["part"])
        when "size" then admit_size(entry.data)
        when "water" then admit_water
        when "pulled" then admit_pulled(entry.data)
        when "clash_solved" then admit_solved(entry.data["clash"])
        end
      end

      # @return [Circuit::Sheet] what cylinders are sized on: the circuit as it is, or the one that an added cylinder
      #   makes
      def sizing_sheet
        kind = @ask.route&.adds
        kind ? AddedHand.sheet(@fitted, kind) : @fitted
      end

      # @return [Float] mL to have on the bench
      def need_ml
        need[:total_ml]
      end

      # @return [Hash] total_ml and the lines it is made of
      def need
        @need ||= FluidNeed.of(job.bleed.plan, drained: @ask.opened?,
          method: bleed_method)
      end

      private

      def lacking
        @lacking ||= pull_list.lines.reject { |line| on_bench?(line) }
      end

      # Sizes of far ends that the job chose, part by part.
      def sized(sheet)
        entries.of("size").reduce(sheet) do |changed, entry|
          part = changed.part(entry.data["part"])
          part ? changed.change(part["id"], size_field(part), entry.data["size"], "part_marking") : changed
        end
      end

      def size_field(part)
        (part["part"] == "caliper") ? "pistons" : "bore"
      end

      def sheet_with_choices
        changed = @fitted
        changed = changed.set("vehicle", "abs", @ask.intake.abs, "measured") unless @fitted.clutch? ||
          @fitted.value("vehicle", "abs") == @ask.intake.abs
        changed = changed.set("fluid", "stamped", @fluid["stamped"], "part_marking") if @fluid
        changed = with_preload(sized(changed))
        return changed if @cylinder.nil? || @ask.route&.adds
        changed.set("master", "bore", @cylinder["bore"], "part_marking").set("lever", "push_offset",
          @cylinder["push_offset"], "part_marking")
      end

      # The return spring, as the pull at which the piston first moves has it (docs/physics.md 1).
      def with_preload(sheet)
        pull = job.journal.of("feel").said("preload")
        return sheet unless pull
        preload_n = Circuit::Assembly.build(sheet).lever.gain * pull["force"]
        sheet.set("master", "preload", preload_n.round(2), "measured")
      end

      def admit_solved(id)
        return if clash && clash["id"] == id
        raise Refusal.at("data/clash", "no such clash was found at the dry trial", clash ? clash["id"] : "none")
      end

      def admit_fluid(data)
        refusal = FluidChoice.refusal(data["fluid"], data["stamped"], abs: sheet.abs?)
        return unless refusal
        raise Refusal.at("data/fluid", refusal,
          FluidChoice.allowed(data["stamped"]).map { |fluid| fluid["label"] }.join(", "))
      end

      def admit_cylinder(data)
        row =
          Sizing.new(sizing_sheet, sizes: [data.values_at("bore", "push_offset")]).row_of(
            *data.values_at("bore", "push_offset")
          )
        if row[:rejected].any? && !row[:fitted]
          raise Refusal.at("data/bore", row[:rejected].join("; "), "a cylinder that is not rejected")
        end
        return unless row[:agreement_needed] && data["agreed"].nil?
        raise Refusal.at("data/agreed", "the #{@fitted.kind.control["noun"]} changes by over a quarter",
          "the rider's agreement, in words")
      end

      def suited(entry)
        entry && bleed_methods.find { |row| row["id"] == entry.data["method"] }
      end

      def admit_method(data)
        if job.bleed.count.begun?
          raise Refusal.at("kind", "fluid has moved by another way already", "a change of method under Bleed")
        end
        method = Knowledge.find("bleed_methods", data["method"])
        suited = bleed_methods
        return if suited.include?(method)
        raise Refusal.at("data/method", "#{Wording.inside(method["label"])} does not suit this circuit",
          suited.map { |row| row["id"] }.join(", "))
      end

      def admit_far_end(id)
        ends = sheet.far_ends.map { |part| part["id"] }
        return if ends.include?(id) || id == Cylinder::ALL
        raise Refusal.at("data/part", "this circuit has no far end “#{id}”", [*ends, Cylinder::ALL].join(", "))
      end

      # Refuses a size the part cannot have, one with which the cylinder that is on cannot be used, and one on a job
      # that renews nothing there.
      def admit_size(data)
        unless @ask.route&.far_end? && @ask.route.size_first?
          raise Refusal.at("data/size", "this job puts nothing new on there", "a job that renews it")
        end
        part = sheet.far_ends.find { |each| each["id"] == data["part"] }
        unless part
          raise Refusal.at(
            "data/part",
            "this circuit has no far end “#{data["part"]}”",
            sheet.far_ends.map { |each| each["id"] }.join(", ")
          )
        end
        changed =
          Refusal.within("data/size") { sheet.change(part["id"], size_field(part), data["size"], "part_marking") }
        row =
          Sizing.new(changed, sizes: []).row_of(changed.value("master", "bore"), changed.value("lever", "push_offset"))
        if row[:rejected].any?
          raise Refusal.at(
            "data/size",
            "with the cylinder that is on: #{row[:rejected].join("; ")}",
            "a size that is not rejected, or another cylinder first"
          )
        end
      end

      def admit_water
        return if family == "glycol"
        raise Refusal.at("data/water", "a water reading says nothing of #{family || "a fluid that is not known"}",
          "glycol fluid; others are looked at for free water")
      end

      def admit_pulled(data)
        line = pull_list.find(data["line"])
        unless line
          raise Refusal.at(
            "data/line",
            "“#{data["line"]}” is not on the pull list",
            pull_list.lines.map(&:id).join(", ")
          )
        end
        raise Refusal.at("data/line", "#{line.label} is on the bench already", "another line") if on_bench?(line)
        if data["instead"] && line.instead.nil?
          raise Refusal.at("data/instead", "the trade accepts nothing in place of #{Wording.inside(line.label)}",
            "the thing itself")
        end
        return unless line.id == "kit" && data["item"].nil? && data["reason"].nil?
        raise Refusal.at("data/item", "which kit?",
          "one from the shelf; or, bought for this job, a reason that says how it was compared with the old parts")
      end
    end
  end
end
