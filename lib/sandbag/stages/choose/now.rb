# frozen_string_literal: true

module Sandbag
  module Choose
    # Cylinder, fluid, another repair where there is no kit, then whatever is not on the bench.
    class Now < Job::Now
      private

      def cards
        return [here("clash", "Say what goes on instead", detail: @stage.clash["label"])] if @stage.clash
        return [gearing] if @stage.gearing_wanted?
        return [cylinder] if @stage.cylinder_wanted? && @stage.chosen_cylinder.nil?
        return [fluid] if @stage.fluid_wanted?
        return @stage.unmeasured_hoses.map { |line| hose(line) } if @stage.unmeasured_hoses.any?
        return [no_kit] if @stage.no_kit
        in_rounds(@stage.wanting.map { |line| [line.tool ? "tools" : "parts", fetch(line), look_for(line)] },
          {"parts" => "Fetch the parts and the fluid", "tools" => "Fetch the tools"}, good: "here")
      end

      def look_for(line)
        [line.label, [(how_many(line) unless line.tool), line.detail].compact.join(". "), pulled(line)]
      end

      def pulled(line)
        entry("pulled", line: line.id, reason: "it is on the bench")
      end

      def gearing
        ratio = Said.figure(@stage.gearing.ratio, :number, "g")
        reading("gearing", "How is the disc's shaft geared to the track?", entry("gearing"), name: "ratio",
          detail: "Teeth of the driven sprocket / teeth of the driving one, as stamped or counted, such as 39/19.",
          answers: [{label: "Unknown: use #{ratio}, the trade's default", entry: entry("gearing")}])
      end

      def cylinder
        sheet = @stage.sizing_sheet
        bore, offset = [sheet.value("master", "bore"), sheet.value("lever", "push_offset")]
        said = "#{Said.mm(bore, "g", bare: true)} × #{Said.mm(offset, "g")}"
        step("cylinder", "Choose the cylinder",
          entry("cylinder", bore: bore, push_offset: offset, agreed: "the size that was fitted"),
          label: "Keep the size: #{said}", detail: "Another size is chosen in the table of this page.")
      end

      def hose(line)
        reading("hose.#{line["id"]}", "#{Circuit::Places.name(line)}: how long has the new one to be?",
          entry("hose", line: line["id"]), name: "length", unit: "mm", detail: HOW_LONG)
      end

      HOW_LONG = "A cord along the way it will run, face to face of its ends, at full lock and full travel, with " \
        "slack. Order no shorter."

      def no_kit
        {**go("ask", "Choose another repair"), detail: "#{@stage.no_kit["label"]}. #{@stage.no_kit["does"]}"}
      end

      def fluid
        stamped = @stage.stamped
        return go("ask", "Say which class is on the cap") unless Tables.find("fluids", stamped)
        fluids = FluidChoice.allowed(stamped).sort_by { |row| (row["id"] == stamped) ? 0 : 1 }
        answers = fluids.map { |row| [row["label"], entry("fluid", fluid: row["id"], stamped: stamped)] }
        question("fluid", "Which fluid goes in?", answers)
      end

      def fetch(line)
        step("fetch.#{line.id}", "Fetch: #{line.label}", pulled(line),
          label: "It is here", detail: line.detail, figure: how_many(line))
      end

      def how_many(line)
        (line.id == PullList::FLUID) ? Said.ml(line.count) : line.count.to_s
      end
    end
  end
end
