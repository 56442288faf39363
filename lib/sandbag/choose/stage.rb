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
        @sheet = sheet_with_choices
      end

      # @return [Hash, nil] bore, push_offset, agreed: the cylinder that was chosen
      def chosen_cylinder
        @cylinder
      end

      # @return [Array<Job::Entry>] what was brought to the bench
      def pulled
        entries.of("pulled")
      end

      # @return [Strip::Work] what the job takes apart
      def work
        @work ||= Strip::Work.new(sheet, @ask.route, switch: @ask.switch?)
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

      # @return [Hash] row of bleed_methods.yml that the quantities are for
      def bleed_method
        chosen = entries.said("method")
        (chosen && Knowledge.find("bleed_methods", chosen["method"])) || Knowledge.table("bleed_methods").first
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
        Cylinder.of(sheet, @ask.route) if work.strips?
      end

      # @return [PullList]
      def pull_list
        @pull_list ||= begin
          route = @ask.route
          handles_fluid = route&.handles_fluid?
          tools = ToolList.new(work, route, fasteners: @ask.fasteners, bleed_method: handles_fluid ? bleed_method : nil)
          PullList.new(sheet, route: route, work: work, tools: tools, need_ml: handles_fluid ? need_ml : nil)
        end
      end

      # What has no count of its own is the whole of its line.
      # @param line [PullList::Line]
      def on_bench?(line)
        counts = pulled.select { |entry| entry.data["line"] == line.id }.map { |entry| entry.data["count"] }
        counts.any?(&:nil?) || (counts.any? && counts.sum >= line.count)
      end

      def done?
        !fluid.nil? && (!cylinder_wanted? || !@cylinder.nil?) && wanting.empty?
      end

      def waits_for
        return "a cylinder: keep or change" if cylinder_wanted? && @cylinder.nil?
        return "the fluid, by the class on the cap" unless fluid
        line = wanting.first
        "still to fetch: #{Wording.inside(line.label)}#{", and #{wanting.size - 1} more" if wanting.size > 1}" if line
      end

      def fluid_right?
        !fluid.nil? && FluidChoice.refusal(fluid, stamped).nil?
      end

      # Refuses a fluid of another family or a lower class, a cylinder that is rejected or changes the lever by more than a
      # rider should find out by himself without his agreement written down, a method the circuit does not suit, and what is
      # not on the pull list. What the shelf has to say is asked of Supplies.
      def admit(entry)
        case entry.kind
        when "fluid" then admit_fluid(entry.data)
        when "cylinder" then admit_cylinder(entry.data)
        when "method" then admit_method(entry.data)
        when "water" then admit_water
        when "pulled" then admit_pulled(entry.data)
        end
      end

      # @return [Float] mL to have on the bench
      def need_ml
        need[:total_ml]
      end

      # @return [Hash] total_ml and the lines it is made of
      def need
        @need ||= FluidNeed.of(Bleed::Plan.new(sheet, opened: @ask.opened?), drained: @ask.opened?, method: bleed_method)
      end

      private

      def lacking
        @lacking ||= pull_list.lines.reject { |line| on_bench?(line) }
      end

      def sheet_with_choices
        changed = @fitted
        changed = changed.set("fluid", "stamped", @fluid["stamped"], "part_marking") if @fluid
        return changed unless @cylinder
        changed.set("master", "bore", @cylinder["bore"], "part_marking").set("lever", "push_offset", @cylinder["push_offset"], "part_marking")
      end

      def admit_fluid(data)
        refusal = FluidChoice.refusal(data["fluid"], data["stamped"], abs: @fitted.abs?)
        return unless refusal
        raise Refusal.at("data/fluid", refusal, FluidChoice.allowed(data["stamped"]).map { |fluid| fluid["label"] }.join(", "))
      end

      def admit_cylinder(data)
        row = Sizing.new(@fitted, sizes: [data.values_at("bore", "push_offset")]).row_of(*data.values_at("bore", "push_offset"))
        raise Refusal.at("data/bore", row[:rejected].join("; "), "a cylinder that is not rejected") if row[:rejected].any? && !row[:fitted]
        return unless row[:agreement_needed] && data["agreed"].nil?
        raise Refusal.at("data/agreed", "the #{@fitted.kind.control["noun"]} changes by over a quarter", "the rider's agreement, in words")
      end

      def admit_method(data)
        method = Knowledge.find("bleed_methods", data["method"])
        return if method["kinds"].include?(sheet.kind.id)
        suited = Knowledge.table("bleed_methods").select { |row| row["kinds"].include?(sheet.kind.id) }
        raise Refusal.at("data/method", "#{Wording.inside(method["label"])} does not suit this circuit", suited.map { |row| row["id"] }.join(", "))
      end

      def admit_water
        family = Knowledge.find("fluids", stamped)&.fetch("family")
        return if family == "glycol"
        raise Refusal.at("data/water", "a water reading says nothing of #{family || "a fluid that is not known"}",
          "glycol fluid; others are looked at for free water")
      end

      def admit_pulled(data)
        line = pull_list.find(data["line"])
        raise Refusal.at("data/line", "“#{data["line"]}” is not on the pull list", pull_list.lines.map(&:id).join(", ")) unless line
        raise Refusal.at("data/line", "#{line.label} is on the bench already", "another line") if on_bench?(line)
        if data["instead"] && line.instead.nil?
          raise Refusal.at("data/instead", "the trade accepts nothing in place of #{Wording.inside(line.label)}", "the thing itself")
        end
        return unless line.id == "kit" && data["item"].nil? && data["reason"].nil?
        raise Refusal.at("data/item", "which kit?",
          "one from the shelf; or, bought for this job, a reason that says how it was compared with the old parts")
      end
    end
  end
end
