# frozen_string_literal: true

module Sandbag
  module Strip
    # Machine and mechanic protected, then the steps in their order.
    class Now < Job::Now
      private

      def cards
        return [go("ask", "Say where the repair works")] if @job.ask.where.wanted?
        return [go("measure", "Compare new with old first")] unless @stage.compared?
        return [go("choose", "Fetch what is still missing")] if @stage.wanting.any?
        return @stage.setup.missing.map { |row| set_up(row) } if @stage.setup.missing.any?
        [next_step].compact
      end

      def set_up(row)
        shown = @stage.setup.to_h.find { |each| each[:id] == row["id"] }
        values = shown[:values]
        return step("setup.#{row["id"]}", row["label"], entry("setup", item: row["id"]), detail: row["detail"]) unless values
        question("setup.#{row["id"]}", row["label"], each_answer(values, "setup", item: row["id"]), detail: row["detail"])
      end

      def next_step
        at = @stage.step or return
        words = at.to_h
        done = @stage.work.steps.count { |each| @stage.passed?(each) }
        step("step.#{at.id}", at.label, entry("step", step: at.id), detail: [at.does, at.leaks, at.lost].compact.join(" "),
          caution: words[:caution] || at.flies, figure: "#{done + 1} of #{@stage.work.steps.size}")
      end
    end
  end
end
