# frozen_string_literal: true

module Sandbag
  module Choose
    # Cylinder, fluid, how much of it, and what has to lie on the bench.
    class Stage < Job::Stage
      ASKS_LATER = {"fit" => "a clash at the dry trial",
                    "bleed" => "the fluid its plan takes, and whether it has begun"}
        .freeze

      def initialize(job)
        super
        @ask = job.ask
        @cylinder = entries.said("cylinder")
        @fluid = entries.said("fluid")
        @chosen = ChosenSheet.new(job, entries)
      end

      # @return [Circuit::Sheet] with what the job chose
      def sheet
        @chosen.sheet
      end

      # @return [Circuit::Sheet] what the job works on before anything was chosen
      def sizing_sheet
        @chosen.bare
      end

      # @return [Array<String>] see ChosenSheet
      def unfit
        @chosen.unfit
      end

      # @return [Hash, nil] bore, push_offset, agreed: the cylinder that was chosen
      def chosen_cylinder
        @cylinder
      end

      # @return [Array<Job::Entry>] what was brought to the bench
      def pulled
        entries.of("pulled")
      end

      # @return [Circuit::Places] of the circuit with what the job chose
      def places
        Circuit::Places.of(sheet)
      end

      # @return [Cylinder::Work] what the job takes apart: the units as they are, whatever goes on in their place
      def work
        @work ||= Cylinder::Work.of(@chosen.stripped, @ask.route, switch: @ask.switch?, at: @ask.where.at,
          counts: Cylinder::Setup.counts(set_up))
      end

      # @return [Hash{String => Hash}] row of setup.yml => what was answered, or found under Ask
      def set_up
        Cylinder::Setup.answers(job.journal.of("strip").by("setup", "item"), @ask.entered.to_h)
      end

      # @return [Array<Circuit::Place>] joints this job opens, from the master outwards
      def joints
        @joints ||= @ask.where.opened.filter_map { |place| places.find_id(place.id) }
          .select { |place| place.joint? && place.pressed? }
      end

      # @return [Array<Hash>] hoses that go on new
      def new_hoses
        @ask.route&.renews?("hoses") ? laid_hoses : []
      end

      # @return [Array<Hash>] hoses that go on new and whose length is only the trade's default; none once work began
      def unmeasured_hoses
        return [] if work_begun?
        new_hoses.select { |line| sheet.values(line)["length"].source == Circuit::Source::DEFAULT }
      end

      # @return [Hash{String => Integer}] step of step_minutes.yml or thing of prices.yml => how many times the job has
      #   it
      def times
        far_ends = work.units.count { |unit| unit.part != "master" }
        hoses = @ask.route&.moves&.intersect?(%w[hose ends]) ? laid_hoses.size : 1
        ends = [far_ends, 1].max
        {"slave" => ends, "slave_kit" => ends, "hose" => hoses, "unit" => @ask.route&.far_end? ? ends : 1}
      end

      # @return [Gearing] of the disc's shaft
      def gearing
        Gearing.new(@ask.sheet, entries)
      end

      # A new cylinder is sized by it, and none is chosen yet.
      def gearing_wanted?
        cylinder_wanted? && @cylinder.nil? && gearing.wanted?
      end

      # @return [Array<Circuit::Place>] hoses that stay on
      def old_hoses
        places.of_kind("line").reject { |place| new_hoses.include?(place.part) }
      end

      # @return [Array<Hash>] the hoses that the job works on: those it names, else all
      def laid_hoses
        return places.outlets.flat_map(&:lines) if @ask.route&.adds
        named = @ask.where.at.select { |place| place.kind == "line" }.map(&:at)
        sheet.parts_of("line").select { |line| named.empty? || named.include?(line["id"]) }
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
        lacking.select { |line| line.needed && !enough_to_start?(line) && !(line.to_start && started_without?(line)) }
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
        @fluid ? @fluid["stamped"] : @ask.sheet.value("fluid", "stamped")
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

      # @param given [Hash] of Airway::MethodTable, beside what the job says of ABS and of the line
      # @return [Airway::MethodTable]
      def method_table(**given)
        tool = @ask.intake.value("abs_tool") == "yes"
        Airway::MethodTable.new(sheet, tool: tool, gate: @ask.flags.gate, line: line, **given)
      end

      # @return [String] of MethodTable::LINES: how the line stands before it is bled
      def line
        return "dry" if @ask.opened?
        (job.route&.id == "flush") ? "full" : "air"
      end

      # A way to bleed was chosen, and it still suits.
      def method_chosen?
        !suited(entries.last("method")).nil?
      end

      # @return [String, nil] of the fluid that the cap names
      def family
        Tables.find("fluids", stamped)&.fetch("family")
      end

      # @return [Fluid::WaterTest, nil] water in what is in it, by the newest reading of a pen or a boil tester
      def water_tested
        reading = entries.last("water", "boils")
        fluid = Tables.find("fluids", stamped)
        Fluid::WaterTest.new(fluid, reading.data) if reading && fluid&.key?("wet_c")
      end

      # @param today [Date]
      # @return [FluidCheck] of the fluid that is in the circuit, by the machine's record and what was measured
      def fluid_in(today)
        FluidCheck.new(sheet, today: today, tested: water_tested, most_months: job.fluid_months)
      end

      # Only a job that renews the cylinder has to choose one.
      def cylinder_wanted?
        !@ask.route.nil? && @ask.route.size_wanted?
      end

      # @return [Array<Cylinder::OnBench>] units that the job takes apart
      def cylinders
        work.apart
      end

      # @return [Array<String>] far ends that were past use once they were apart, and are renewed whole
      def whole_units
        job.journal.of("measure").values("whole", "unit")
      end

      # @return [PullList]
      def pull_list
        @pull_list ||= begin
          route = @ask.route
          handles_fluid = route&.handles_fluid?
          scope = route && Scope.new(sheet, route, work, joints: joints, opened: @ask.opened?)
          tools = scope && ToolList.new(work, route, scope, sizes: ToolSizes.new(sheet, job.fit.planned_torques),
            fasteners: @ask.fasteners, bleed_method: handles_fluid ? bleed_method : nil)
          things = scope && ThingLines.new(sheet, route, work, scope, joints: joints, on: began_on)
          PullList.new(sheet, route: route, work: work, whole: whole_units, tools: tools, things: things,
            joints: joints, new_hoses: new_hoses,
            fluid: Tables.find("fluids", fluid)&.fetch("label"), need_ml: handles_fluid ? need_ml : nil)
        end
      end

      # What has no count of its own is the whole of its line.
      # @param line [PullList::Line]
      def on_bench?(line)
        counts = pulled.select { |entry| entry.data["line"] == line.id }.map { |entry| entry.data["count"] }
        spared = (line.id == PullList::FLUID) ? FluidNeed::TRIM_ML : 0
        counts.any?(&:nil?) || (counts.any? && counts.sum >= line.count - spared)
      end

      # @return [Hash, nil] row of kit_answers.yml: why a unit that comes apart has no kit; no more once one was brought
      def no_kit
        line = lacking.find { |each| each.kind == "kit" && entries.by("no_kit", "line").key?(each.id) }
        line && Tables.find("kit_answers", entries.by("no_kit", "line").dig(line.id, "why"))
      end

      def done?
        !fluid_wanted? && (!cylinder_wanted? || !@cylinder.nil?) && unmeasured_hoses.empty? && wanting.empty? &&
          clash.nil?
      end

      # A later stage may open the circuit or move fluid.
      def enough?
        !fluid_wanted? && wanting.empty?
      end

      # Fluid goes in, and it is not said which.
      def fluid_wanted?
        fluid.nil? && (job.route.nil? || job.route.handles_fluid?)
      end

      def waits_for
        return "how the disc's shaft is geared" if gearing_wanted?
        return "a cylinder: keep or change" if cylinder_wanted? && @cylinder.nil?
        return "the fluid, by the class on the cap" if fluid_wanted?
        hose = unmeasured_hoses.first
        return "how long the new #{Circuit::Places.inside(hose)} has to be" if hose
        return "what goes on instead: #{Wording.inside(clash["label"])} clashed at the dry trial" if clash
        return "another repair: #{Wording.inside(no_kit["label"])}" if no_kit
        line = wanting.first
        "still to fetch: #{Wording.inside(line.label)}#{", and #{wanting.size - 1} more" if wanting.size > 1}" if line
      end

      # @return [String, nil] why the fluid that was chosen may not go in
      def fluid_refusal
        FluidChoice.refusal(fluid, stamped) if fluid
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

      # Something came off, was opened, or moved before anybody was asked for it. What was brought and taken back again
      # is asked for.
      def started_without?(line)
        work_begun? && !job.journal.ever(id, "pulled", "line").include?(line.id)
      end

      # Something came off, was opened, or moved.
      def work_begun?
        job.journal.of("strip").of("step").any? || !job.ledger.begun.nil?
      end

      # Fluid for the first point; the rest may come while the work goes on.
      def enough_to_start?(line)
        return false unless line.id == PullList::FLUID
        first_ml = job.bleed.plan.points.first.flush_ml
        pulled.sum { |entry| (entry.data["line"] == line.id) ? entry.data["count"].to_f : 0 } >= first_ml
      end

      # @return [Date]
      def began_on
        Day.on(job.journal.entries.first.at)
      end

      def lacking
        @lacking ||= pull_list.lines.reject { |line| on_bench?(line) }
      end

      def suited(entry)
        entry && bleed_methods.find { |row| row["id"] == entry.data["method"] }
      end
    end
  end
end
