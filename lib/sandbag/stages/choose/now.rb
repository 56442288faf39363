# frozen_string_literal: true

module Sandbag
  module Choose
    # Cylinder, fluid, another repair where there is no kit, then whatever is not on the bench.
    class Now < Job::Now
      private

      def cards
        return [here("clash", "Say what goes on instead", detail: @stage.clash["label"])] if @stage.clash
        return [cylinder] if @stage.cylinder_wanted? && @stage.chosen_cylinder.nil?
        return [fluid] if @stage.fluid_wanted?
        return [no_kit] if @stage.no_kit
        @stage.wanting.map { |line| fetch(line) }
      end

      def cylinder
        sheet = @stage.sizing_sheet
        bore, offset = [sheet.value("master", "bore"), sheet.value("lever", "push_offset")]
        said = "#{Said.mm(bore, "g", bare: true)} × #{Said.mm(offset, "g")}"
        step("cylinder", "Choose the cylinder",
          entry("cylinder", bore: bore, push_offset: offset, agreed: "the size that was fitted"),
          label: "Keep the size: #{said}", detail: "Another size is chosen in the table of this page.")
      end

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
        step("fetch.#{line.id}", "Fetch: #{line.label}", entry("pulled", line: line.id, reason: "it is on the bench"),
          label: "It is here", detail: line.detail,
          figure: (line.id == PullList::FLUID) ? Said.ml(line.count) : line.count.to_s)
      end
    end
  end
end
